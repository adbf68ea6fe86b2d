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
