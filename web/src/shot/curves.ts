import type { DialKey, Way } from '../api/client';
import { type Lane, type Paper, placeOf, valueAt } from './lanes';

type Curve = Extract<Way, { kind: 'curve' }>;

/** The two handles of a curve: the one its key lets go with, and the one the next key is reached with. */
export type Handle = 1 | 2;

/** A key whose way bends, and the key it bends towards. */
export interface Bend {
  key: DialKey & { way: Curve };
  next: DialKey;
}

/** What can be bent at a key: nothing where its way is none, or goes nowhere. */
export function bendAt(keys: DialKey[], frame: number): Bend | null {
  const i = keys.findIndex((k) => k.frame === frame);
  const key = keys[i];
  const next = keys[i + 1];
  return key?.way.kind === 'curve' && next && next.value !== key.value
    ? { key: key as Bend['key'], next }
    : null;
}

/** Where a handle stands. */
export function handleAt({ key, next }: Bend, handle: Handle, lane: Lane, paper: Paper): [number, number] {
  const { way } = key;
  const [x, y] = handle === 1 ? [way.x1, way.y1] : [way.x2, way.y2];
  const frame = key.frame + x * (next.frame - key.frame);
  return paper.at(frame + 0.5, placeOf(lane, key.value + y * (next.value - key.value), paper.across));
}

/**
 * The curve with a handle brought to a place.
 *
 * @param frame where it is let go, in frames and parts of one
 * @param into how far into the lane
 * @param sloped whether it keeps its slope and is only drawn out or in
 */
export function bent(
  bend: Bend,
  handle: Handle,
  frame: number,
  into: number,
  lane: Lane,
  across: boolean,
  sloped: boolean,
): Curve {
  const { key, next } = bend;
  const { way } = key;
  const x = Math.max(0, Math.min(1, (frame - key.frame) / (next.frame - key.frame)));
  let y = (valueAt(lane, into, across) - key.value) / (next.value - key.value);
  if (sloped) {
    const [x0, y0, from] = handle === 1 ? [way.x1, way.y1, 0] : [way.x2, way.y2, 1];
    if (x0 !== from) y = from + ((y0 - from) / (x0 - from)) * (x - from);
  }
  const round = (n: number) => Math.round(n * 1000) / 1000 || 0;
  return handle === 1 ? { ...way, x1: round(x), y1: round(y) } : { ...way, x2: round(x), y2: round(y) };
}
