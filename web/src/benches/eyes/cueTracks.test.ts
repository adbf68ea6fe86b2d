import { describe, expect, it } from 'vitest';
import { addKey, moveKey, valueAt } from './cueTracks';

const keys = [
  { frame: 0, by: 0 },
  { frame: 4, by: 1 },
  { frame: 10, by: -0.5 },
];

describe('the keys of a cue', () => {
  it('go evenly between keys and hold outside them', () => {
    expect(valueAt(keys, 0)).toBe(0);
    expect(valueAt(keys, 2)).toBe(0.5);
    expect(valueAt(keys, 7)).toBeCloseTo(0.25);
    expect(valueAt(keys, 40)).toBe(-0.5);
  });

  it('are put on whole frames and stay in order when one passes another', () => {
    const moved = moveKey(keys, 1, 11.6, 0.3, 240);
    expect(moved.map((k) => k.frame)).toEqual([0, 10, 12]);
    expect(moved[2]!.by).toBe(0.3);
  });

  it('never fall on one another or before the cue', () => {
    expect(moveKey(keys, 1, 10, 0.3, 240)[1]).toEqual({ frame: 4, by: 0.3 });
    expect(moveKey(keys, 0, -7, 0, 240)[0]!.frame).toBe(0);
    expect(moveKey(keys, 2, 999, 0, 240)[2]!.frame).toBe(239);
  });

  it('gain one on the way without a change of the way', () => {
    const more = addKey(keys, 2);
    expect(more).toHaveLength(4);
    for (const f of [0, 1, 3, 6, 10]) expect(valueAt(more, f)).toBeCloseTo(valueAt(keys, f));
    expect(addKey(keys, 4)).toBe(keys);
  });
});
