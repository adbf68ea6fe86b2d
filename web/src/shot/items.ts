import type {
  Blink,
  Character,
  CuePlacement,
  DialKey,
  Gesture,
  HeldDrawing,
  Shot,
  ShotEdit,
  Track,
} from '../api/client';
import { partRuns } from '../state/partRuns';
import { moodItems, timingItems, noteItems, kitItems, lookItems } from './spanItems';
import { overlaid } from './item';
import { type Item, move } from './item';

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
