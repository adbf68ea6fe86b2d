import { describe, expect, it } from 'vitest';
import type { DialKey } from '../api/client';
import { bentTo, keyedWay, middleOf } from './padPaths';

const key = (frame: number, value: number, kind: 'hold' | 'smooth' = 'smooth', bow = 0): DialKey => ({
  frame,
  value,
  way: { kind },
  bow,
});

describe('the way of a pad', () => {
  const across = [key(4, -1), key(20, 1), key(30, 0, 'hold')];
  const down = [key(4, 0, 'smooth', 0.5), key(20, 0), key(28, 1, 'hold')];

  it('runs between keys that both dials have on the same frames', () => {
    expect(keyedWay(across, down, 3)).toBeNull();
    expect(keyedWay(across, down, 4)).toMatchObject({ from: 4, to: 20 });
    expect(keyedWay(across, down, 19)).toMatchObject({ from: 4, to: 20 });
    // the next keys stand on other frames
    expect(keyedWay(across, down, 20)).toBeNull();
    expect(keyedWay(across, [], 10)).toBeNull();
    expect(keyedWay([key(4, 1, 'hold'), key(9, 2)], [key(4, 1, 'hold'), key(9, 2)], 5)).toBeNull();
  });

  it('passes its middle by as much as it is bent, and is bent to pass elsewhere', () => {
    const way = keyedWay(across, down, 10)!;
    expect(middleOf(way)).toEqual([0, 0.5]);
    const [a, d] = bentTo(way, 0.25, -0.75);
    expect([a.bow, d.bow]).toEqual([0.25, -0.75]);
    expect(middleOf({ ...way, across: [a, way.across[1]], down: [d, way.down[1]] })).toEqual([0.25, -0.75]);
  });

  it('leaves a dial that is held where it is', () => {
    const way = keyedWay([key(4, -1), key(20, 1)], [key(4, 0, 'hold'), key(20, 1)], 10)!;
    expect(bentTo(way, 0, 0.3)[1].bow).toBe(0);
  });
});
