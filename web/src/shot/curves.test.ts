import { describe, expect, it } from 'vitest';
import type { Dial, DialKey } from '../api/client';
import { bendAt, bent, handleAt } from './curves';
import { type Lane, Paper } from './lanes';

const dial = { id: 'turn', from: -40, to: 40 } as Dial;
const lane: Lane = { key: 'turn', name: 'Turn', kind: 'DIAL', track: null, dial, at: 100, size: 108 };
const curve = { kind: 'curve' as const, x1: 0.3, y1: 0, x2: 0.15, y2: 1 };
const keys: DialKey[] = [
  { frame: 10, value: 0, way: curve, bow: 0 },
  { frame: 30, value: -20, way: { kind: 'hold' }, bow: 0 },
];

describe('the handles of a curve', () => {
  it('stand where its four numbers say, downwards and across', () => {
    const bend = bendAt(keys, 10)!;
    // 80 pixels for 80 degrees, 14 left and right: 0 is 54 into the lane, -20 is 34 into it
    expect(handleAt(bend, 1, lane, new Paper(false, 10))).toEqual([154, 165]);
    expect(handleAt(bend, 2, lane, new Paper(false, 10))).toEqual([134, 135]);
    expect(handleAt(bend, 2, lane, new Paper(true, 10))).toEqual([135, 174]);
  });

  it('go where they are brought, and come back', () => {
    const bend = bendAt(keys, 10)!;
    for (const handle of [1, 2] as const) {
      const [x, y] = handleAt(bend, handle, lane, new Paper(false, 10));
      expect(bent(bend, handle, y / 10 - 0.5, x, lane, false, false)).toEqual(curve);
    }
    expect(bent(bend, 1, 20, 144, lane, false, false)).toEqual({ ...curve, x1: 0.5, y1: 0.5 });
    expect(bent(bend, 2, 99, 134, lane, false, false).x2).toBe(1);
    expect(bent(bend, 1, -5, 154, lane, false, false).x1).toBe(0);
  });

  it('keep their slope when asked to', () => {
    const bend = bendAt(
      [{ frame: 10, value: 0, way: { ...curve, x1: 0.2, y1: 0.4 }, bow: 0 }, keys[1]!],
      10,
    )!;
    expect(bent(bend, 1, 20, 0, lane, false, true)).toMatchObject({ x1: 0.5, y1: 1 });
  });

  it('are only where something bends', () => {
    expect(bendAt(keys, 30)).toBeNull();
    expect(bendAt([keys[0]!, { ...keys[1]!, value: 0 }], 10)).toBeNull();
    expect(bendAt(keys, 11)).toBeNull();
  });
});
