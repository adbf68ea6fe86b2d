import type { OpenCharacter } from 'page-core';
import { create } from 'zustand';
import type { Artwork, CharacterView } from '../api/client';

type PageCore = typeof import('page-core');

interface Rules {
  core: PageCore | null;
  /** Why there are none; empty while they are there or on their way. */
  missing: string;
}

/** The compiled core, once it is loaded. Until then, and without it, poses are asked of the server. */
export const useRules = create<Rules>(() => ({ core: null, missing: '' }));

let asked = false;

/** Loads the rules, once; the page paints its first picture without waiting for them. */
export function loadRules(load: () => Promise<PageCore> = () => import('page-core')): void {
  if (asked) return;
  asked = true;
  load().then(
    (core) => useRules.setState({ core }),
    () => {
      asked = false;
      useRules.setState({
        missing:
          'This page could not load its rules. It goes on without them, asking the server for each picture.',
      });
    },
  );
}

/** The server's rules, as it tells with its answers: others than the page's own mean that one of the two is old. */
export function heardOf(sources: string | null): void {
  const { core, missing } = useRules.getState();
  if (sources && core && core.sources() !== sources && missing === '')
    useRules.setState({
      core: null,
      missing:
        'The server was renewed since this page was loaded. Reload the page to have the same rules on both sides.',
    });
}

let before: { id: string; opened: OpenCharacter } | null = null;

/** A revision, ready to be posed; null when it cannot be opened here. What did not change since the last one is not read again. */
export function opened(core: PageCore, view: CharacterView, artwork: Artwork): OpenCharacter | null {
  try {
    const now = core.open(view.character, artwork, before?.id === view.id ? before.opened : null);
    before = { id: view.id, opened: now };
    return now;
  } catch (e) {
    console.error(e);
    const missing =
      'This character could not be opened by the page. It goes on, asking the server for each picture.';
    // not while the page is being rendered
    queueMicrotask(() => useRules.setState({ missing }));
    return null;
  }
}
