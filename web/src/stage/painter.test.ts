// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest';
import type { Artwork, Character, Frame, Placed, Shape } from '../api/client';
import { Painter } from './painter';
import { paintDrawing } from './alone';

const shape = (over: Partial<Shape> = {}): Shape => ({
  name: '',
  role: 'OTHER',
  path: 'M0 0L9 9Z',
  fill: { kind: 'flat', colour: '#aa0000', opacity: 1 },
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
  ...over,
});
const artwork: Artwork = {
  white: [shape({ path: 'M1 1L5 5Z' })],
  pupil: [shape({ path: 'M2 2L3 3Z' })],
  open: [shape({ role: 'WINDOW', path: 'M4 4L8 8Z' }), shape({ role: 'TONGUE', masked: true })],
  shut: [
    shape({
      fill: { kind: 'none' },
      stroke: { ...shape().stroke, paint: { kind: 'flat', colour: '#000000', opacity: 0.5 }, width: 3 },
    }),
  ],
};
const part = (id: string, ...drawings: string[]) => ({
  id,
  drawings: drawings.map((d) => ({ id: d, name: d, art: d })),
});
const character = {
  rig: {
    parts: [part('eye', 'white'), part('pupil', 'pupil'), part('mouth', 'open', 'shut')],
    order: ['eye', 'pupil', 'mouth'],
  },
} as unknown as Character;
const placed = (id: string, drawing: string, over: Partial<Placed> = {}): Placed => ({
  part: id,
  drawing,
  matrix: [1, 0, 0, 1, 0, 0],
  opacity: 1,
  windows: [],
  ...over,
});
const frame = (...all: Placed[]): Frame => ({ placed: all });

