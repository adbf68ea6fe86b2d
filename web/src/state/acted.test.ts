import type { OpenCharacter, OpenLine } from 'page-core';
import { beforeEach, describe, expect, it } from 'vitest';
import type { LineView, Shot, ShotEdit } from '../api/client';
import { NO_TRACKS } from '../shot/noTracks';
import { ActedShot, isComposed, useActed, useKeyed } from './acted';
import { useDesk } from './desk';
import type { Director } from './director';

/** A shot in which a dial called turn has so many keys. */
const shot = (keys: number): Shot => ({
  name: 's',
  rules: { frameRate: 24, exposure: 1, lead: 0, minimumHold: 1 },
  frames: 48,
  lines: [],
  mood: '',
  accepted: [],
  tracks: {
    ...NO_TRACKS,
    dials: {
      turn: Array.from({ length: keys }, (_, i) => ({
        frame: i,
        value: i,
        way: { kind: 'hold' as const },
        bow: 0,
      })),
    },
  },
});

const NOD = [{ frame: 7, value: 1, way: { kind: 'even' as const }, bow: 0 }];

/** As the server has it: with a nod. */
function line(revision: number, keys: number): LineView {
  const whole = shot(keys);
  whole.tracks.dials.nod = NOD;
  return { id: 'l', revision, shot: whole, drawings: [], frames: 48 } as unknown as LineView;
}

/** Rules that add a key for an edit that sets keys, and refuse to draw out. */
function open(keys: number): OpenLine {
  return {
    drafts: (kind: string) => kind === 'set-keys' || kind === 'stretch-frames',
    draft: (edit: ShotEdit) => ({
      after: () => (edit.kind === 'set-keys' ? open(keys + 1) : null),
      refused: () => '',
    }),
    of: (s: Shot) => open(s.tracks.dials.turn!.length),
    // the nod is never touched
    changes: () => ({ shot: shot(0), dials: ['nod'], drawings: [], keyed: ['turn'] }),
    keys: () => shot(keys).tracks.dials.turn,
    mouths: () => [],
    keyed: () => ({ turn: keys }),
  } as unknown as OpenLine;
}
const rules = { line: (s: Shot) => open(s.tracks.dials.turn!.length) } as unknown as OpenCharacter;
const SET: ShotEdit = { kind: 'set-keys', keys: {} };

describe('the acted shot', () => {
  let acted: ActedShot;
  let spoken: number;
  const director = { speaks: () => spoken++ } as unknown as Director;
  const keys = () => useActed.getState().shot?.tracks.dials.turn!.length;

  beforeEach(() => {
    spoken = 0;
    acted = new ActedShot();
    useDesk.setState({ bench: 'shot', frame: 3, dials: {}, picks: {}, looks: {}, playing: false });
    acted.stands(line(1, 2), rules, director);
  });

  it('shows an edit before it is answered, and the answer without a step back', async () => {
    const seen: (number | undefined)[] = [];
    const nods: unknown[] = [];
    const stop = useActed.subscribe(({ shot }) => {
      seen.push(keys());
      nods.push(shot?.tracks.dials.nod);
    });
    await acted.send(SET, async () => line(2, 3));
    stop();
    expect(seen[0]).toBe(3);
    expect(nods.every((n) => n === NOD)).toBe(true);
    expect(seen.every((k) => k === 3)).toBe(true);
    expect(useActed.getState().line?.revision).toBe(2);
  });

  it('puts edits that wait on top of each answer', async () => {
    let first = (_: LineView) => {};
    const a = acted.send(SET, () => new Promise((done) => (first = done)));
    const b = acted.send(SET, async () => (await a, line(3, 4)));
    expect(keys()).toBe(4);
    first(line(2, 3));
    await a;
    expect(keys()).toBe(4);
    await b;
    expect(keys()).toBe(4);
  });

  it('goes on with what it foresaw where the server answers that just this edit was made', async () => {
    const before = useActed.getState().line!;
    expect(acted.foresees(SET)).toBe(true);
    expect(acted.foresees({ kind: 'place-line', at: 0 } as never)).toBe(false);
    const answer = await acted.send(SET, async () =>
      acted.foreseen(before, SET, { id: 'l', revision: 2 } as never)!,
    );
    expect(isComposed(answer)).toBe(true);
    expect(isComposed(before)).toBe(false);
    expect(answer.revision).toBe(2);
    expect(answer.shot.tracks.dials.turn).toHaveLength(3);
    expect(answer.shot.tracks.dials.nod).toBe(before.shot.tracks.dials.nod);
    expect(useActed.getState().line).toBe(answer);
    expect(keys()).toBe(3);
    // the next one is made on top of it, and what it does not know it leaves to the server
    expect(
      acted.foreseen(answer, SET, { id: 'l', revision: 3 } as never)?.shot.tracks.dials.turn,
    ).toHaveLength(4);
    expect(acted.foreseen(before, SET, { id: 'l', revision: 3 } as never)).toBeNull();
    const refused: ShotEdit = { kind: 'stretch-frames', tracks: [], from: 0, to: 1, length: 2 };
    expect(acted.foreseen(answer, refused, { id: 'l', revision: 3 } as never)).toBeNull();
  });

  it('goes back to a shot it knows, and leaves to the server what it does not', async () => {
    const before = useActed.getState().line!;
    const made = { id: 'l', undo: null, redo: null, like: null } as never;
    const after = await acted.send(SET, async () =>
      acted.foreseen(before, SET, { ...(made as object), revision: 2 } as never)!,
    );
    const back = { id: 'l', revision: 3, like: 1 } as never;
    expect(acted.stepped(before, back)).toBeNull();
    const stepped = acted.stepped(after, back)!;
    expect(stepped).toMatchObject({ revision: 3 });
    expect(stepped).not.toHaveProperty('like');
    expect(stepped.shot).toBe(before.shot);
    acted.stands(stepped, rules, director);
    expect(keys()).toBe(2);
    const on = acted.stepped(stepped, { id: 'l', revision: 4, like: 2 } as never)!;
    expect(on.shot).toBe(after.shot);
    expect(acted.stepped(stepped, { id: 'l', revision: 4, like: 9 } as never)).toBeNull();
    // over other rules mouths may be others
    acted.stands(on, { ...rules } as never, director);
    expect(acted.stepped(on, { id: 'l', revision: 5, like: 3 } as never)).toBeNull();
  });

  it('takes an edit back that is refused', async () => {
    const refused = acted.send(SET, async () => {
      throw new Error('not today');
    });
    expect(keys()).toBe(3);
    await expect(refused).rejects.toThrow('not today');
    expect(keys()).toBe(2);
  });

  it('shows a draft until it is let go of, and keeps what is kept', () => {
    acted.draft(SET);
    expect(keys()).toBe(3);
    expect(useActed.getState().kept?.tracks.dials.turn).toHaveLength(2);
    acted.draft({ kind: 'stretch-frames', tracks: [], from: 0, to: 1, length: 2 });
    expect(keys()).toBe(2);
    acted.draft(null);
    expect(keys()).toBe(2);
    expect(spoken).toBeGreaterThan(2);
  });

  it('lets go of a dial that is keyed at another frame, and of no other', () => {
    useDesk.setState({ dials: { turn: 9, blink: 1 } });
    useDesk.getState().seek(7);
    expect(useDesk.getState().dials).toEqual({ blink: 1 });
    expect(useKeyed.getState().keyed).toEqual({ turn: 2 });
    useDesk.setState({ bench: 'parts', dials: { turn: 9 } });
    useDesk.getState().seek(8);
    expect(useDesk.getState().dials).toEqual({ turn: 9 });
  });
});
