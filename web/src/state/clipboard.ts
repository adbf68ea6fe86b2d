import { create } from 'zustand';
import type { Character, Edit, Part } from '../api/client';
import type { Desk } from './desk';
import { posesParts } from './benches';
import { recorded, valueOf } from './recording';

/** What was copied last. It stays when another character is opened; only a look goes over to that one. */
export type Copied =
  | { kind: 'placement'; of: string; rest: Part['rest'] }
  | { kind: 'drawing'; of: string; character: string; part: string; drawing: string }
  | { kind: 'stop'; of: string; character: string; dial: string; at: number }
  | { kind: 'look'; of: string; character: string; look: string };

export const useClipboard = create<{ copied: Copied | null }>(() => ({ copied: null }));

/** A part's placement in the rest pose, to be put on other parts: where it stands, and how it is rotated, scaled and skewed. */
export const copyPlacement = (part: Part) =>
  useClipboard.setState({ copied: { kind: 'placement', of: part.name, rest: part.rest } });

type Copying = Pick<Desk, 'bench' | 'part' | 'dial' | 'dials'>;

/**
 * What Ctrl+C takes: the drawing or look that has the focus, the stop the open dial stands on, or else the placement of the chosen part.
 *
 * @param mark what the thing with the focus says it is, as `drawing:part/drawing` or `look:look`
 */
export function copiedHere(id: string, c: Character, desk: Copying, mark: string | null): Copied | null {
  const [kind, what = ''] = mark?.split(':') ?? [];
  if (kind === 'drawing') {
    const [part, drawing] = what.split('/') as [string, string];
    const d = c.rig.parts.find((p) => p.id === part)?.drawings.find((x) => x.id === drawing);
    return d ? { kind: 'drawing', of: d.name, character: id, part, drawing } : null;
  }
  if (kind === 'look') {
    const look = c.library.looks.find((l) => l.id === what);
    return look ? { kind: 'look', of: look.name, character: id, look: look.id } : null;
  }
  const dial = desk.bench === 'turn' ? c.controls.dials.find((d) => d.id === desk.dial) : undefined;
  if (dial) {
    const at = valueOf(desk, dial);
    const stop = dial.stops.find((s) => Math.abs(s.at - at) < 1e-6 && s.at !== dial.rest);
    if (stop) return { kind: 'stop', of: dial.name, character: id, dial: dial.id, at: stop.at };
  }
  const part = posesParts(desk.bench) ? c.rig.parts.find((p) => p.id === desk.part) : undefined;
  return part ? { kind: 'placement', of: part.name, rest: part.rest } : null;
}

/** A name that none of those has: the name itself, or with a number behind it. */
export function unusedName(name: string, taken: string[]): string {
  const plain = name.replace(/ \d+$/, '');
  for (let n = 2; ; n++) if (!taken.includes(`${plain} ${n}`)) return `${plain} ${n}`;
}

/** What Ctrl+V does with what was copied: an edit, things taken from another character, or the reason why nothing. */
export type Pasted =
  | { edit: Edit; keys?: undefined; why?: undefined }
  | { keys: [other: string, keys: string[]]; edit?: undefined; why?: undefined }
  | { why: string; edit?: undefined; keys?: undefined };

export function pasted(copied: Copied, id: string, c: Character, desk: Desk): Pasted {
  const away = copied.kind !== 'placement' && copied.character !== id;
  const part = c.rig.parts.find((p) => p.id === desk.part);
  switch (copied.kind) {
    case 'placement':
      return part && posesParts(desk.bench)
        ? { edit: recorded({ kind: 'place', part: part.id, rest: copied.rest }, c.controls.dials, desk) }
        : { why: 'Choose the part that is to be placed so first.' };
    case 'drawing': {
      if (away) return { why: 'A drawing of another character comes by Take from … on the Intake bench.' };
      if (!part) return { why: 'Choose the part that is to have the drawing first.' };
      const name = part.drawings.some((d) => d.name === copied.of)
        ? unusedName(
            copied.of,
            part.drawings.map((d) => d.name),
          )
        : copied.of;
      return {
        edit: { kind: 'copy-drawing', part: copied.part, drawing: copied.drawing, name, onto: part.id },
      };
    }
    case 'stop': {
      const dial = c.controls.dials.find((d) => d.id === copied.dial);
      if (away || !dial || desk.dial !== dial.id)
        return { why: `The stop goes to another value of ${copied.of}; open that dial first.` };
      const to = valueOf(desk, dial);
      if (to === dial.rest || to === copied.at)
        return { why: `Put ${dial.name} where the copy belongs first.` };
      return { edit: { kind: 'copy-stop', dial: dial.id, at: copied.at, to } };
    }
    case 'look': {
      if (away) return { keys: [copied.character, [`look/${copied.look}`]] };
      const look = c.library.looks.find((l) => l.id === copied.look);
      if (!look) return { why: `The look ${copied.of} is not there any more.` };
      return {
        edit: {
          kind: 'keep-look',
          name: unusedName(
            look.name,
            c.library.looks.map((l) => l.name),
          ),
          collection: look.collection,
          dials: {},
          looks: { [look.id]: 1 },
          drawings: look.drawings,
          keep: Object.keys(look.dials),
        },
      };
    }
  }
}
