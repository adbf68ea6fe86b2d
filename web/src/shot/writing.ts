import type { Character, DialKey, Shot, ShotEdit } from '../api/client';
import { useKeyed } from '../state/acted';
import { useDesk } from '../state/desk';
import { shown } from '../shelf/values';
import { isStraight } from './lanes';
import type { Chosen } from './sheetState';

/** What a key would write now, and in words. */
export interface Writing {
  edits: ShotEdit[];
  /** Each thing that is written, as it is told. */
  words: string[];
  /** Dials, parts and looks that stand in the shot afterwards, so that the hand lets go of them. */
  dials: string[];
  parts: string[];
  looks: string[];
}

/** Frames that a look takes to come and to go when nobody says. */
const COMES = 6;
const STAYS = 24;

/**
 * What a key writes at a frame: whatever the hand holds, a drawing from here to the next one, a look from here on. With nothing
 * held, the chosen dials where they stand; with nothing chosen either, every dial that is keyed.
 */
export function writing(character: Character, shot: Shot, frame: number, chosen: Chosen | null): Writing {
  const desk = useDesk.getState();
  const { keyed } = useKeyed.getState();
  const dials = character.controls.dials;
  const here = chosen && frame >= chosen.from && frame < chosen.to ? chosen.tracks : [];
  const picked = here.filter((t) => t.sort === 'DIAL').map((t) => t.of!);
  const held = Object.keys(desk.dials).filter((id) => dials.some((d) => d.id === id));
  // what a drawing's own key shows is held by hand as well
  const drawn = { ...desk.picks, ...desk.pins };
  const parts = Object.keys(drawn).filter(
    (id) => id !== character.voice.mouths.part && character.rig.parts.some((p) => p.id === id),
  );
  const looks = Object.keys(desk.looks).filter((id) => character.library.looks.some((l) => l.id === id));
  const holds = held.length + parts.length + looks.length > 0;
  const which = holds
    ? withPads(held, character)
    : picked.length > 0
      ? picked
      : Object.keys(shot.tracks.dials);
  const keys: Record<string, DialKey[]> = {};
  const words: string[] = [];
  for (const id of which) {
    const dial = dials.find((d) => d.id === id);
    if (!dial) continue;
    const value = Math.round((desk.dials[id] ?? keyed[id] ?? dial.rest) * 1e4) / 1e4;
    const before = (shot.tracks.dials[id] ?? []).filter((k) => k.frame <= frame).at(-1);
    keys[id] = [
      {
        frame,
        value,
        way: before?.way ?? { kind: isStraight(dial) ? 'hold' : 'smooth' },
        // a key in the middle of a bent way parts it; what is left of it is straight
        bow: before?.frame === frame ? before.bow : 0,
        laid: undefined,
      },
    ];
    words.push(`${dial.name} ${shown(dial, value)}`);
  }
  const edits: ShotEdit[] = [];
  if (words.length > 0) edits.push({ kind: 'set-keys', keys });
  for (const part of parts) {
    const drawing = drawn[part]!;
    const next = (shot.tracks.drawings[part] ?? []).find((h) => h.from > frame);
    edits.push({
      kind: 'hold-drawing',
      part,
      held: { from: frame, to: next?.from ?? shot.frames, drawing, in: 0 },
    });
    const of = character.rig.parts.find((p) => p.id === part)!;
    words.push(`${of.name}: ${of.drawings.find((d) => d.id === drawing)?.name ?? 'nothing'}`);
  }
  for (const look of looks) {
    const strength = desk.looks[look]!;
    edits.push({
      kind: 'set-look',
      was: -1,
      span: {
        look,
        from: frame,
        to: Math.min(Math.max(shot.frames, frame + 1), frame + STAYS),
        in: COMES,
        out: COMES,
        strength,
        laid: undefined,
      },
    });
    words.push(`the look ${character.library.looks.find((l) => l.id === look)!.name}`);
  }
  return { edits, words, dials: which, parts, looks };
}

/** The two ways of a pad are keyed together. */
function withPads(dials: string[], character: Character): string[] {
  const all = new Set(dials);
  for (const pad of character.controls.pads)
    if (all.has(pad.across) || all.has(pad.down)) {
      all.add(pad.across);
      all.add(pad.down);
    }
  return [...all];
}

/** Lets the hand go of what stands in the shot now. */
export function handedOver(written: Writing): void {
  const without = <T>(held: Record<string, T>, ids: string[]) =>
    Object.fromEntries(Object.entries(held).filter(([id]) => !ids.includes(id)));
  useDesk.setState((s) => ({
    dials: without(s.dials, written.dials),
    picks: without(s.picks, written.parts),
    pins: without(s.pins, written.parts),
    looks: without(s.looks, written.looks),
  }));
}

/** A list as one says it. */
export const said = (words: string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
