import { create } from 'zustand';
import { keep, kept } from '../state/kept';
import { type CommandId, KEY_COMMANDS, type KeyCommand, wordsOf } from './commands';

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
  own: Partial<Record<KeyCommand, string>>;
  /** Whether single letters, digits and signs do anything. */
  singles: boolean;
  give: (command: KeyCommand, key: string) => void;
  usual: () => void;
  switchSingles: (on: boolean) => void;
}

/** The key of a command as it is now; empty for none. */
export function keyFor(command: CommandId, own: Keymap['own']): string {
  const { key, fixed } = wordsOf(command);
  return fixed ?? own[command as KeyCommand] ?? key ?? '';
}

/** The key of a command as it is written beside its name in a menu; empty where none is. */
export function useKeyOf(command: CommandId): string {
  return shown(useKeymap((s) => keyFor(command, s.own)));
}

/** As it stands on the keyboard. */
export const shown = (key: string) => (key.length === 1 ? key.toUpperCase() : key);

/** What a key does; null for nothing. */
export function commandOf(key: string, { own, singles }: Pick<Keymap, 'own' | 'singles'>): KeyCommand | null {
  if (!singles && isSingle(key)) return null;
  return KEY_COMMANDS.find((c) => keyFor(c, own) === key) ?? null;
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
        given.filter(
          ([c, k]) => KEY_COMMANDS.some((known) => known === c) && typeof k === 'string' && k.length < 20,
        ),
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
      for (const c of KEY_COMMANDS) if (c !== command && key !== '' && keyFor(c, own) === key) own[c] = '';
      own[command] = key;
      return { own };
    }),
  usual: () => set({ own: {}, singles: true }),
  switchSingles: (singles) => set({ singles }),
}));

useKeymap.subscribe(({ own, singles }) => keep(KEPT, { own, singles }));
