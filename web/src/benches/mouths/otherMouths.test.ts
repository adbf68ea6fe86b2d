import { describe, expect, it } from 'vitest';
import type { Drawing, WallView } from '../../api/client';
import { otherMouths } from './OtherMouths';

const drawing = (id: string) => ({ id, name: id }) as Drawing;
const cell = (viseme: string, shows: string, between = '') => ({ viseme, drawing: shows, between });
const wall = {
  sounds: [
    { viseme: 'AH', sounds: 'ah' },
    { viseme: 'OO', sounds: 'oo' },
  ],
  rows: [
    { mood: '', cells: [cell('AH', 'open'), cell('OO', 'round', 'half')] },
    { mood: 'happy', cells: [cell('AH', 'open', 'half'), cell('OO', 'round')] },
  ],
} as unknown as WallView;

describe('mouths beside the sounds', () => {
  it('are those no cell of any row shows, with what they lead into', () => {
    expect(otherMouths(wall, ['open', 'round', 'half', 'whistle'].map(drawing))).toEqual([
      { drawing: drawing('half'), into: 'oo, ah' },
      { drawing: drawing('whistle'), into: '' },
    ]);
    expect(otherMouths(wall, [drawing('open')])).toEqual([]);
  });
});
