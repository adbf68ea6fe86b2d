import { describe, expect, it } from 'vitest';
import { nearest } from './series';

describe('places that rise evenly', () => {
  it('finds the nearest, and the ends beyond them', () => {
    const at = [-60, -30, 0, 30, 60];
    expect([-90, -46, -44, 1, 59, 300].map((v) => nearest(at, v))).toEqual([0, 0, 1, 2, 4, 4]);
  });

  it('is the first when there is but one', () => {
    expect(nearest([5], 9)).toBe(0);
    expect(nearest([], 9)).toBe(0);
  });
});
