// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { drawn, outlineOf } from './elements';
import { bendGradients, fitted } from './gradient';
import type { Shape } from './types';

const box = (x: number, y: number, w: number, h: number) =>
  `M${x} ${y}L${x + w} ${y}L${x + w} ${y + h}L${x} ${y + h}Z`;

const blush: Shape = {
  name: 'cheek',
  role: 'OTHER',
  path: box(0, 0, 40, 20),
  fill: {
    kind: 'gradient',
    radial: true,
    place: [20, 0, 0, 10, 20, 10],
    stops: [
      { at: 0, colour: '#d86050', opacity: 1 },
      { at: 1, colour: '#d86050', opacity: 0 },
    ],
    spread: 'PAD',
    focus: [0, 0],
  },
  rule: 'NONZERO',
  stroke: {
    paint: { kind: 'none' },
    width: 0,
    cap: 'BUTT',
    join: 'MITER',
    miterLimit: 4,
    dashes: [],
    dashOffset: 0,
  },
  opacity: 1,
  masked: false,
  clips: [],
};

describe('gradients of outlines that bend', () => {
  it('go where the points go, and back', () => {
    const e = drawn(blush);
    const path = outlineOf(e)!;
    const place = () => e.querySelector('radialGradient')!.getAttribute('gradientTransform');
    bendGradients(e, path, blush, box(100, 50, 10, 20));
    expect(place()).toBe('matrix(5 0 0 10 105 60)');
    bendGradients(e, path, blush, blush.path);
    expect(place()).toBe('matrix(20 0 0 10 20 10)');
  });

  it('move with points on one line, and stay with others than before', () => {
    expect(fitted('M0 0L10 10L20 20', 'M5 0L15 10L25 20')).toEqual([1, 0, 0, 1, 5, 0]);
    expect(fitted('M0 0L10 10', 'M5 0L15 10L25 20')).toBeNull();
  });
});
