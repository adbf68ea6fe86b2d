import type { Kit, Part } from '../../api/client';

/** Roles whose drawings follow the line, the eyes or the turn, not what somebody wears. */
const LED = new Set(['MOUTH', 'PUPIL', 'WHITE', 'UPPER_LID', 'LOWER_LID', 'EYE_OUTLINE', 'NOSE', 'VIEW']);
/** Roles that come off altogether. */
const WORN = new Set(['CAP', 'EXTRA_HAIR', 'OTHER', 'COLLAR']);

/** Parts that can be exchanged or taken off: clothes and hair before hands, and what has most to choose from first. */
export function wardrobe(parts: Part[]): Part[] {
  return parts
    .filter(
      (p) => !LED.has(p.role) && (p.drawings.length > 1 || (p.drawings.length === 1 && WORN.has(p.role))),
    )
    .sort(
      (a, b) =>
        Number(a.role === 'HAND') - Number(b.role === 'HAND') || b.drawings.length - a.drawings.length,
    );
}

/** Kits under the sets they are offered in, in the order they were kept. */
export function bySet(kits: Kit[]): [string, Kit[]][] {
  const sets = new Map<string, Kit[]>();
  for (const k of kits) sets.set(k.set, [...(sets.get(k.set) ?? []), k]);
  return [...sets];
}

/** Which of some kits is on: the first whose every choice is what is shown; -1 for none. */
export function worn(kits: Kit[], shown: (part: string) => string | undefined): number {
  return kits.findIndex((k) => Object.entries(k.choices).every(([part, d]) => shown(part) === d));
}
