import { create } from 'zustand';
import { keep, kept } from '../state/kept';

/** What a key does on every bench, in the order of the list of keys. */
export const COMMANDS = {
  play: { words: 'play or stop the line', key: 'Space' },
  back: { words: 'one frame back', key: ',' },
  on: { words: 'one frame on', key: '.' },
  first: { words: 'to the first frame', key: 'Home' },
  why: { words: 'Why? – then click a part', key: 'w' },
  rest: { words: 'every dial back to rest', key: '0' },
  closer: { words: 'the stage closer', key: '+' },
  further: { words: 'the stage further away', key: '-' },
  actual: { words: 'the stage as large as it was drawn', key: '=' },
  head: { words: 'the stage shows the head', key: 'f' },
  figure: { words: 'the stage shows the whole figure', key: 'Shift+F' },
  alone: { words: 'the stage alone, and everything round it again', key: 'Alt+Enter' },
  list: { words: 'this list', key: '?' },
} as const;
export type Command = keyof typeof COMMANDS;

type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>;

/** A key with what is held besides, as it is written in the list: `w`, `Shift+F`, `Alt+Enter`, `?`. */
export function keyOf(e: Pressed): string {
  const letter = e.key.length === 1 && e.key.toLowerCase() !== e.key.toUpperCase();
  const name =
    e.key === ' ' ? 'Space' : letter ? (e.shiftKey ? e.key.toUpperCase() : e.key.toLowerCase()) : e.key;
  // which signs need Shift is a matter of the keyboard, so it is not written before them
  const shift = e.shiftKey && (letter || e.key.length > 1);
  return [e.ctrlKey || e.metaKey ? 'Ctrl+' : '', e.altKey ? 'Alt+' : '', shift ? 'Shift+' : '', name].join(
    '',
  );
}

/** Whether a key is one letter, digit or sign: what a voice that is written down, or a cat, presses too. */
export const isSingle = (key: string) => key.length === 1;

interface Keymap {
  /** Keys that were given in the place of the usual ones; empty for none. */
  own: Partial<Record<Command, string>>;
  /** Whether single letters, digits and signs do anything. */
  singles: boolean;
  give: (command: Command, key: string) => void;
  usual: () => void;
  switchSingles: (on: boolean) => void;
}

/** The key of a command as it is now; empty for none. */
export const keyFor = (command: Command, own: Keymap['own']): string => own[command] ?? COMMANDS[command].key;

/** What a key does; null for nothing. */
export function commandOf(key: string, { own, singles }: Pick<Keymap, 'own' | 'singles'>): Command | null {
  if (!singles && isSingle(key)) return null;
  return (Object.keys(COMMANDS) as Command[]).find((c) => keyFor(c, own) === key) ?? null;
}

const KEPT = 'keys';

/** What was kept of it, without what is no command and no key. */
export function restoredKeys(text: string | null): Pick<Keymap, 'own' | 'singles'> {
  try {
    const read = JSON.parse(text ?? 'null') as { own?: unknown; singles?: unknown } | null;
    if (typeof read !== 'object' || read === null) return { own: {}, singles: true };
    const given = typeof read.own === 'object' && read.own !== null ? Object.entries(read.own) : [];
    return {
      own: Object.fromEntries(
        given.filter(([c, k]) => c in COMMANDS && typeof k === 'string' && k.length < 20),
      ),
      singles: read.singles !== false,
    };
  } catch {
    return { own: {}, singles: true };
  }
}

export const useKeymap = create<Keymap>((set) => ({
  ...restoredKeys(kept(KEPT)),
  give: (command, key) =>
    set((s) => {
      const own = { ...s.own };
      // a key does one thing: whatever had it has none now
      for (const c of Object.keys(COMMANDS) as Command[])
        if (c !== command && key !== '' && keyFor(c, own) === key) own[c] = '';
      own[command] = key;
      return { own };
    }),
  usual: () => set({ own: {}, singles: true }),
  switchSingles: (singles) => set({ singles }),
}));

useKeymap.subscribe(({ own, singles }) => keep(KEPT, { own, singles }));
