// @vitest-environment jsdom
import type { OpenCharacter, OpenLine } from 'page-core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Edit, Frame, LineView, PoseBody } from '../api/client';
import { useDesk } from './desk';
import { Director } from './director';

const at = (x: number): Frame => ({
  placed: [{ part: 'nose', drawing: 'front', matrix: [1, 0, 0, 1, x, 0], opacity: 1, windows: [] }],
});
const line = { id: 'line', frames: 100, shot: {} } as unknown as LineView;
const turnOf = (pose: PoseBody) => pose.dials?.turn ?? 0;

/** Rules by which the nose stands where the dial called turn does, moved by what a draft adds. */
function rules(by = 0): OpenCharacter {
  const spoken: OpenLine = {
    frame: (frame, pose) => at(turnOf(pose) + by + frame / 1000),
    joints: () => [],
    why: (frame, part) => [{ channel: `${part} at ${frame}` }] as never,
    with: (other) => other.line({} as never),
    plain: () => spoken,
    of: () => spoken,
    changes: () => ({ shot: {} as never, dials: [], drawings: [], keyed: [] }),
    keys: () => [],
    keyFrames: () => new Int32Array(),
    crossing: () => null,
    drafts: () => false,
    draft: () => ({ after: () => null, refused: () => '' }),
    keyed: () => ({}),
    values: () => new Float64Array(),
    mouths: () => [],
    cueOf: () => '',
    mirrored: (strip) => strip,
    copy: () => ({}) as never,
    played: () => '',
  };
  return {
    frame: (pose) => at(turnOf(pose) + by),
    joints: () => [{ part: 'nose' }] as never,
    why: (part) => [{ channel: part }] as never,
    line: () => spoken,
    drafts: (kind) => kind === 'nudge' || kind === 'record',
    draft: (edit) => {
      const dx = (edit as { dx?: number }).dx ?? 0;
      return {
        after: () => (dx > 900 ? null : rules(by + dx)),
        refused: () => (dx > 900 ? 'That would move the part far off the canvas.' : ''),
      };
    },
    redrawnSince: () => [],
    // an edge at 0.5, and a hand that trembles by 0.1
    steadied: (_dial, last, value) =>
      !Number.isNaN(last) && last < 0.5 !== value < 0.5 && Math.abs(value - 0.5) < 0.1 ? last : value,
    cue: () => [at(71), at(72)],
    play: (_dial, _pose, frames) => Array.from({ length: frames }, (_, f) => at(f)),
  };
}

/** A server that answers a moment later with the turn asked for, and counts what it was asked. */
function server() {
  const asked: string[] = [];
  vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
    const body = JSON.parse(String(init.body));
    asked.push(url.split('/').pop()!);
    await new Promise((r) => setTimeout(r, 4));
    return Response.json({ revision: 1, frame: at(turnOf(body.pose)), joints: [], redrawn: [] });
  });
  return asked;
}

const wait = (ms: number) => new Promise((r) => setTimeout(r, ms));

