import { describe, expect, it } from 'vitest';
import type { FrameSeries, Placed } from '../api/client';
import { frameOf, nearest, sampleOn, steadied } from './series';

const at = (part: string, x: number): Placed => ({
  part,
  drawing: 'd',
  matrix: [1, 0, 0, 1, x, 0],
  opacity: 1,
  windows: [],
});

const series: FrameSeries = {
  at: [-1, 0, 1],
  edges: [],
  hysteresis: 0,
  first: { placed: [at('hair', 0), at('nose', 0)] },
  changes: [
    { placed: [], gone: [], order: [] },
    { placed: [at('nose', 5)], gone: [], order: ['nose', 'hair'] },
    { placed: [at('curl', 2)], gone: ['hair'], order: [] },
  ],
};
const order = ['curl', 'hair', 'nose'];

describe('frames of a series', () => {
  it('gives the first frame unchanged', () => {
    expect(frameOf(series, 0, order).placed.map((p) => p.part)).toEqual(['hair', 'nose']);
  });
  it('moves only what changed', () => {
    expect(
      frameOf(series, 1, order)
        .placed.map((p) => p.matrix[4])
        .sort(),
    ).toEqual([0, 5]);
  });
  it('stacks a frame as it says where some drawing lies elsewhere', () => {
    expect(frameOf(series, 1, order).placed.map((p) => p.part)).toEqual(['nose', 'hair']);
  });
  it('takes out what is gone and stacks what is new where it belongs', () => {
    expect(frameOf(series, 2, order).placed.map((p) => p.part)).toEqual(['curl', 'nose']);
  });
  it('finds the nearest sample and holds at the ends', () => {
    expect([-9, -0.4, 0.6, 9].map((v) => nearest(series.at, v))).toEqual([0, 1, 2, 2]);
  });

  it('keeps a drawing while a hand trembles about its edge, and lets go beyond', () => {
    const edges = [-18, 18];
    let last: number | null = null;
    const hand = (value: number) => (last = steadied(edges, 2.4, last, value));
    expect(hand(17)).toBe(17);
    expect(hand(18.5)).toBeLessThan(18);
    expect(hand(17.9)).toBe(17.9);
    expect(hand(20)).toBeLessThan(18);
    expect(hand(21)).toBe(21);
    expect(hand(16.5)).toBe(18);
    expect(hand(15)).toBe(15);
    expect(hand(-60)).toBe(-60);
    expect(steadied(edges, 2.4, null, 18.1)).toBe(18.1);
  });

  it('takes a sample on the value’s own side of an edge', () => {
    const samples = [0, 10, 20, 30];
    expect(sampleOn(samples, [20], 19.9)).toBe(1);
    expect(sampleOn(samples, [20], 20)).toBe(2);
    expect(sampleOn(samples, [14], 14)).toBe(2);
    expect(sampleOn(samples, [], 19.9)).toBe(2);
  });
});
