import type {
  Blink,
  Character,
  CuePlacement,
  DialKey,
  Gesture,
  HeldDrawing,
  KitSpan,
  LookSpan,
  MoodSpan,
  Shot,
  ShotEdit,
  ShotNote,
  TimingSpan,
  Track,
} from '../api/client';
import { partRuns } from '../state/partRuns';

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

export const keyOf = (t: Track) => `${t.sort} ${t.of ?? ''}`;
export const sameTrack = (a: Track, b: Track) => a.sort === b.sort && (a.of ?? '') === (b.of ?? '');

/** Moves one thing along its track, in place of what is there. */
const move = (track: Track, from: number, to: number, newFrom: number): ShotEdit => ({
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
const overlaid =
  (track: Track, was: { from: number; to: number }, put: (from: number, to: number) => ShotEdit) =>
  (from: number, to: number): ShotEdit | null =>
    to - from === was.to - was.from
      ? move(track, was.from, was.to, from)
      : to > was.to
        ? put(was.from, to)
        : { kind: 'clear-frames', tracks: [track], from: Math.max(from + 1, to), to: was.to };

export function keyItems(dial: string, keys: DialKey[]): Item[] {
  const track: Track = { sort: 'DIAL', of: dial };
  return keys.map((key) => ({
    id: `key ${dial} ${key.frame}`,
    track,
    from: key.frame,
    to: key.frame + 1,
    label: '',
    more: '',
    gone: false,
    laid: key.laid?.why ?? '',
    of: { kind: 'key', key },
    over: (from) => move(track, key.frame, key.frame + 1, from),
    ends: false,
  }));
}

export function drawingItems(part: string, held: HeldDrawing[], character: Character): Item[] {
  const track: Track = { sort: 'DRAWINGS', of: part };
  const drawings = character.rig.parts.find((p) => p.id === part)?.drawings ?? [];
  return held.map((h) => {
    const name = drawings.find((d) => d.id === h.drawing)?.name;
    return {
      id: `drawing ${part} ${h.from}`,
      track,
      from: h.from,
      to: h.to,
      label: name ?? (h.drawing === 'nothing' ? 'nothing' : h.drawing),
      more: h.in > 0 ? `over in ${h.in}` : '',
      gone: name === undefined && h.drawing !== 'nothing',
      laid: '',
      of: { kind: 'drawing' as const, held: h },
      over: overlaid(track, h, (from, to) => ({
        kind: 'hold-drawing',
        part,
        held: { ...h, from, to },
      })),
      ends: true,
    };
  });
}

export function lookItems(looks: LookSpan[], character: Character): Item[] {
  return looks.map((span) => {
    const look = character.library.looks.find((l) => l.id === span.look);
    return {
      id: `look ${span.look} ${span.from}`,
      track: { sort: 'LOOKS' as const, of: '' },
      from: span.from,
      to: span.to,
      label: look?.name ?? span.look,
      more: `${Math.round(span.strength * 100)} %`,
      gone: !look,
      laid: span.laid?.why ?? '',
      of: { kind: 'look' as const, span },
      over: (from: number, to: number): ShotEdit => ({
        kind: 'set-look',
        was: span.from,
        span: { ...span, laid: undefined, from, to: Math.max(from + 1, to) },
      }),
      ends: true,
    };
  });
}

export function kitItems(kits: KitSpan[], character: Character): Item[] {
  return kits.map((span) => {
    const kit = character.library.kits.find((k) => k.id === span.kit);
    return {
      id: `kit ${span.kit} ${span.from}`,
      track: { sort: 'KITS' as const, of: '' },
      from: span.from,
      to: span.to,
      label: kit?.name ?? span.kit,
      more: kit?.set ?? '',
      gone: !kit,
      laid: '',
      of: { kind: 'kit' as const, span },
      over: (from: number, to: number): ShotEdit => ({
        kind: 'wear-kit',
        was: span.from,
        span: { ...span, from, to: Math.max(from + 1, to) },
      }),
      ends: true,
    };
  });
}

/** Frames a cue takes altogether as it is placed. */
export function lasts(placed: CuePlacement, character: Character): number {
  const cue = character.library.cues.find((c) => c.id === placed.cue);
  const own = 1 + Math.max(0, ...Object.values(cue?.tracks ?? {}).flatMap((k) => k.map((x) => x.frame)));
  return (placed.frames || own) * placed.times;
}

export function cueItems(cues: CuePlacement[], character: Character): Item[] {
  return cues.map((placed) => {
    const cue = character.library.cues.find((c) => c.id === placed.cue);
    const length = lasts(placed, character);
    const how = [
      placed.strength === 1 ? '' : `${Math.round(placed.strength * 100)} %`,
      placed.times === 1 ? '' : `${placed.times} times`,
      placed.reversed ? 'reversed' : '',
    ];
    return {
      id: `cue ${placed.cue} ${placed.frame}`,
      track: { sort: 'CUES' as const, of: '' },
      from: placed.frame,
      to: placed.frame + length,
      label: cue?.name ?? placed.cue,
      more: how.filter((h) => h !== '').join(', '),
      gone: !cue,
      laid: '',
      of: { kind: 'cue' as const, cue: placed },
      over: (from: number, to: number): ShotEdit => ({
        kind: 'set-placement',
        was: placed.frame,
        cue: {
          ...placed,
          frame: from,
          frames: to - from === length ? placed.frames : Math.max(1, Math.round((to - from) / placed.times)),
        },
      }),
      ends: true,
    };
  });
}

export function blinkItems(blinks: Blink[]): Item[] {
  return blinks.map((blink) => ({
    id: `blink ${blink.frame}`,
    track: { sort: 'BLINKS' as const, of: '' },
    from: blink.frame,
    to: blink.frame + blink.down + blink.hold + blink.up,
    label: 'blink',
    more: `${blink.down} + ${blink.hold} + ${blink.up}`,
    gone: false,
    laid: blink.laid?.why ?? '',
    of: { kind: 'blink' as const, blink },
    over: (from: number, to: number): ShotEdit => ({
      kind: 'set-blink',
      was: blink.frame,
      blink: {
        frame: from,
        down: blink.down,
        hold: Math.max(0, to - from - blink.down - blink.up),
        up: blink.up,
      },
    }),
    ends: true,
  }));
}

export function runItems(gestures: Gesture[], character: Character): Item[] {
  const runs = partRuns(character.rig);
  return gestures.map((gesture) => {
    const run = runs.find((r) => r.id === gesture.run);
    return {
      id: `run ${gesture.run} ${gesture.from}`,
      track: { sort: 'RUNS' as const, of: '' },
      from: gesture.from,
      to: gesture.to,
      label: run?.name ?? gesture.run,
      more: '',
      gone: !run,
      laid: '',
      of: { kind: 'run' as const, gesture },
      over: (from: number, to: number): ShotEdit => ({
        kind: 'set-gesture',
        was: gesture.from,
        gesture: { ...gesture, from, to: Math.max(from + 1, to) },
      }),
      ends: true,
    };
  });
}

export function noteItems(notes: ShotNote[]): Item[] {
  return notes.map((note) => ({
    id: `note ${note.from} ${note.text}`,
    track: { sort: 'NOTES' as const, of: '' },
    from: note.from,
    to: note.to,
    label: note.author || 'note',
    more: note.text,
    gone: false,
    laid: '',
    of: { kind: 'note' as const, note },
    over: (from: number, to: number): ShotEdit => ({
      kind: 'write-note',
      was: note.from,
      note: { ...note, from, to: Math.max(from + 1, to) },
    }),
    ends: true,
  }));
}

export const MOODS: Track = { sort: 'MOODS', of: '' };
export const TIMINGS: Track = { sort: 'TIMINGS', of: '' };

export function moodItems(moods: MoodSpan[], character: Character): Item[] {
  return moods.map((span) => {
    const mood = character.voice.mouths.moods.find((m) => m.id === span.mood);
    return {
      id: `mood ${span.from}`,
      track: MOODS,
      from: span.from,
      to: span.to,
      label: span.mood === '' ? 'neutral' : (mood?.name ?? span.mood),
      more: '',
      gone: span.mood !== '' && !mood,
      laid: '',
      of: { kind: 'mood' as const, span },
      over: overlaid(MOODS, span, (from, to) => ({
        kind: 'feel-along',
        span: { from, to, mood: span.mood },
      })),
      ends: true,
    };
  });
}

export function timingItems(timings: TimingSpan[]): Item[] {
  return timings.map((span) => ({
    id: `timing ${span.from}`,
    track: TIMINGS,
    from: span.from,
    to: span.to,
    label: `lead ${span.lead}`,
    more: `held ${span.minimumHold}`,
    gone: false,
    laid: '',
    of: { kind: 'timing' as const, span },
    over: overlaid(TIMINGS, span, (from, to) => ({ kind: 'time-along', span: { ...span, from, to } })),
    ends: true,
  }));
}

/** All that lies on one track. */
export function itemsOn(track: Track, shot: Shot, character: Character): Item[] {
  const { tracks } = shot;
  switch (track.sort) {
    case 'DIAL':
      return keyItems(track.of!, tracks.dials[track.of!] ?? []);
    case 'DRAWINGS':
      return drawingItems(track.of!, tracks.drawings[track.of!] ?? [], character);
    case 'LOOKS':
      return lookItems(tracks.looks, character);
    case 'KITS':
      return kitItems(tracks.kits, character);
    case 'CUES':
      return cueItems(tracks.cues, character);
    case 'BLINKS':
      return blinkItems(tracks.blinks);
    case 'RUNS':
      return runItems(tracks.gestures, character);
    case 'NOTES':
      return noteItems(tracks.notes);
    case 'MOODS':
      return moodItems(tracks.moods, character);
    case 'TIMINGS':
      return timingItems(tracks.timings);
    default:
      return [];
  }
}
