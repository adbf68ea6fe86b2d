import { describe, expect, it } from 'vitest';
import { pressedOn, stepOf } from './usePresses';

describe('a row of arrow presses', () => {
  const first = () => null;
  const press = (dx: number, dy: number, into = 'nose', make = first) => ({ into, dx, dy, make });
  it('is one edit, without the dust of adding tenths', () => {
    let n = pressedOn(null, press(0.1, 0));
    for (let i = 0; i < 9; i++) n = pressedOn(n, press(0.1, 0));
    expect(n).toEqual(press(1, 0));
    expect(pressedOn(n, press(-1, 10))).toEqual(press(0, 10));
  });
  it('begins anew where it goes into something else', () => {
    expect(pressedOn(press(5, 0), press(1, 0, 'nose at stop 30'))).toEqual(press(1, 0, 'nose at stop 30'));
  });
  it('goes on from where the thing stood when it began', () => {
    const later = () => null;
    expect(pressedOn(press(5, 0), press(1, 0, 'nose', later)).make).toBe(first);
    expect(pressedOn(press(5, 0), press(1, 0, 'brow', later)).make).toBe(later);
  });
  it('goes by 1, by 10 with Shift and by a tenth with Alt', () => {
    const key = (k: string, shiftKey = false, altKey = false) => stepOf({ key: k, shiftKey, altKey });
    expect(key('ArrowLeft')).toEqual([-1, 0]);
    expect(key('ArrowDown', true)).toEqual([0, 10]);
    expect(key('ArrowUp', false, true)).toEqual([0, -0.1]);
    expect(key('a')).toBeNull();
  });
});
