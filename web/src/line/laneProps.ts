import type { LineView } from '../api/client';

/** What of the line is in sight, seconds into the shot. */
export interface Sight {
  from: number;
  to: number;
}

export interface Lanes {
  line: LineView;
  seconds: number;
  sight: Sight;
  /** The whole line, pixels. */
  pixels: number;
}

/** Narrowest word and sound that are read, pixels. */
export const LEAST_SOUND = 15;

export const place = (seconds: number, start: number, end: number) => ({
  left: `${(start / seconds) * 100}%`,
  width: `${((end - start) / seconds) * 100}%`,
});
