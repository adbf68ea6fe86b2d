import { describe, expect, it } from 'vitest';
import { between, takenApart } from './outlines';

describe('outlines between two', () => {
  const a = takenApart('M0 0C1 -2 3 4 5 6Z');
  const b = takenApart('M10 20C11 -4 3 4 5.5 6Z');

  it('are the two at the ends', () => {
    expect(between(a, b, 0)).toBe('M0 0C1 -2 3 4 5 6Z');
    expect(between(a, b, 1)).toBe('M10 20C11 -4 3 4 5.5 6Z');
  });

  it('have every point on the straight way from one to the other', () => {
    expect(between(a, b, 0.5)).toBe('M5 10C6 -3 3 4 5.25 6Z');
  });

  it('are the nearer one when the points are not the same', () => {
    const c = takenApart('M1 1L2 2Z');
    expect(between(a, c, 0.4)).toBe('M0 0C1 -2 3 4 5 6Z');
    expect(between(a, c, 0.6)).toBe('M1 1L2 2Z');
    const moved = takenApart('M0 0L1 -2 3 4 5 6Z');
    expect(between(a, moved, 0.9)).toBe('M0 0L1 -2 3 4 5 6Z');
  });

  it('reads what a number can be written as', () => {
    expect(takenApart('M-0.5 1e-3L2E2 -7').numbers).toEqual([-0.5, 0.001, 200, -7]);
  });
});
