import type {
  Blink,
  CuePlacement,
  DialKey,
  Gesture,
  HeldDrawing,
  KitSpan,
  LookSpan,
  MoodSpan,
  ShotEdit,
  ShotNote,
  TimingSpan,
  Track,
} from '../api/client';

/** Something on a track of a shot: where it lies, and what moving it, making it longer or taking it out would be. */
export interface Item {
  id: string;
  track: Track;
  from: number;
  /** The first frame behind it. */
  to: number;
  label: string;
  /** A second line, where there is room. */
  more: string;
  /** What it belongs to is not there any more. */
  gone: boolean;
  /** Why it was laid by a first pass; empty when by hand. */
  laid: string;
  of:
    | { kind: 'key'; key: DialKey }
    | { kind: 'drawing'; held: HeldDrawing }
    | { kind: 'look'; span: LookSpan }
    | { kind: 'cue'; cue: CuePlacement }
    | { kind: 'blink'; blink: Blink }
    | { kind: 'run'; gesture: Gesture }
    | { kind: 'note'; note: ShotNote }
    | { kind: 'mood'; span: MoodSpan }
    | { kind: 'timing'; span: TimingSpan }
    | { kind: 'kit'; span: KitSpan };
  /** How it would be over other frames; null where it cannot be. */
  over: (from: number, to: number) => ShotEdit | null;
  /** Whether its end can be dragged. */
  ends: boolean;
}

/** Moves one thing along its track, in place of what is there. */
export const move = (track: Track, from: number, to: number, newFrom: number): ShotEdit => ({
  kind: 'move-frames',
  tracks: [track],
  from,
  to,
  by: newFrom - from,
});

/**
 * What lies over a stretch as a card does: moved as it is, drawn out over what is there, or shortened.
 *
 * @param put what lays it over other frames
 */
export const overlaid =
  (track: Track, was: { from: number; to: number }, put: (from: number, to: number) => ShotEdit) =>
  (from: number, to: number): ShotEdit | null =>
    to - from === was.to - was.from
      ? move(track, was.from, was.to, from)
      : to > was.to
        ? put(was.from, to)
        : { kind: 'clear-frames', tracks: [track], from: Math.max(from + 1, to), to: was.to };
