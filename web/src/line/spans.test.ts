import { describe, expect, it } from 'vitest';
import { spans, wavePath } from './spans';

describe('runs of frames', () => {
  it('joins neighbours that show the same and keeps every frame', () => {
    const runs = spans(['rest', 'rest', 'ah', 'rest']);
    expect(runs).toEqual([
      { from: 0, to: 1, what: 'rest' },
      { from: 2, to: 2, what: 'ah' },
      { from: 3, to: 3, what: 'rest' },
    ]);
  });
  it('has no runs without frames', () => expect(spans([])).toEqual([]));
  it('draws a wave form to the height of its loudest place', () => {
    expect(wavePath([0.1, 0.5])).toBe('M0 -0.200L1 -1.000L1 1.000L0 0.200Z');
  });
});
