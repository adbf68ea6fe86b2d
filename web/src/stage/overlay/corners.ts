import type { Painter } from '../painter';
import type { ViewBox } from '../view';
import type { XY } from './geometry';
import { shownBox } from './shownBox';

export interface Corners {
  nw: XY;
  ne: XY;
  se: XY;
  sw: XY;
}

/** The corners of what a part shows, on the canvas, with some air round it. */
export function cornersOf(painter: Painter | null, part: string, air: number): Corners | null {
  const shown = shownBox(painter, part);
  if (!shown) return null;
  const { box: b, matrix: m, at } = shown;
  const wide = air / Math.max(1e-6, Math.hypot(m.a, m.b));
  const tall = air / Math.max(1e-6, Math.hypot(m.c, m.d));
  return {
    nw: at(b.x - wide, b.y - tall),
    ne: at(b.x + b.width + wide, b.y - tall),
    se: at(b.x + b.width + wide, b.y + b.height + tall),
    sw: at(b.x - wide, b.y + b.height + tall),
  };
}

export const mid = (a: XY, b: XY): XY => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];

/** Where a part is taken to turn it: off the middle of its first edge whose outside is in view. */
export function turnKnob(c: Corners, view: ViewBox, out: number): [XY, XY] {
  const centre = mid(c.nw, c.se);
  const edges = [mid(c.nw, c.ne), mid(c.ne, c.se), mid(c.nw, c.sw), mid(c.sw, c.se)];
  const off = (e: XY): XY => {
    const l = Math.max(1e-6, Math.hypot(e[0] - centre[0], e[1] - centre[1]));
    return [e[0] + ((e[0] - centre[0]) / l) * out, e[1] + ((e[1] - centre[1]) / l) * out];
  };
  const air = out / 3;
  const seen = ([x, y]: XY) =>
    x > view.x + air && x < view.x + view.w - air && y > view.y + air && y < view.y + view.h - air;
  const edge = edges.find((e) => seen(off(e))) ?? edges[0]!;
  return [edge, off(edge)];
}
