import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Character, Dial, Frame, FrameSeries, LineView } from '../api/client';
import { useDesk } from './desk';
import { Director } from './director';

const at = (x: number): Frame => ({
  placed: [{ part: 'nose', drawing: 'front', matrix: [1, 0, 0, 1, x, 0], opacity: 1, windows: [] }],
});
const character = { rig: { order: ['nose'] } } as unknown as Character;
const line = { id: 'line', frames: 100 } as unknown as LineView;

/** A server that answers with the turn asked for as the nose's place, and counts what it was asked. */
function server() {
  const asked: string[] = [];
  vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
    const body = JSON.parse(String(init.body));
    const kind = url.split('/').pop()!;
    asked.push(kind);
    await new Promise((r) => setTimeout(r, 4));
    const turn = body.pose.dials.turn ?? 0;
    if (kind === 'pose') return Response.json({ revision: 1, frame: at(turn), joints: [], redrawn: [] });
    if (kind === 'choices') {
      const picks = ['front', 'side', 'nothing'];
      const changes = picks.map((_, i) => ({ placed: at(turn + i / 10).placed, gone: [], order: [] }));
      return Response.json({ drawings: picks, frames: { at: [0, 1, 2], first: at(0), changes } });
    }
    if (kind === 'grid') {
      const at_ = Array.from({ length: body.samples ** 2 }, (_, i) => i);
      const changes = at_.map((i) => ({ placed: at(i).placed, gone: [], order: [] }));
      const way = {
        at: Array.from({ length: body.samples }, (_, i) => -1 + (2 * i) / (body.samples - 1)),
        edges: [0.5],
        hysteresis: 0.1,
      };
      return Response.json({ frames: { at: at_, first: at(0), changes }, across: way, down: way });
    }
    const values: number[] =
      kind === 'sweep'
        ? [-60, 0, 60]
        : Array.from({ length: body.to - body.from }, (_, i) => body.from + i).filter((f) => f < 100);
    const series: FrameSeries = {
      at: values,
      edges: [],
      hysteresis: 0,
      first: at(0),
      changes: values.map((v) => ({
        placed: at(kind === 'sweep' ? v : turn + v / 1000).placed,
        gone: [],
        order: [],
      })),
    };
    return Response.json(series);
  });
  return asked;
}

const wait = (ms: number) => new Promise((r) => setTimeout(r, ms));