describe('the director', () => {
  let asked: string[];
  let shown: number[];
  let failures: unknown[];
  let director: Director;
  const direct = (with_: OpenCharacter | null, over: LineView | null = null) => {
    director = new Director(24, 'c', 1, with_, (e) => failures.push(e));
    if (over) director.speaks(over, with_ && with_.line(over.shot));
    director.watch((f) => shown.push(f.placed[0]!.matrix[4]!));
  };

  beforeEach(() => {
    asked = server();
    shown = [];
    failures = [];
    useDesk.setState({ dials: {}, picks: {}, pins: {}, frame: 0, playing: false });
  });
  afterEach(() => {
    director.stop();
    vi.unstubAllGlobals();
    expect(failures).toEqual([]);
  });

  describe('with rules', () => {
    it('shows every pose in the same moment and asks nobody', () => {
      direct(rules());
      for (const v of [-50, -10.25, 20, 55]) {
        useDesk.getState().turn('turn', v);
        director.refresh();
      }
      expect(shown).toEqual([-50, -10.25, 20, 55]);
      expect(asked).toEqual([]);
      expect(director.shownOf('nose')).toBe('front');
      expect(director.shownOf('cap')).toBeNull();
    });

    it('keeps a drawing while a hand trembles about its edge, and shows the value itself once let go', () => {
      direct(rules());
      const hand = (v: number) => {
        useDesk.getState().turn('turn', v);
        director.refresh();
        return shown.at(-1);
      };
      hand(0.4);
      director.grab('turn');
      expect([0.45, 0.55, 0.58, 0.7, 0.45].map(hand)).toEqual([0.45, 0.45, 0.45, 0.7, 0.7]);
      director.release();
      expect(shown.at(-1)).toBe(0.45);
    });

    it('plays a line frame by frame, following a dial that is dragged meanwhile', () => {
      direct(rules(), line);
      shown = [];
      useDesk.setState({ playing: true });
      for (let f = 1; f <= 3; f++) {
        useDesk.getState().turn('turn', f);
        director.playAt(f);
      }
      expect(shown.map((x) => Math.round(x * 1000))).toEqual([1001, 2002, 3003]);
      expect(asked).toEqual([]);
    });

    it('shows a draft at once, keeps the last picture of one that would be refused, and lets go', () => {
      direct(rules());
      const nudge = (dx: number) => ({ kind: 'nudge', part: 'nose', dx, dy: 0 }) as Edit;
      director.drafting(nudge(3));
      director.drafting(nudge(999));
      expect(shown).toEqual([3]);
      director.drafting(null);
      expect(shown).toEqual([3, 0]);
      expect(asked).toEqual([]);
    });

    it('shows what is on its way to the server, and drafts on top of it', () => {
      direct(rules());
      const nudge = (dx: number) => ({ kind: 'nudge', part: 'nose', dx, dy: 0 }) as Edit;
      director.expect([{ edit: nudge(3) }, { edit: nudge(4) }]);
      expect(shown.at(-1)).toBe(7);
      director.drafting(nudge(10));
      expect(shown.at(-1)).toBe(17);
      director.drafting(null);
      // what cannot be tried out here, and what comes behind it, waits for the server
      director.expect([{ edit: nudge(3) }, { edit: { kind: 'make-turn' } as Edit }, { edit: nudge(4) }]);
      expect(shown.at(-1)).toBe(3);
      director.expect([{ state: rules(99) }, { edit: nudge(1) }]);
      expect(shown.at(-1)).toBe(100);
      director.expect([]);
      expect(shown.at(-1)).toBe(0);
      expect(asked).toEqual([]);
    });

    it('asks the server for what only it can try out', async () => {
      direct(rules());
      director.drafting({ kind: 'make-turn' } as Edit);
      await vi.waitFor(() => expect(asked).toEqual(['pose']));
      director.drafting({ kind: 'record', pose: { kind: 'make-turn' } } as unknown as Edit);
      await vi.waitFor(() => expect(asked).toEqual(['pose', 'pose']));
    });

    it('tells the joints to whoever takes hold of them', () => {
      direct(rules());
      const told: unknown[] = [];
      const off = director.watchJoints((j) => told.push(j[0]?.part));
      director.refresh();
      expect(told).toEqual(['nose', 'nose']);
      off();
      director.refresh();
      expect(told).toHaveLength(2);
    });

    it('says why at the frame that is shown', async () => {
      direct(rules(), line);
      useDesk.setState({ frame: 7 });
      expect(await director.why('nose')).toEqual([{ channel: 'nose at 7' }]);
    });

    it('plays a cue once, and then shows what the desk asks for', async () => {
      direct(rules());
      director.playCue('roll');
      expect(shown).toEqual([71]);
      await vi.waitFor(() => expect(shown.at(-1)).toBe(0));
    });

    it('says nothing more once it is stopped', () => {
      direct(rules());
      director.stop();
      director.refresh();
      director.playAt(3);
      expect(shown).toEqual([]);
    });
  });

  describe('without rules', () => {
    beforeEach(() => direct(null, line));

    it('asks the server, one question at a time, and the newest last', async () => {
      for (const v of [1, 2, 3, 12]) {
        useDesk.getState().turn('turn', v);
        director.refresh();
      }
      await vi.waitFor(() => expect(shown.at(-1)).toBe(12));
      expect(asked.length).toBeLessThanOrEqual(2);
    });

    it('plays as quickly as the server answers', async () => {
      useDesk.setState({ playing: true });
      for (let i = 1; i <= 20; i++) {
        useDesk.getState().turn('turn', i);
        director.playAt(i);
      }
      await vi.waitFor(() => expect(shown.at(-1)).toBe(20));
      expect(asked.length).toBeLessThanOrEqual(3);
    });

    it('draws contact sheets from the server’s poses', async () => {
      const frames = await director.framesOf([{ dials: { turn: 4 } }, { dials: { turn: 5 } }]);
      expect(frames.map((f) => f.placed[0]!.matrix[4])).toEqual([4, 5]);
    });

    it('says plainly that it cannot play what needs them', () => {
      expect(() => director.playCue('roll')).toThrow('has not loaded its rules');
    });

    it('shows no answer that comes after it was stopped', async () => {
      director.refresh();
      director.stop();
      await wait(15);
      expect(shown).toEqual([]);
    });
  });
});
