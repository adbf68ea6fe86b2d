import type { Tracks } from '../api/client';

/** Tracks on which nothing is acted. */
export const NO_TRACKS: Tracks = {
  pins: {},
  pinsOver: {},
  blinks: [],
  cues: [],
  gestures: [],
  dials: {},
  drawings: {},
  looks: [],
  notes: [],
  moods: [],
  timings: [],
  kits: [],
};
