import { describe, expect, it } from 'vitest';
import type { FrameSeries, Placed } from '../api/client';
import { frameOf, nearest } from './series';

const at = (part: string, x: number): Placed => ({
  part,
  drawing: 'd',
  matrix: [1, 0, 0, 1, x, 0],
  opacity: 1,
  windows: [],
});

const series: FrameSeries = {
  at: [-1, 0, 1],
  first: { placed: [at('hair', 0), at('nose', 0)] },
  changes: [
    { placed: [], gone: [] },
    { placed: [at('nose', 5)], gone: [] },
    { placed: [at('curl', 2)], gone: ['hair'] },
  ],
};
const order = ['curl', 'hair', 'nose'];

describe('frames of a series', () => {
  it('gives the first frame unchanged', () => {
    expect(frameOf(series, 0, order).placed.map((p) => p.part)).toEqual(['hair', 'nose']);
  });
  it('moves only what changed', () => {
    expect(frameOf(series, 1, order).placed.map((p) => p.matrix[4])).toEqual([0, 5]);
  });
  it('takes out what is gone and stacks what is new where it belongs', () => {
    expect(frameOf(series, 2, order).placed.map((p) => p.part)).toEqual(['curl', 'nose']);
  });
  it('finds the nearest sample and holds at the ends', () => {
    expect([-9, -0.4, 0.6, 9].map((v) => nearest(series.at, v))).toEqual([0, 1, 2, 2]);
  });
});
