import type { Character, Dial } from '../api/client';

/** What a dial is for, as the shelf puts dials together. */
export const GROUPS = ['head', 'eyes', 'brows', 'face', 'body', 'own'] as const;
export type GroupName = (typeof GROUPS)[number];

export const GROUP_WORDS: Record<GroupName, string> = {
  head: 'Head',
  eyes: 'Eyes',
  brows: 'Brows',
  face: 'Action units',
  body: 'Body',
  own: 'Own',
};

const EYES = /^(EYE|WHITE|IRIS|PUPIL|HIGHLIGHT|UPPER_LID|LOWER_LID|EYE_OUTLINE|LASHES)$/;
const BODY = /^(TORSO|COLLAR|NECK|.*ARM|FOREARM|HAND|.*LEG|FOOT|TAIL|SHOULDER)$/;

/** By its purpose, else by the parts it moves most of, else one of one's own. */
export function groupOf(dial: Dial, character: Character): GroupName {
  if (dial.purpose === 'TURN' || dial.purpose === 'NOD') return 'head';
  if (dial.purpose === 'BLINK' || dial.purpose.startsWith('GAZE')) return 'eyes';
  if (dial.purpose === 'ACTION_UNIT') return 'face';
  const moved = new Set([
    ...dial.stops.flatMap((s) => Object.keys(s.offsets)),
    ...dial.bands.map((b) => b.part),
    ...dial.layers.map((b) => b.part),
  ]);
  const votes = new Map<GroupName, number>();
  for (const p of character.rig.parts) {
    if (!moved.has(p.id)) continue;
    const g: GroupName | null =
      p.role === 'BROW'
        ? 'brows'
        : EYES.test(p.role)
          ? 'eyes'
          : BODY.test(p.role)
            ? 'body'
            : p.role === 'HEAD'
              ? 'head'
              : null;
    if (g) votes.set(g, (votes.get(g) ?? 0) + 1);
  }
  // a dial of one kind of parts belongs to them; one of many kinds is somebody's own
  const best = [...votes].sort((a, b) => b[1] - a[1])[0];
  return best && best[1] * 2 > moved.size ? best[0] : 'own';
}

/** What comes first until somebody pins otherwise: the dials a head is tried with. */
export function usuallyPinned(dials: Dial[], character: Character): string[] {
  const first = (is: (d: Dial) => boolean) => dials.find(is)?.id;
  return [
    first((d) => d.purpose === 'TURN'),
    first((d) => d.purpose === 'NOD'),
    first((d) => d.purpose === 'BLINK'),
    first((d) => groupOf(d, character) === 'brows'),
  ].filter((id) => id !== undefined);
}

export interface Shelved {
  /** A group's name, or 'pinned' for those that always come first. */
  group: GroupName | 'pinned';
  dials: Dial[];
}

/** Whether what is typed is in a dial's name, all its words in any order. */
const fits = (dial: Dial, typed: string) =>
  typed
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((w) => dial.name.toLocaleLowerCase().includes(w));

/**
 * The dials as the shelf shows them: those that are pinned first, then group by group.
 *
 * @param typed only those whose names hold it; every group is looked through then
 * @param only one group, or all
 */
export function shelved(
  character: Character,
  dials: Dial[],
  pinned: string[],
  typed: string,
  only: GroupName | null,
): Shelved[] {
  const found = dials.filter((d) => fits(d, typed.trim()));
  const first = found.filter((d) => pinned.includes(d.id));
  const rest = found.filter((d) => !pinned.includes(d.id));
  const groups = GROUPS.filter((g) => typed.trim() !== '' || only === null || g === only).map((group) => ({
    group,
    dials: rest.filter((d) => groupOf(d, character) === group),
  }));
  return [{ group: 'pinned' as const, dials: first }, ...groups].filter((g) => g.dials.length > 0);
}
