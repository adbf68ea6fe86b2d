import type { LiveTake } from 'page-core';
import type { Character } from '../api/client';
import type { KeptTake } from './liveTakes';

/** Something that was moved in one take or more. */
export interface Moved {
  key: string;
  kind: 'value' | 'drawings';
  id: string;
  name: string;
  from: number;
  to: number;
}

/** A stretch of frames in which a drawing was shown. */
export interface Shown {
  from: number;
  to: number;
  drawing: string;
}

/** What was moved in any of the takes, in the order of the character's own lists. */
export function movedIn(takes: readonly KeptTake[], character: Character): Moved[] {
  const any = (of: (t: LiveTake) => object, id: string) => takes.some((t) => id in of(t.take));
  const dials = character.controls.dials
    .filter((d) => any((t) => t.dials, d.id))
    .map((d): Moved => ({
      key: `dial ${d.id}`,
      kind: 'value',
      id: d.id,
      name: d.name,
      from: d.from,
      to: d.to,
    }));
  const looks = character.library.looks
    .filter((l) => any((t) => t.looks, l.id))
    .map((l): Moved => ({ key: `look ${l.id}`, kind: 'value', id: l.id, name: l.name, from: 0, to: 1 }));
  const parts = character.rig.parts
    .filter((p) => any((t) => t.drawings, p.id))
    .map((p): Moved => ({ key: `part ${p.id}`, kind: 'drawings', id: p.id, name: p.name, from: 0, to: 0 }));
  return [...dials, ...looks, ...parts];
}

/** The frames that all takes lie in. */
export function reach(takes: readonly KeptTake[]): [number, number] {
  return [Math.min(...takes.map((t) => t.take.from)), Math.max(...takes.map((t) => t.take.to))];
}

/**
 * How a dial or a look went in a take: it stands from where it was left until the take ends.
 *
 * @returns an SVG path, frames across and 0 (its highest value) to 1 (its lowest) down; empty when it was not touched
 */
export function curveOf(take: LiveTake, moved: Moved): string {
  const points = (moved.key.startsWith('look') ? take.looks : take.dials)[moved.id] ?? [];
  const last = points.at(-1);
  if (!last) return '';
  const span = moved.to - moved.from || 1;
  const down = (value: number) => Math.max(0, Math.min(1, (moved.to - value) / span));
  const text = (n: number) => String(Math.round(n * 1000) / 1000);
  const at = (frame: number, value: number) => `${text(frame)} ${text(down(value))}`;
  return `M${points.map((p) => at(p.frame, p.value)).join('L')}L${at(Math.max(last.frame, take.to), last.value)}`;
}

/** What a part showed in a take, and from when to when; '' is what the shot itself shows. */
export function shownIn(take: LiveTake, part: string): Shown[] {
  const keys = take.drawings[part] ?? [];
  return keys
    .map((k, i) => ({ from: k.frame, to: keys[i + 1]?.frame ?? take.to, drawing: k.drawing }))
    .filter((s) => s.drawing !== '' && s.to > s.from);
}

/** The stretch between two places of a drag, in whole frames, at least one and within the reach. */
export function stretchOf(a: number, b: number, [from, to]: [number, number]): [number, number] {
  const first = Math.max(from, Math.min(to - 1, Math.floor(Math.min(a, b))));
  return [first, Math.max(first + 1, Math.min(to, Math.ceil(Math.max(a, b))))];
}