describe('the director', () => {
  let asked: string[];
  let shown: number[];
  let failures: unknown[];
  let director: Director;

  beforeEach(() => {
    asked = server();
    shown = [];
    failures = [];
    useDesk.setState({ dials: {}, picks: {}, pins: {}, frame: 0, playing: false });
    director = new Director(character, 'c', 1, line, (e) => failures.push(e));
    director.watch((f) => shown.push(f.placed[0]!.matrix[4]!));
  });
  afterEach(() => {
    director.stop();
    vi.unstubAllGlobals();
    expect(failures).toEqual([]);
  });

  it('shows what the server answers', async () => {
    useDesk.getState().turn('turn', 12);
    director.refresh();
    await vi.waitFor(() => expect(shown).toEqual([12]));
    expect(director.shownOf('nose')).toBe('front');
    expect(director.shownOf('cap')).toBeNull();
  });

  it('drags through one sweep without asking again, and ends on the server’s own answer', async () => {
    await director.grab('turn');
    asked.length = 0;
    for (const v of [-50, -10, 20, 55]) {
      useDesk.getState().turn('turn', v);
      director.refresh();
    }
    expect(asked).toEqual([]);
    expect(shown.slice(-4)).toEqual([-60, 0, 0, 60]);
    director.release();
    await vi.waitFor(() => expect(shown.at(-1)).toBe(55));
    expect(asked).toEqual(['pose']);
  });

  it('plays from what it fetched ahead', async () => {
    useDesk.setState({ playing: true });
    director.playAt(0);
    await vi.waitFor(() => expect(shown).not.toEqual([]));
    asked.length = 0;
    for (let f = 0; f < 12; f++) director.playAt(f);
    expect(asked).toEqual([]);
    expect(shown.at(-1)).toBeCloseTo(0.011);
  });

  it('asks for the newest pose only while a dial is dragged in play', async () => {
    useDesk.setState({ playing: true });
    director.playAt(0);
    for (let i = 1; i <= 20; i++) {
      useDesk.getState().turn('turn', i);
      useDesk.getState().seek(i);
      director.playAt(i);
    }
    await vi.waitFor(() => {
      director.playAt(20);
      expect(Math.round(shown.at(-1) ?? 0)).toBe(20);
    });
    expect(asked.length).toBeLessThanOrEqual(3);
  });

  it('steps through a set at once when it was near, and asks again when the pose is another', async () => {
    useDesk.getState().turn('turn', 12);
    await director.offer('nose');
    asked.length = 0;
    useDesk.getState().pick('nose', 'side');
    director.refresh();
    expect(shown.at(-1)).toBeCloseTo(12.1);
    // the server's own answer stays last
    await vi.waitFor(() => expect(asked).toEqual(['pose']));
    await vi.waitFor(() => expect(shown.at(-1)).toBe(12));
    await director.offer('nose');
    expect(asked).toEqual(['pose']);

    useDesk.getState().turn('turn', 30);
    useDesk.getState().pick('nose', 'front');
    shown.length = 0;
    director.refresh();
    expect(shown).toEqual([]);
    await vi.waitFor(() => expect(shown).toEqual([30]));
    await director.offer('nose');
    expect(asked.filter((k) => k === 'choices')).toHaveLength(1);
  });

  it('says nothing more once it is stopped', async () => {
    director.refresh();
    director.stop();
    await wait(15);
    expect(shown).toEqual([]);
  });

  it('shows a pad from what was fetched for the whole of it, and the server’s own answer once it is let go', async () => {
    const dial = (id: string) => ({ id, from: -1, to: 1, rest: 0 }) as unknown as Dial;
    await director.grabPad(dial('across'), dial('down'));
    asked.length = 0;
    shown.length = 0;
    useDesk.getState().turnAll({ across: -1, down: -1 });
    director.refresh();
    useDesk.getState().turnAll({ across: 1, down: -1 });
    director.refresh();
    useDesk.getState().turnAll({ across: 1, down: 1 });
    director.refresh();
    // row by row: the corners of a grid of 33 by 33
    expect(shown).toEqual([0, 32, 33 * 33 - 1]);
    expect(asked).toEqual([]);
    director.release();
    await vi.waitFor(() => expect(asked).toEqual(['pose']));
  });

  it('keeps a drawing on a pad while a hand trembles about its edge, either way', async () => {
    const dial = (id: string) => ({ id, from: -1, to: 1, rest: 0 }) as unknown as Dial;
    await director.grabPad(dial('across'), dial('down'));
    const hand = (across: number, down: number) => {
      useDesk.getState().turnAll({ across, down });
      director.refresh();
      const index = shown.at(-1)!;
      return [index % 33, Math.floor(index / 33)];
    };
    // the edge at 0.5 is at step 24 of 0 to 32
    expect(hand(0.4, 0.4)).toEqual([22, 22]);
    expect(hand(0.55, 0.4)).toEqual([23, 22]);
    expect(hand(0.55, 0.58)).toEqual([23, 23]);
    expect(hand(0.7, 0.58)).toEqual([27, 23]);
    expect(hand(0.45, 0.7)).toEqual([24, 27]);
    expect(hand(0.3, 0.45)).toEqual([21, 24]);
    director.release();
    await wait(15);
    // let go of, the next hand finds it where it stands
    useDesk.getState().turnAll({ across: 0.55, down: -1 });
    await director.grabPad(dial('across'), dial('down'));
    expect(hand(0.55, -1)).toEqual([25, 0]);
  });
});
