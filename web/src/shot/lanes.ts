import type { Character, Dial, Shot, Track } from '../api/client';
import { keyOf } from './tracks';

/** One column of the sheet, or one lane of it running across. */
export interface Lane {
  key: string;
  name: string;
  kind: 'sound' | 'words' | 'mouth' | Track['sort'];
  /** What can be cut and put in on it; null for what is only heard. */
  track: Track | null;
  dial: Dial | null;
  /** Across the way of time, pixels. */
  at: number;
  size: number;
}

const SIZES: Record<Lane['kind'], [down: number, across: number]> = {
  sound: [50, 34],
  words: [74, 34],
  mouth: [58, 40],
  MOUTHS: [58, 40],
  DIAL: [112, 84],
  BLINKS: [70, 26],
  LOOKS: [86, 40],
  CUES: [78, 30],
  DRAWINGS: [68, 44],
  RUNS: [60, 26],
  NOTES: [104, 40],
  MOODS: [58, 26],
  TIMINGS: [58, 26],
  KITS: [74, 30],
};

/** Whether a dial has nothing to go through between two values: its keys hold by themselves. */
export const isStraight = (dial: Dial) =>
  dial.travel ? dial.travel === 'STRAIGHT' : dial.stops.length === 0 && dial.bands.length > 0;

const USUAL = ['TURN', 'NOD', 'GAZE_ACROSS', 'GAZE_DOWN'];

/** Every track this character can be acted on, whether something is on it or not. */
export function allTracks(character: Character): { track: Track; name: string; dial: Dial | null }[] {
  return [
    ...character.controls.dials.map((dial) => ({
      track: { sort: 'DIAL' as const, of: dial.id },
      name: dial.name,
      dial,
    })),
    ...character.rig.parts
      .filter((p) => p.drawings.length > 1 && p.id !== character.voice.mouths.part)
      .map((p) => ({ track: { sort: 'DRAWINGS' as const, of: p.id }, name: p.name, dial: null })),
  ];
}

/**
 * The lanes of the sheet, from what is heard to what is done.
 *
 * @param shown keys of tracks shown though nothing is on them
 * @param held dials a hand has moved: they show, so that it is seen where they would be keyed
 */
export function lanesOf(
  character: Character,
  shot: Shot,
  shown: string[],
  held: string[],
  across: boolean,
): Lane[] {
  const { tracks } = shot;
  const lanes: Omit<Lane, 'at' | 'size'>[] = [];
  const add = (kind: Lane['kind'], name: string, track: Track | null, dial: Dial | null = null) =>
    lanes.push({ key: track ? keyOf(track) : kind, name, kind, track, dial });
  if (shot.lines.length > 0) {
    add('sound', 'Sound', null);
    add('words', 'Words', null);
  }
  if (character.voice.mouths.part) add('MOUTHS', 'Mouth', { sort: 'MOUTHS', of: '' });
  if (tracks.moods.length > 0 || (shot.lines.length > 0 && character.voice.mouths.moods.length > 0))
    add('MOODS', 'Mood', { sort: 'MOODS', of: '' });
  if (tracks.timings.length > 0) add('TIMINGS', 'Mouth timing', { sort: 'TIMINGS', of: '' });
  const known = allTracks(character);
  for (const { track, name, dial } of known)
    if (
      dial &&
      (dial.id in tracks.dials ||
        held.includes(dial.id) ||
        shown.includes(keyOf(track)) ||
        USUAL.includes(dial.purpose))
    )
      add('DIAL', name, track, dial);
  for (const id of Object.keys(tracks.dials))
    if (!known.some((k) => k.dial?.id === id)) add('DIAL', id, { sort: 'DIAL', of: id });
  if (character.controls.dials.some((d) => d.purpose === 'BLINK') || tracks.blinks.length > 0)
    add('BLINKS', 'Blinks', { sort: 'BLINKS', of: '' });
  add('LOOKS', 'Looks', { sort: 'LOOKS', of: '' });
  add('CUES', 'Cues', { sort: 'CUES', of: '' });
  if (character.library.kits.length > 0 || tracks.kits.length > 0)
    add('KITS', 'Kits', { sort: 'KITS', of: '' });
  for (const { track, name, dial } of known) {
    const role = character.rig.parts.find((p) => p.id === track.of)?.role;
    if (!dial && (track.of! in tracks.drawings || shown.includes(keyOf(track)) || role === 'HAND'))
      add('DRAWINGS', name, track);
  }
  for (const id of Object.keys(tracks.drawings))
    if (!known.some((k) => !k.dial && k.track.of === id)) add('DRAWINGS', id, { sort: 'DRAWINGS', of: id });
  if (character.rig.parts.some((p) => p.runs.length > 0) || tracks.gestures.length > 0)
    add('RUNS', 'Runs', { sort: 'RUNS', of: '' });
  add('NOTES', 'Notes', { sort: 'NOTES', of: '' });
  let at = 0;
  return lanes.map((l) => {
    const size = SIZES[l.kind][across ? 1 : 0];
    const placed = { ...l, at, size };
    at += size;
    return placed;
  });
}

/** The lanes as they are now, each the very one it was before where nothing about it changed: what is drawn of it stays. */
export function steadied(before: Lane[], now: Lane[]): Lane[] {
  const known = new Map(before.map((l) => [l.key, l]));
  const lanes = now.map((l) => {
    const was = known.get(l.key);
    return was && was.name === l.name && was.dial === l.dial && was.at === l.at && was.size === l.size
      ? was
      : l;
  });
  return lanes.length === before.length && lanes.every((l, i) => l === before[i]) ? before : lanes;
}

export const sizeOf = (lanes: Lane[]) => lanes.reduce((sum, l) => sum + l.size, 0);

/** Where things are drawn, whichever way time runs. */
export class Paper {
  constructor(
    readonly across: boolean,
    /** Pixels a frame. */
    readonly zoom: number,
  ) {}

  /** A place so many pixels into a lane, at a moment given in frames. */
  at(frame: number, into: number): [number, number] {
    return this.across ? [frame * this.zoom, into] : [into, frame * this.zoom];
  }

  rect(from: number, to: number, into: number, size: number) {
    const long = (to - from) * this.zoom;
    return this.across
      ? { x: from * this.zoom, y: into, width: long, height: size }
      : { x: into, y: from * this.zoom, width: size, height: long };
  }

  path(points: [number, number][]): string {
    return points.map((p, i) => `${i ? 'L' : 'M'}${p[0].toFixed(1)} ${p[1].toFixed(1)}`).join('');
  }
}

/** Room a dial's lane leaves beside its values, pixels. */
export const EDGE = 14;

/** How far into its lane a value is drawn: to the right, or upwards where time runs across. */
export function placeOf(lane: Lane, value: number, across: boolean): number {
  const { from, to } = lane.dial ?? { from: -1, to: 1 };
  const share = (Math.max(from, Math.min(to, value)) - from) / (to - from || 1);
  const room = lane.size - 2 * EDGE;
  return lane.at + EDGE + (across ? 1 - share : share) * room;
}

/** The value that is drawn so far into a lane. */
export function valueAt(lane: Lane, into: number, across: boolean): number {
  const { from, to } = lane.dial ?? { from: -1, to: 1 };
  const share = (into - lane.at - EDGE) / (lane.size - 2 * EDGE);
  return Math.max(from, Math.min(to, from + (across ? 1 - share : share) * (to - from)));
}
