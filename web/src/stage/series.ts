/** Index of the sample nearest to a value; samples rise evenly. */
export function nearest(at: number[], value: number): number {
  const first = at[0] ?? 0;
  const last = at[at.length - 1] ?? first;
  if (last === first) return 0;
  const index = Math.round(((value - first) / (last - first)) * (at.length - 1));
  return Math.max(0, Math.min(at.length - 1, index));
}
