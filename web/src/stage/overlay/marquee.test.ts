import { describe, expect, it } from 'vitest';
import { within } from './Marquee';

const box = (left: number, top: number, right: number, bottom: number) => ({ left, top, right, bottom });

describe('a frame drawn round parts', () => {
  const parts = [
    { id: 'skin', box: box(0, 0, 100, 100) },
    { id: 'left eye', box: box(20, 30, 40, 45) },
    { id: 'right eye', box: box(60, 30, 80, 45) },
    { id: 'empty', box: box(30, 35, 30, 35) },
  ];
  it('holds what lies in it as a whole, not what it touches', () => {
    expect(within(parts, box(10, 20, 90, 50))).toEqual(['left eye', 'right eye']);
    expect(within(parts, box(10, 20, 70, 50))).toEqual(['left eye']);
    expect(within(parts, box(-5, -5, 105, 105))).toEqual(['skin', 'left eye', 'right eye']);
    expect(within(parts, box(41, 0, 59, 100))).toEqual([]);
  });
});
