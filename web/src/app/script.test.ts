import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, Refusal } from '../api/client';
import { clock, isTimed, named, namesOf, textOf } from './script';

const line = (cue: string, words: string) => ({ place: 1, speaker: '', cue, words });

describe('a script', () => {
  it('names lines by cue or number and how they begin', () => {
    expect(
      namesOf([line('SC-2', 'The boat leaves at seven. Mind it!'), line('', '(sighs) Oh, <i>no</i>.')]),
    ).toEqual(['SC-2 The boat leaves at seven', '2 Oh, no']);
    expect(namesOf(Array.from({ length: 12 }, () => line('', 'Yes!')))[1]).toBe('02 Yes');
    expect(namesOf([line('', 'a'.repeat(200))])[0]).toHaveLength(70);
  });
  it('tells times', () => {
    expect(clock(0)).toBe('0:00');
    expect(clock(65.4)).toBe('1:05');
    expect(clock(3600)).toBe('60:00');
  });
  it('orders names as a person counts', () => {
    expect(
      named([{ name: '10 b' }, { name: '2 a' }, { name: 'Walk' }, { name: '2 A 2' }]).map((n) => n.name),
    ).toEqual(['2 a', '2 A 2', '10 b', 'Walk']);
  });
  it('reads texts in UTF-8 and both orders of UTF-16', async () => {
    const file = (bytes: Uint8Array) => ({ arrayBuffer: async () => bytes.slice().buffer as ArrayBuffer });
    const wide = (big: boolean) =>
      new Uint8Array(
        [0xfeff, ...'ø!'].flatMap((c) => {
          const n = typeof c === 'number' ? c : c.charCodeAt(0);
          return big ? [n >> 8, n & 255] : [n & 255, n >> 8];
        }),
      );
    expect(await textOf(file(new TextEncoder().encode('ø!')))).toBe('ø!');
    expect(await textOf(file(wide(true)))).toBe('ø!');
    expect(await textOf(file(wide(false)))).toBe('ø!');
  });
});

describe('a text beside a recording', () => {
  afterEach(() => vi.restoreAllMocks());
  it('is timed when it is a TextGrid, or a table the server takes for one', async () => {
    const asked = vi.spyOn(api, 'timingGrid');
    expect(await isTimed('a.txt', '\nFile type = "ooTextFile short"')).toBe(true);
    expect(await isTimed('a.txt', 'MAREN: File type')).toBe(false);
    expect(asked).not.toHaveBeenCalled();
    asked.mockResolvedValueOnce({ seconds: 1, tiers: [] });
    expect(await isTimed('a.csv', 'start,end,sound')).toBe(true);
    asked.mockRejectedValueOnce(new Refusal(422, 'grid-not', 'grid', ''));
    expect(await isTimed('a.csv', 'start,end,text')).toBe(false);
    // one that is broken is shown with what is wrong with it
    asked.mockRejectedValueOnce(new Refusal(422, 'grid-broken', 'grid', ''));
    expect(await isTimed('a.tsv', 'start\tend\tsound')).toBe(true);
  });
});
