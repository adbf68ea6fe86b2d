import type { LiveTake } from 'page-core';
import { describe, expect, it } from 'vitest';
import type { Character } from '../api/client';
import type { KeptTake } from './liveTakes';
import { curveOf, movedIn, reach, shownIn, stretchOf } from './comparedTakes';

const take = (more: Partial<LiveTake>): LiveTake => ({
  from: 10,
  to: 40,
  dials: {},
  drawings: {},
  looks: {},
  ...more,
});
const kept = (id: string, more: Partial<LiveTake>): KeptTake => ({
  id,
  line: 'l',
  at: '',
  take: take(more),
  ended: true,
});
const character = {
  controls: {
    dials: [
      { id: 'turn', name: 'Turn', from: -45, to: 45 },
      { id: 'blink', name: 'Blink', from: 0, to: 1 },
    ],
  },
  library: { looks: [{ id: 'joy', name: 'Joy' }] },
  rig: { parts: [{ id: 'hand', name: 'Hand', drawings: [] }] },
} as unknown as Character;
const turn = movedIn([kept('a', { dials: { turn: [] } })], character)[0]!;

describe('takes beside each other', () => {
  it('are compared in whatever any of them moved', () => {
    const takes = [
      kept('a', { dials: { turn: [{ frame: 10, value: 1 }] } }),
      kept('b', { looks: { joy: [] }, drawings: { hand: [] }, from: 4, to: 30 }),
    ];
    expect(movedIn(takes, character).map((m) => m.key)).toEqual(['dial turn', 'look joy', 'part hand']);
    expect(reach(takes)).toEqual([4, 40]);
  });

  it('go down as the value falls, and stand where they were left', () => {
    const points = [
      { frame: 12, value: 45 },
      { frame: 20.5, value: 0 },
      { frame: 30, value: -45 },
    ];
    expect(curveOf(take({ dials: { turn: points } }), turn)).toBe('M12 0L20.5 0.5L30 1L40 1');
    expect(curveOf(take({ dials: { turn: [{ frame: 12, value: 900 }] } }), turn)).toBe('M12 0L40 0');
    expect(curveOf(take({}), turn)).toBe('');
  });

  it('show what was held from when to when', () => {
    const hand = [
      { frame: 12, drawing: 'fist' },
      { frame: 20, drawing: '' },
      { frame: 25, drawing: 'open' },
    ];
    expect(shownIn(take({ drawings: { hand } }), 'hand')).toEqual([
      { from: 12, to: 20, drawing: 'fist' },
      { from: 25, to: 40, drawing: 'open' },
    ]);
    expect(shownIn(take({}), 'hand')).toEqual([]);
  });

  it('give a stretch of whole frames whichever way it is dragged, and never one beyond them', () => {
    expect(stretchOf(12.3, 20.1, [10, 40])).toEqual([12, 21]);
    expect(stretchOf(20.1, 12.3, [10, 40])).toEqual([12, 21]);
    expect(stretchOf(12.3, 12.3, [10, 40])).toEqual([12, 13]);
    expect(stretchOf(-5, 99, [10, 40])).toEqual([10, 40]);
    expect(stretchOf(39.9, 60, [10, 40])).toEqual([39, 40]);
    expect(stretchOf(60, 70, [10, 40])).toEqual([39, 40]);
  });
});
