import { describe, expect, it } from 'vitest';
import { nudgedOn } from './useNudges';

describe('a row of arrow presses', () => {
  const press = (dx: number, dy: number, into = 'nose') => ({ part: 'nose', dx, dy, into });
  it('is one edit, without the dust of adding tenths', () => {
    let n = nudgedOn(null, press(0.1, 0));
    for (let i = 0; i < 9; i++) n = nudgedOn(n, press(0.1, 0));
    expect(n).toEqual(press(1, 0));
    expect(nudgedOn(n, press(-1, 10))).toEqual(press(0, 10));
  });
  it('begins anew where it goes into something else', () => {
    expect(nudgedOn(press(5, 0), press(1, 0, 'nose at stop 30'))).toEqual(press(1, 0, 'nose at stop 30'));
  });
});
