import type { Frame, FrameSeries } from '../api/client';

/** The whole frame at one index of a series; parts come back in the order the character stacks them, or in the order of the
 * frame where some drawing lies elsewhere. */
export function frameOf(series: FrameSeries, index: number, order: string[]): Frame {
  const change = series.changes[index];
  if (!change) return series.first;
  const placed = new Map(series.first.placed.map((p) => [p.part, p]));
  for (const part of change.gone) placed.delete(part);
  for (const p of change.placed) placed.set(p.part, p);
  const stacked = change.order.length > 0 ? change.order : order;
  return { placed: stacked.flatMap((id) => placed.get(id) ?? []) };
}

/** Index of the sample nearest to a value; samples rise evenly. */
export function nearest(at: number[], value: number): number {
  const first = at[0] ?? 0;
  const last = at[at.length - 1] ?? first;
  if (last === first) return 0;
  const index = Math.round(((value - first) / (last - first)) * (at.length - 1));
  return Math.max(0, Math.min(at.length - 1, index));
}

/**
 * Where a dial under a hand counts as standing: on the side of a drawing's edge it was on before, until it is further beyond
 * the edge than a hand trembles.
 *
 * @param last where it counted as standing before; null when the hand has just come
 */
export function steadied(edges: number[], hysteresis: number, last: number | null, value: number): number {
  if (last === null) return value;
  let held = value;
  for (const edge of edges) {
    const crossed = last < edge !== value < edge;
    if (crossed && Math.abs(value - edge) < hysteresis)
      held = last < edge ? Math.min(held, edge - 1e-6) : Math.max(held, edge);
  }
  return held;
}

/** Index of the sample nearest to a value on its own side of every edge. */
export function sampleOn(at: number[], edges: number[], value: number): number {
  let i = nearest(at, value);
  for (const edge of edges) {
    while (value < edge && at[i]! >= edge && i > 0) i--;
    while (value >= edge && at[i]! < edge && i < at.length - 1) i++;
  }
  return i;
}
