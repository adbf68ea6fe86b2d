import { useCallback } from 'react';
import { copiedHere, pasted, useClipboard } from '../state/clipboard';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';

/** Ctrl+C and Ctrl+V outside fields; each says whether there was anything to do. */
export function useCopying(): { copy: (target: EventTarget | null) => boolean; paste: () => boolean } {
  const { view, edit, takeFrom, tell } = useStudio();
  const { id, character } = view;
  const copy = useCallback(
    (target: EventTarget | null) => {
      const mark =
        target instanceof Element
          ? (target.closest('[data-copies]')?.getAttribute('data-copies') ?? null)
          : null;
      const copied = copiedHere(id, character, useDesk.getState(), mark);
      if (!copied) return false;
      useClipboard.setState({ copied });
      tell({
        message: `Copied the ${copied.kind} ${copied.kind === 'placement' || copied.kind === 'stop' ? 'of ' : ''}${copied.of}.`,
        bad: false,
      });
      return true;
    },
    [id, character, tell],
  );
  const paste = useCallback(() => {
    const { copied } = useClipboard.getState();
    if (!copied) return false;
    const made = pasted(copied, id, character, useDesk.getState());
    if (made.edit) void edit(made.edit);
    else if (made.keys) void takeFrom(...made.keys);
    else tell({ message: made.why, bad: false });
    return true;
  }, [id, character, edit, takeFrom, tell]);
  return { copy, paste };
}
