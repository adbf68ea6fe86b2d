import type { Frame, FrameSeries } from '../api/client';

/** The whole frame at one index of a series; parts come back in the order the character stacks them. */
export function frameOf(series: FrameSeries, index: number, order: string[]): Frame {
  const change = series.changes[index];
  if (!change) return series.first;
  const placed = new Map(series.first.placed.map((p) => [p.part, p]));
  for (const part of change.gone) placed.delete(part);
  for (const p of change.placed) placed.set(p.part, p);
  return { placed: order.flatMap((id) => placed.get(id) ?? []) };
}

/** Index of the sample nearest to a value; samples rise evenly. */
export function nearest(at: number[], value: number): number {
  const first = at[0] ?? 0;
  const last = at[at.length - 1] ?? first;
  if (last === first) return 0;
  const index = Math.round(((value - first) / (last - first)) * (at.length - 1));
  return Math.max(0, Math.min(at.length - 1, index));
}