describe('the painter', () => {
  let root: SVGGElement;
  let painter: Painter;
  const group = (id: string) => root.querySelector(`[data-part=${id}]`)!;
  const shown = (id: string) =>
    [...group(id).children].filter((g) => (g as SVGGElement).style.display !== 'none').length;

  beforeEach(() => {
    root = document.createElementNS('http://www.w3.org/2000/svg', 'g');
    painter = new Painter(root, character, artwork);
  });

  it('stacks parts in the order of the character', () => {
    expect([...root.querySelectorAll('[data-part]')].map((g) => g.getAttribute('data-part'))).toEqual(
      character.rig.order,
    );
  });

  it('lays a part where the frame has it, and back again', () => {
    const laid = () => [...root.querySelectorAll('[data-part]')].map((g) => g.getAttribute('data-part'));
    const low = frame(placed('mouth', 'open'), placed('pupil', 'pupil'));
    painter.show(frame(placed('pupil', 'pupil'), placed('mouth', 'open')));
    const usual = laid();
    expect(usual.indexOf('pupil')).toBeLessThan(usual.indexOf('mouth'));
    painter.show(low);
    expect(laid().indexOf('mouth')).toBeLessThan(laid().indexOf('pupil'));
    painter.show(frame(placed('pupil', 'pupil'), placed('mouth', 'open')));
    expect(laid().indexOf('pupil')).toBeLessThan(laid().indexOf('mouth'));
  });

  it('gives shapes the outlines of a frame that bends them, and their own again after it', () => {
    const paths = (id: string) =>
      [...group(id).querySelectorAll('[data-shape]')].map((e) => e.getAttribute('d'));
    painter.show(frame(placed('mouth', 'open')));
    expect(paths('mouth')).toEqual(['M4 4L8 8Z', 'M0 0L9 9Z']);
    painter.show(frame(placed('mouth', 'open', { outlines: ['M4 5L8 9Z', 'M0 1L9 10Z'] })));
    expect(paths('mouth')).toEqual(['M4 5L8 9Z', 'M0 1L9 10Z']);
    // what shows only through the drawing's own window is cut by the bent one
    expect(root.querySelector('clipPath[id$="-in-mouth-open"] path')!.getAttribute('d')).toBe('M4 5L8 9Z');
    painter.show(frame(placed('mouth', 'open')));
    expect(paths('mouth')).toEqual(['M4 4L8 8Z', 'M0 0L9 9Z']);
    expect(root.querySelector('clipPath[id$="-in-mouth-open"] path')!.getAttribute('d')).toBe('M4 4L8 8Z');
  });

  it('masks with a window as it is bent', () => {
    const clip = () => root.querySelector('clipPath[id$="-w-eye"] path')!.getAttribute('d');
    const look = (outlines?: string[]) =>
      frame(placed('eye', 'white', { outlines }), placed('pupil', 'pupil', { windows: ['eye'] }));
    painter.show(look());
    expect(clip()).toBe('M1 1L5 5Z');
    painter.show(look(['M1 3L5 7Z']));
    expect(clip()).toBe('M1 3L5 7Z');
    painter.show(look());
    expect(clip()).toBe('M1 1L5 5Z');
  });

  it('bends a drawing that comes back after another one had its place', () => {
    const outlines = ['M4 5L8 9Z', 'M0 1L9 10Z'];
    painter.show(frame(placed('mouth', 'open', { outlines })));
    painter.show(frame(placed('mouth', 'shut')));
    painter.show(frame(placed('mouth', 'open')));
    expect(group('mouth').querySelector('[data-shape="0"]')!.getAttribute('d')).toBe('M4 4L8 8Z');
  });

  it('keeps a bend when the art under it is drawn anew', () => {
    painter.show(frame(placed('pupil', 'pupil', { outlines: ['M2 9L3 9Z'] })));
    painter.redraw([{ part: 'pupil', drawing: 'pupil', shapes: [shape({ path: 'M7 7L8 8Z' })] }]);
    expect(group('pupil').querySelector('[data-shape]')!.getAttribute('d')).toBe('M2 9L3 9Z');
    painter.redraw([]);
    painter.show(frame(placed('pupil', 'pupil')));
    expect(group('pupil').querySelector('[data-shape]')!.getAttribute('d')).toBe('M2 2L3 3Z');
  });

  it('shows one drawing at a time and keeps the other for later', () => {
    painter.show(frame(placed('mouth', 'open')));
    const open = group('mouth').children[0];
    painter.show(frame(placed('mouth', 'shut')));
    expect(shown('mouth')).toBe(1);
    painter.show(frame(placed('mouth', 'open')));
    expect(group('mouth').children[0]).toBe(open);
    expect(group('mouth').children).toHaveLength(2);
  });

  it('hides a part that is not in the frame, and brings it back', () => {
    painter.show(frame(placed('pupil', 'pupil')));
    painter.show(frame());
    expect(shown('pupil')).toBe(0);
    painter.show(frame(placed('pupil', 'pupil')));
    expect(shown('pupil')).toBe(1);
  });

  it('moves a window together with the part whose fill it is', () => {
    painter.show(frame(placed('eye', 'white'), placed('pupil', 'pupil', { windows: ['eye'] })));
    const outer = group('pupil').parentElement!;
    const id = outer.getAttribute('clip-path')!.match(/#([^)]+)/)![1]!;
    const clip = () => root.querySelector(`clipPath[id="${id}"] path`)!;
    expect(clip().getAttribute('d')).toBe('M1 1L5 5Z');
    painter.show(
      frame(
        placed('eye', 'white', { matrix: [1, 0, 0, 1, 7, 0] }),
        placed('pupil', 'pupil', { windows: ['eye'] }),
      ),
    );
    expect(clip().getAttribute('transform')).toBe('matrix(1 0 0 1 7 0)');
  });

  it('takes a mask off when the window shows nothing', () => {
    painter.show(frame(placed('eye', 'white'), placed('pupil', 'pupil', { windows: ['eye'] })));
    painter.show(frame(placed('pupil', 'pupil')));
    expect(group('pupil').parentElement!.hasAttribute('clip-path')).toBe(false);
  });

  it('nests one group for each of two windows', () => {
    painter.show(
      frame(
        placed('eye', 'white'),
        placed('mouth', 'shut'),
        placed('pupil', 'pupil', { windows: ['eye', 'mouth'] }),
      ),
    );
    const inner = group('pupil').parentElement!;
    expect(inner.getAttribute('clip-path')).toContain('mouth');
    expect(inner.parentElement!.getAttribute('clip-path')).toContain('eye');
  });

  /** What a mask takes out, which a part is seen through. */
  const taken = (id: string) => {
    const name = group(id)
      .parentElement!.getAttribute('mask')!
      .match(/#([^)]+)/)![1]!;
    return root.querySelector(`mask[id="${name}"] g`)!;
  };

  it('takes the moved fill of another part out of one that shows past its edge', () => {
    painter.show(frame(placed('eye', 'white'), placed('pupil', 'pupil', { outside: ['eye'] })));
    expect(taken('pupil').querySelector('path')!.getAttribute('d')).toBe('M1 1L5 5Z');
    expect(taken('pupil').previousElementSibling!.getAttribute('fill')).toBe('#fff');
    painter.show(
      frame(
        placed('eye', 'white', { matrix: [1, 0, 0, 1, 7, 0] }),
        placed('pupil', 'pupil', { outside: ['eye'] }),
      ),
    );
    expect(taken('pupil').getAttribute('transform')).toBe('matrix(1 0 0 1 7 0)');
    painter.show(frame(placed('eye', 'white'), placed('pupil', 'pupil')));
    expect(group('pupil').parentElement!.hasAttribute('mask')).toBe(false);
  });

  it('takes out of what is held what the fingers paint, lines included, and nothing of the palm', () => {
    const hands: Artwork = {
      ...artwork,
      white: [
        shape({ path: 'M0 0L9 9Z' }),
        shape({
          path: 'M2 2L4 4Z',
          role: 'FINGERS',
          stroke: { ...shape().stroke, paint: { kind: 'flat', colour: '#123456', opacity: 1 }, width: 3 },
        }),
      ],
    };
    painter = new Painter(root, character, hands);
    painter.show(frame(placed('eye', 'white'), placed('pupil', 'pupil', { behind: ['eye'] })));
    const paths = [...taken('pupil').querySelectorAll('path')];
    expect(paths.map((p) => p.getAttribute('d'))).toEqual(['M2 2L4 4Z']);
    expect(paths[0]!.getAttribute('stroke-width')).toBe('3');
    // a hand that bends takes its fingers along
    const outlines = ['M0 0L9 9Z', 'M3 3L4 4Z'];
    painter.show(frame(placed('eye', 'white', { outlines }), placed('pupil', 'pupil', { behind: ['eye'] })));
    expect(taken('pupil').querySelector('path')!.getAttribute('d')).toBe('M3 3L4 4Z');
  });

  it('masks only what lies behind a drawing’s own window', () => {
    paintDrawing(root, artwork.open!);
    const paths = [...root.children].filter((e) => e.tagName === 'path');
    expect(paths.map((p) => p.hasAttribute('clip-path'))).toEqual([false, true]);
  });

  it('draws lines with their own opacity and no fill', () => {
    painter.show(frame(placed('mouth', 'shut')));
    const path = group('mouth').querySelector('path')!;
    expect([
      path.getAttribute('fill'),
      path.getAttribute('stroke'),
      path.getAttribute('stroke-opacity'),
    ]).toEqual(['none', '#000000', '0.5']);
  });

  it('draws what the art itself cuts, dashes and shades', () => {
    const gradient = {
      kind: 'gradient' as const,
      radial: true,
      place: [2, 0, 0, 2, 1, 1],
      stops: [
        { at: 0, colour: '#ffffff', opacity: 1 },
        { at: 1, colour: '#000000', opacity: 0.5 },
      ],
      spread: 'REFLECT' as const,
      focus: [0.25, 0],
    };
    paintDrawing(root, [
      shape({
        stroke: { ...shape().stroke, paint: gradient, width: 2, dashes: [3, 1], dashOffset: 2 },
        clips: [
          { path: 'M0 0L4 0L4 4Z', rule: 'NONZERO' },
          { path: '', rule: 'EVENODD' },
        ],
      }),
    ]);
    const path = root.querySelector('path[stroke]')!;
    const shade = root.querySelector('radialGradient')!;
    expect(path.getAttribute('stroke')).toBe(`url(#${shade.id})`);
    expect(path.getAttribute('stroke-dasharray')).toBe('3 1');
    expect(path.getAttribute('stroke-dashoffset')).toBe('2');
    expect(shade.getAttribute('fx')).toBe('0.25');
    expect(shade.getAttribute('spreadMethod')).toBe('reflect');
    const cuts = [...root.querySelectorAll('clipPath')].map((c) => `url(#${c.id})`);
    expect(cuts).toHaveLength(2);
    // each cut in a group of its own, so that they intersect; an empty one lets nothing through
    expect(path.parentElement!.getAttribute('clip-path')).toBe(cuts[0]);
    expect(path.parentElement!.parentElement!.getAttribute('clip-path')).toBe(cuts[1]);
    expect(root.querySelectorAll('clipPath')[1]!.firstElementChild!.getAttribute('d')).toBe('M0 0');
  });
});
