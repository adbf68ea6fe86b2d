import type { DrawnRun, Part } from '../api/client';

/** A run with the part whose drawings it plays. */
export type PartRun = DrawnRun & { part: string };

/** The runs of all parts, in the order of the parts. */
export const partRuns = (rig: { parts: Part[] }): PartRun[] =>
  rig.parts.flatMap((p) => p.runs.map((r) => ({ ...r, part: p.id })));
