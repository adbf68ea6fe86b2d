import { describe, expect, it } from 'vitest';
import { nearest, pointsOf, stepsOf } from './outline';

describe('outlines', () => {
  const round = stepsOf('M0 0C0 -5 10 -5 10 0C10 5 0 5 0 0Z');

  it('are read as they are stored', () => {
    expect(round.map((s) => s.kind).join('')).toBe('MCCZ');
    expect(round[1]).toMatchObject({ from: [0, 0], c1: [0, -5], c2: [10, -5], to: [10, 0] });
    expect(stepsOf('M1.5 -2L3 4Z')[2]).toMatchObject({ kind: 'Z', from: [3, 4], to: [1.5, -2] });
  });

  it('show the point where they meet themselves once', () => {
    expect(pointsOf(round).map((s) => s.at)).toEqual([0, 1]);
    expect(pointsOf(stepsOf('M0 0L5 0L5 5')).length).toBe(3);
  });

  it('tell where a place is nearest', () => {
    expect(nearest(round, [5, -4])).toMatchObject({ at: 1, t: 0.5 });
    expect(nearest(stepsOf('M0 0L10 0L10 10Z'), [4, 5])!.at).toBe(3);
    expect(nearest([], [0, 0])).toBeNull();
  });
});
