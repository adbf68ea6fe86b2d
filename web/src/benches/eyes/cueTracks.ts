import type { Cue } from '../../api/client';

export type Keys = Cue['tracks'][string];

/** A key put where a hand left it: whole frames, in order, and never over another key of its track. */
export function moveKey(keys: Keys, index: number, frame: number, by: number, longest: number): Keys {
  const wanted = Math.max(0, Math.min(longest - 1, Math.round(frame)));
  const taken = keys.some((k, i) => i !== index && k.frame === wanted);
  return keys
    .map((k, i) => (i === index ? { frame: taken ? k.frame : wanted, by } : k))
    .sort((a, b) => a.frame - b.frame);
}

/** One more key on the way between its neighbours; the same keys when one stands there already. */
export function addKey(keys: Keys, frame: number): Keys {
  const at = Math.max(0, Math.round(frame));
  if (keys.some((k) => k.frame === at)) return keys;
  return [...keys, { frame: at, by: valueAt(keys, at) }].sort((a, b) => a.frame - b.frame);
}

/** What a track adds at a frame: even between keys, held before the first and behind the last. */
export function valueAt(keys: Keys, frame: number): number {
  const after = keys.findIndex((k) => k.frame > frame);
  if (after === 0) return keys[0]!.by;
  if (after < 0) return keys.at(-1)?.by ?? 0;
  const a = keys[after - 1]!;
  const b = keys[after]!;
  return a.by + ((b.by - a.by) * (frame - a.frame)) / (b.frame - a.frame);
}
