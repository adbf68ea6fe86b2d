import type { Character, DrawnRun } from '../api/client';

/** A run with the part whose drawings it plays. */
export type PartRun = DrawnRun & { part: string };

/** The runs of all parts, in the order of the parts. */
export const partRuns = (character: Pick<Character, 'parts'>): PartRun[] =>
  character.parts.flatMap((p) => p.runs.map((r) => ({ ...r, part: p.id })));
