import { describe, expect, it } from 'vitest';
import { offStand } from './offStand';

const canvas = { width: 900, height: 900 };
const off = (dx: number, dy: number, scale = 1) => offStand({ dx, dy, scale, canvas, needed: true });

describe('where a figure stands', () => {
  it('is told by how far and which way it is off', () => {
    expect(off(0.0003, 100)).toBe('It stands 100 above the ground line.');
    expect(off(-0.2, 41)).toBe('It stands 0.2 to the right of the middle and 41 above the ground line.');
    expect(off(12.34, -3)).toBe('It stands 12.3 to the left of the middle and 3 below the ground line.');
  });
  it('is told by what of it fits where it is too large or too small', () => {
    expect(off(5, 5, 0.1124)).toBe('Too large for the canvas: 11.2 % fits.');
    expect(off(5, 5, 3)).toBe('Too small for the canvas: 300 % fits.');
  });
});
