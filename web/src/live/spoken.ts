import type { LineView, PlacedLine, Shot } from '../api/client';

/** The line that a stretch of a shot is most about; undefined where nothing is said. */
export function placedIn(shot: Shot, from: number, to: number): PlacedLine | undefined {
  const { frameRate } = shot.rules;
  const shared = (l: PlacedLine) => Math.min(to, l.at + l.line.seconds * frameRate) - Math.max(from, l.at);
  return shot.lines.filter((l) => shared(l) > 0).sort((a, b) => shared(b) - shared(a))[0];
}

/** What a voice is kept as a take of: the line that is there, or a new one. */
export const takenAs = (line: LineView | null, placed: PlacedLine | undefined) =>
  line && placed ? `${line.id} ${placed.at}` : '';
