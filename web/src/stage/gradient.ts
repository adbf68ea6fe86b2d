import type { Shape } from './types';

type Matrix = number[];

function points(path: string): [number, number][] {
  const n = (path.match(/-?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? []).map(Number);
  return Array.from({ length: n.length >> 1 }, (_, i) => [n[2 * i]!, n[2 * i + 1]!]);
}

const middle = (all: [number, number][], k: 0 | 1) => all.reduce((sum, p) => sum + p[k], 0) / all.length;

/** Points on one line, to this share of their spread, say nothing of what lies beside it. */
const FLAT = 1e-9;

/** The affine map that takes the points of one outline nearest to those of another, as the server's painters have it. */
export function fitted(drawn: string, now: string): Matrix | null {
  const from = points(drawn);
  const to = points(now);
  if (from.length === 0 || from.length !== to.length) return null;
  const [ax, ay, bx, by] = [middle(from, 0), middle(from, 1), middle(to, 0), middle(to, 1)];
  let [xx, xy, yy, xu, xv, yu, yv] = [0, 0, 0, 0, 0, 0, 0];
  from.forEach(([px, py], i) => {
    const [x, y, u, v] = [px - ax, py - ay, to[i]![0] - bx, to[i]![1] - by];
    xx += x * x;
    xy += x * y;
    yy += y * y;
    xu += x * u;
    xv += x * v;
    yu += y * u;
    yv += y * v;
  });
  const det = xx * yy - xy * xy;
  if (det <= FLAT * (xx + yy) ** 2) return [1, 0, 0, 1, bx - ax, by - ay];
  const [a, c] = [(xu * yy - yu * xy) / det, (yu * xx - xu * xy) / det];
  const [b, d] = [(xv * yy - yv * xy) / det, (yv * xx - xv * xy) / det];
  return [a, b, c, d, bx - a * ax - c * ay, by - b * ax - d * ay];
}

function times([a, b, c, d, e, f]: Matrix, m: Matrix): Matrix {
  return [
    a! * m[0]! + c! * m[1]!,
    b! * m[0]! + d! * m[1]!,
    a! * m[2]! + c! * m[3]!,
    b! * m[2]! + d! * m[3]!,
    a! * m[4]! + c! * m[5]! + e!,
    b! * m[4]! + d! * m[5]! + f!,
  ];
}

/** Takes the gradients of a shape along with its outline. */
export function bendGradients(root: SVGElement, path: SVGElement, s: Shape, outline: string): void {
  for (const [name, paint] of [
    ['fill', s.fill],
    ['stroke', s.stroke.paint],
  ] as const) {
    const id = /^url\(#(.*)\)$/.exec(path.getAttribute(name) ?? '')?.[1];
    if (paint.kind !== 'gradient' || !id) continue;
    const by = outline === s.path ? null : fitted(s.path, outline);
    const place = by ? times(by, paint.place) : paint.place;
    root.querySelector(`[id="${id}"]`)?.setAttribute('gradientTransform', `matrix(${place.join(' ')})`);
  }
}
