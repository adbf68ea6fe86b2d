import { describe, expect, it } from 'vitest';
import type { Dial } from '../api/client';
import { nextNotch, shown, typed, within } from './values';

const turn: Dial = {
  id: 'turn',
  name: 'Turn',
  purpose: 'TURN',
  from: -60,
  to: 60,
  rest: 0,
  unit: '°',
  stops: [-60, -30, 30, 60].map((at) => ({ at, offsets: {}, ease: { kind: 'even' as const }, reshapes: {} })),
  hinges: {},
  layers: [],
  follows: [],
  bands: [{ part: 'nose', bands: [{ from: 20, to: 60, drawing: 'profile' }] }],
};

describe('values of a dial', () => {
  it('wheels from stop to stop and into bands, and holds at the end', () => {
    expect(nextNotch(turn, 0, true)).toBe(30);
    expect(nextNotch(turn, 30, true)).toBe(40);
    expect(nextNotch(turn, 60, true)).toBe(60);
    expect(nextNotch(turn, 0, false)).toBe(-30);
  });
  it('reads arithmetic', () => {
    expect(typed('12+3*2')).toBe(18);
    expect(typed('-(4-1)/2°')).toBe(-1.5);
    expect(typed('0,5')).toBe(0.5);
  });
  it('refuses nonsense', () => {
    for (const t of ['', 'left', '1+', '2**3', '1/0', '(1', '1 000a', 'alert(1)'])
      expect(typed(t), t).toBeNull();
  });
  it('shows whole degrees plainly', () => {
    expect(shown(turn, -0.001)).toBe('0°');
    expect(shown(turn, 12.34)).toBe('12.3°');
  });

  it('holds a pad inside its edge, on the way from rest', () => {
    const diamond = [
      [1, 0],
      [0, 1],
      [-1, 0],
      [0, -1],
    ];
    expect(within(diamond, [0.3, 0.3], [0, 0])).toEqual([0.3, 0.3]);
    const [x, y] = within(diamond, [1, 1], [0, 0]);
    expect(x).toBeCloseTo(0.5, 9);
    expect(y).toBeCloseTo(0.5, 9);
    expect(within(diamond, [-3, 0], [0, 0])[0]).toBeCloseTo(-1, 9);
    expect(within([], [1, 1], [0, 0])).toEqual([1, 1]);
  });
});
