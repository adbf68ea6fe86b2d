import { describe, expect, it } from 'vitest';
import { clock, isGrid, named, namesOf, textOf } from './script';

const line = (cue: string, words: string) => ({ place: 1, speaker: '', cue, words });

describe('a script', () => {
  it('names lines by cue or number and how they begin', () => {
    expect(
      namesOf([line('SC-2', 'The boat leaves at seven. Mind it!'), line('', '(sighs) Oh, <i>no</i>.')]),
    ).toEqual(['SC-2 The boat leaves at seven', '2 Oh, no']);
    expect(namesOf(Array.from({ length: 12 }, () => line('', 'Yes!')))[1]).toBe('02 Yes');
    expect(namesOf([line('', 'a'.repeat(200))])[0]).toHaveLength(76);
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
    expect(isGrid('\nFile type = "ooTextFile short"')).toBe(true);
    expect(isGrid('MAREN: File type')).toBe(false);
  });
});
