import type { DialKey } from '../api/client';

/** The stretch between two keys that both dials of a pad have on the same frames. */
export interface KeyedWay {
  from: number;
  to: number;
  across: [DialKey, DialKey];
  down: [DialKey, DialKey];
}

/** The way that is under way at a frame; null where the dials are not keyed together, or stand still between their keys. */
export function keyedWay(across: DialKey[], down: DialKey[], frame: number): KeyedWay | null {
  const a = around(across, frame);
  const d = around(down, frame);
  if (!a || !d || a[0].frame !== d[0].frame || a[1].frame !== d[1].frame) return null;
  return a[0].way.kind === 'hold' && d[0].way.kind === 'hold'
    ? null
    : { from: a[0].frame, to: a[1].frame, across: a, down: d };
}

/** The keys before and behind a frame. */
function around(keys: DialKey[], frame: number): [DialKey, DialKey] | null {
  const i = keys.findLastIndex((k) => k.frame <= frame);
  const key = keys[i];
  const next = keys[i + 1];
  return key && next ? [key, next] : null;
}

const middle = ([key, next]: [DialKey, DialKey]) => (key.value + next.value) / 2;

/** Where the bent way passes its middle. */
export const middleOf = (way: KeyedWay): [number, number] => [
  middle(way.across) + way.across[0].bow,
  middle(way.down) + way.down[0].bow,
];

/** The keys it begins with, bent so that it passes there; a dial that is held cannot be bent. */
export function bentTo(way: KeyedWay, x: number, y: number): [DialKey, DialKey] {
  const bent = (pair: [DialKey, DialKey], to: number): DialKey => ({
    ...pair[0],
    bow: pair[0].way.kind === 'hold' ? 0 : Math.round((to - middle(pair)) * 1e4) / 1e4 || 0,
  });
  return [bent(way.across, x), bent(way.down, y)];
}
