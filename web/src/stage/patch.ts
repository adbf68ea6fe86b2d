import type { Paint } from './types';

/** A piece cut out of a picture made of pixels, which goes with the triangle it fills. */
export type Patch = Extract<Paint, { kind: 'patch' }>;

/** How much further than its sides a corner may go, as in the server's painters. */
const FURTHEST = 6;

function numbers(path: string): number[] {
  return (path.match(/-?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? []).map(Number);
}

/** Within what a piece of a picture is painted: its triangle with every side further out by a pixel, over its neighbours. */
export function covered(patch: Patch, path: string): string {
  const n = numbers(path);
  if (n.length < 6) return path;
  const [a, b, c, d] = placeIn(patch, path);
  const by = Math.sqrt(Math.abs(a! * d! - b! * c!));
  const at = [0, 1, 2].map((i): [number, number] => [n[2 * i]!, n[2 * i + 1]!]);
  const sides = at.map((_, i) => {
    const [p, q] = [at[(i + 1) % 3]!, at[(i + 2) % 3]!];
    return Math.hypot(p[0] - q[0], p[1] - q[1]);
  });
  const round = sides[0]! + sides[1]! + sides[2]!;
  const middle = [0, 1].map((k) => at.reduce((sum, p, i) => sum + p[k]! * sides[i]!, 0) / round);
  const [p, q, r] = at as [[number, number], [number, number], [number, number]];
  const area = Math.abs((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])) / 2;
  const within = Math.max(1e-9, (2 * area) / round);
  const grown = at.map(([x, y]) => {
    const far = Math.hypot(x - middle[0]!, y - middle[1]!);
    const grow = far < 1e-9 ? 1 : 1 + Math.min(by / within, (FURTHEST * by) / far);
    return `${middle[0]! + (x - middle[0]!) * grow} ${middle[1]! + (y - middle[1]!) * grow}`;
  });
  return `M${grown.join('L')}Z`;
}

type Matrix = number[];

/** What `b` does, then `a`. */
function times(a: Matrix, b: Matrix): Matrix {
  return [
    a[0]! * b[0]! + a[2]! * b[1]!,
    a[1]! * b[0]! + a[3]! * b[1]!,
    a[0]! * b[2]! + a[2]! * b[3]!,
    a[1]! * b[2]! + a[3]! * b[3]!,
    a[0]! * b[4]! + a[2]! * b[5]! + a[4]!,
    a[1]! * b[4]! + a[3]! * b[5]! + a[5]!,
  ];
}

/** Nothing for a matrix that flattens. */
function inverse([a, b, c, d, e, f]: Matrix): Matrix | null {
  const det = a! * d! - b! * c!;
  if (Math.abs(det) < 1e-12) return null;
  return [d! / det, -b! / det, -c! / det, a! / det, (c! * f! - d! * e!) / det, (b! * e! - a! * f!) / det];
}

/** From a triangle's own two sides to where it lies. */
function frame(p: number[][]): Matrix {
  const [o, x, y] = p as [number[], number[], number[]];
  return [x[0]! - o[0]!, x[1]! - o[1]!, y[0]! - o[0]!, y[1]! - o[1]!, o[0]!, o[1]!];
}

/** Where a piece of a picture lies in its outline: it goes with the outline's first three points. */
export function placeIn(patch: Patch, path: string): Matrix {
  const n = numbers(path);
  const back = inverse(frame(patch.corners));
  if (n.length < 6 || !back) return patch.place;
  const now = frame([n.slice(0, 2), n.slice(2, 4), n.slice(4, 6)]);
  return times(times(now, back), patch.place);
}
