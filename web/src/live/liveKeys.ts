import type { Character } from '../api/client';
import { partRuns } from '../state/partRuns';

/** A key that plays something while a shot is played live. */
export interface LiveKey {
  /** As the browser calls the key wherever it is on the keyboard. */
  code: string;
  shift: boolean;
  /** As it is written on it. */
  says: string;
  kind: 'look' | 'cue';
  id: string;
  name: string;
}

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

/** The keys a rig has given to drawings, kits and runs. */
export function rigKeys(character: Character): Set<string> {
  const { keys, kits } = character.library;
  return new Set([...keys, ...kits, ...partRuns(character.rig)].map((k) => k.key).filter((k) => k !== ''));
}

/** Digits for the looks and, with Shift, for the cues, in their order; what a rig has given a digit to keeps it. */
export function liveKeys(character: Character): LiveKey[] {
  const { looks, cues } = character.library;
  const taken = rigKeys(character);
  const free = DIGITS.filter((d) => !taken.has(d));
  return [
    ...looks.slice(0, free.length).map((l, i) => ({
      code: `Digit${free[i]}`,
      shift: false,
      says: free[i]!,
      kind: 'look' as const,
      id: l.id,
      name: l.name,
    })),
    ...cues.slice(0, DIGITS.length).map((c, i) => ({
      code: `Digit${DIGITS[i]}`,
      shift: true,
      says: `Shift ${DIGITS[i]}`,
      kind: 'cue' as const,
      id: c.id,
      name: c.name,
    })),
  ];
}
