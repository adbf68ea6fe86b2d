import type { XY } from './geometry';

/** One step of an outline as it is stored: absolute, and nothing but moves, lines, curves and closings. */
export interface Step {
  /** Its number in the outline. */
  at: number;
  kind: 'M' | 'L' | 'C' | 'Z';
  from: XY;
  to: XY;
  c1?: XY;
  c2?: XY;
}

/** Reads path data as the server writes it, for drawing its points. */
export function stepsOf(path: string): Step[] {
  const steps: Step[] = [];
  let pen: XY = [0, 0];
  let start: XY = [0, 0];
  for (const m of path.matchAll(/([MLCZ])([^MLCZ]*)/g)) {
    const n = (m[2]!.match(/-?[\d.]+(?:e-?\d+)?/g) ?? []).map(Number);
    const xy = (i: number): XY => [n[i]!, n[i + 1]!];
    const kind = m[1] as Step['kind'];
    const at = steps.length;
    if (kind === 'C') steps.push({ at, kind, from: pen, c1: xy(0), c2: xy(2), to: xy(4) });
    else if (kind === 'Z') steps.push({ at, kind, from: pen, to: start });
    else steps.push({ at, kind, from: pen, to: xy(0) });
    pen = steps[at]!.to;
    if (kind === 'M') start = pen;
  }
  return steps;
}

/** The points a hand can take: a closed outline that ends where it began shows that point once. */
export function pointsOf(steps: Step[]): Step[] {
  return steps.filter((s, i) => {
    if (s.kind === 'Z') return false;
    const next = steps[i + 1];
    const first = steps.slice(0, i).findLast((f) => f.kind === 'M');
    return !(next?.kind === 'Z' && first && first.to[0] === s.to[0] && first.to[1] === s.to[1]);
  });
}

function on(s: Step, t: number): XY {
  const u = 1 - t;
  if (s.kind !== 'C') return [s.from[0] * u + s.to[0] * t, s.from[1] * u + s.to[1] * t];
  const k = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t] as const;
  const p = [s.from, s.c1!, s.c2!, s.to] as const;
  return [
    k[0] * p[0][0] + k[1] * p[1][0] + k[2] * p[2][0] + k[3] * p[3][0],
    k[0] * p[0][1] + k[1] * p[1][1] + k[2] * p[2][1] + k[3] * p[3][1],
  ];
}

/** Where on an outline a place is nearest: which step, and how far along it. */
export function nearest(steps: Step[], p: XY): { at: number; t: number; distance: number } | null {
  let best: { at: number; t: number; distance: number } | null = null;
  for (const s of steps) {
    if (s.kind === 'M') continue;
    for (let i = 1; i < 60; i++) {
      const q = on(s, i / 60);
      const distance = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (!best || distance < best.distance) best = { at: s.at, t: i / 60, distance };
    }
  }
  return best;
}
