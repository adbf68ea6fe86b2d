export const BENCHES = [
  'intake',
  'parts',
  'eyes',
  'mouths',
  'brows',
  'hands',
  'kits',
  'turn',
  'lines',
  'shot',
  'hand-over',
] as const;
export type Bench = (typeof BENCHES)[number];
export const BENCH_NAMES: Record<Bench, string> = {
  intake: 'Intake',
  parts: 'Parts',
  eyes: 'Eyes',
  mouths: 'Mouths',
  brows: 'Brows',
  hands: 'Hands',
  kits: 'Kits',
  turn: 'Turn',
  lines: 'Lines',
  shot: 'Shot',
  'hand-over': 'Hand over',
};
/** Benches that need the whole height beside the face; the line keeps to the face's side there. */
export const isTall = (bench: Bench) => bench !== 'lines';

/** Benches on which what is acted along the shot shows; on the others the hand alone poses. */
export const acts = (bench: Bench) => bench === 'lines' || bench === 'shot' || bench === 'hand-over';
/** Benches on which a part's rest pose is what one works at. */
export const posesParts = (bench: Bench) => !acts(bench) && bench !== 'mouths';
