// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { api } from '../../api/client';
import { cellKey, Preview } from './preview';
import { AS_ASKED } from './Rulers';

afterEach(() => vi.restoreAllMocks());

const answer = (d: string) => ({ mouths: [{ mood: 'happy', viseme: 'AH' as const, outlines: [d] }] });

describe('what the wall shows while rulers are turned', () => {
  it('asks two questions at once, then only the newest, and shows no answer that was overtaken', async () => {
    const done: ((d: string) => void)[] = [];
    const ask = vi
      .spyOn(api, 'previewMouths')
      .mockImplementation(() => new Promise((keep) => done.push((d) => keep(answer(d)))));
    const preview = new Preview('c', () => {});
    const shown: (string[] | null)[] = [];
    preview.watch(cellKey('happy', 'AH'), (o) => shown.push(o));
    for (const jaw of [0.1, 0.2, 0.3, 0.4]) preview.ask({ ...AS_ASKED, jaw }, {});
    expect(ask).toHaveBeenCalledTimes(2);
    done[1]!('M2 2');
    await vi.waitFor(() => expect(ask).toHaveBeenCalledTimes(3));
    expect(ask.mock.calls[2]![1].jaw).toBe(0.4);
    done[0]!('M1 1');
    done[2]!('M4 4');
    await vi.waitFor(() => expect(shown).toEqual([['M2 2'], ['M4 4']]));
  });

  it('shows nothing that arrives after it was let go, and own drawings again when it was given up', async () => {
    let keep = (_: string) => {};
    vi.spyOn(api, 'previewMouths').mockImplementation(
      () => new Promise((done) => (keep = (d) => done(answer(d)))),
    );
    const preview = new Preview('c', () => {});
    const shown: (string[] | null)[] = [];
    preview.watch(cellKey('happy', 'AH'), (o) => shown.push(o));
    preview.ask(AS_ASKED, {});
    preview.forget();
    keep('M1 1');
    await Promise.resolve();
    await Promise.resolve();
    expect(shown).toEqual([null]);
  });

  it('tells what went wrong', async () => {
    vi.spyOn(api, 'previewMouths').mockRejectedValue(new Error('no outline'));
    const failed = vi.fn();
    new Preview('c', failed).ask(AS_ASKED, {});
    await vi.waitFor(() => expect(failed).toHaveBeenCalledOnce());
  });
});

describe('a ruler that is turned', () => {
  const turning = (preview: Preview, jaw: number) =>
    preview.turn('jaw', jaw, 2, (v) => [{ ...AS_ASKED, jaw: v }, {}]);

  it('paints the blend of the places it stands between, then what is really made where it rests', async () => {
    vi.spyOn(api, 'previewMouths').mockImplementation((_, r) =>
      // a maker that is no straight line, so that a blend and an answer differ
      Promise.resolve(answer(`M${(r.jaw ?? 0) ** 2} 0`)),
    );
    const preview = new Preview('c', () => {});
    const painted: string[] = [];
    const shown: (string[] | null)[] = [];
    let done = 0;
    preview.watch(cellKey('happy', 'AH'), (o) => shown.push(o));
    preview.blended(
      (blend) => painted.push(...(blend(cellKey('happy', 'AH')) ?? [])),
      () => done++,
    );
    turning(preview, 1.125);
    // places lie a quarter apart: 1.125 is halfway between 1 and 1.25
    const middle = (1 + 1.25 ** 2) / 2;
    await vi.waitFor(() => expect(painted.at(-1)).toBe(`M${Math.round(middle * 100) / 100} 0`));
    expect(shown).toEqual([]);
    await vi.waitFor(() => expect(shown).toEqual([['M1.265625 0']]));
    expect(done).toBe(1);
  });

  it('asks for every place once, the nearest first', async () => {
    const ask = vi.spyOn(api, 'previewMouths').mockResolvedValue(answer('M0 0'));
    const preview = new Preview('c', () => {});
    turning(preview, 0.5);
    turning(preview, 0.51);
    await vi.waitFor(() => expect(ask.mock.calls.length).toBeGreaterThanOrEqual(9));
    const jaws = ask.mock.calls.map((c) => c[1].jaw!);
    expect(jaws[0]).toBeCloseTo(0.5);
    expect(Math.abs(jaws[1]! - 0.5)).toBeCloseTo(1 / 4);
    const places = new Set(jaws.map((j) => Math.round(j * 4)));
    expect(places.size).toBe(9);
    preview.forget();
  });

  it('leaves the last blend in sight when it is let go', async () => {
    vi.spyOn(api, 'previewMouths').mockImplementation((_, r) => Promise.resolve(answer(`M${r.jaw} 0`)));
    const preview = new Preview('c', () => {});
    const shown: (string[] | null)[] = [];
    let painted = 0;
    preview.watch(cellKey('happy', 'AH'), (o) => shown.push(o));
    preview.blended(
      () => painted++,
      () => {},
    );
    turning(preview, 1.2);
    await vi.waitFor(() => expect(painted).toBeGreaterThan(0));
    preview.settle();
    expect(shown).toEqual([['M1.2 0']]);
  });
});
