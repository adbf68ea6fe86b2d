import { describe, expect, it } from 'vitest';
import { banded } from './bands';

const row = (...widths: number[]) => {
  let at = 0;
  return widths.map((w) => {
    const from = at;
    at += Math.abs(w);
    return { from, to: at, gap: w < 0 };
  });
};
const told = (least: number, ...widths: number[]) =>
  banded(
    row(...widths).filter((i) => !i.gap),
    least,
  ).map((b) => `${b.items.length}:${b.from}-${b.to}`);

describe('what lies too close to be read', () => {
  it('is one band as far as it goes, between what can be read', () => {
    expect(told(14, 30, 5, 5, 5, 20, 6, 40)).toEqual(['1:0-30', '3:30-45', '1:45-65', '1:65-71', '1:71-111']);
  });
  it('is nothing and nobody where all is wide enough', () => {
    expect(told(14, 14, 15, 16)).toEqual(['1:0-14', '1:14-29', '1:29-45']);
    expect(told(14)).toEqual([]);
  });
  it('leaves what a hand has set alone', () => {
    const items = row(5, 5, 5, 5).map((x, i) => ({ ...x, alone: i === 1 }));
    expect(banded(items, 14).map((b) => b.items.length)).toEqual([1, 1, 2]);
  });
  it('goes by how much room each needs, where each says so', () => {
    const items = row(20, 20, 20).map((x, i) => ({ ...x, least: i === 2 ? 10 : 30 }));
    expect(banded(items, 5).map((b) => b.items.length)).toEqual([2, 1]);
  });
  it('ends at a pause that can be seen', () => {
    expect(told(14, 5, -3, 5, -20, 5)).toEqual(['2:0-13', '1:33-38']);
  });
  it('loses nothing and keeps the order, whatever the widths', () => {
    let seed = 7;
    const next = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (let n = 0; n < 200; n++) {
      const items = row(...Array.from({ length: 1 + Math.floor(next() * 60) }, () => 1 + next() * 30));
      const bands = banded(items, 12);
      expect(bands.flatMap((b) => b.items)).toEqual(items);
      for (const b of bands)
        if (b.items.length > 1) expect(b.items.every((i) => i.to - i.from < 12)).toBe(true);
      for (let i = 1; i < bands.length; i++) {
        const both = [bands[i - 1]!, bands[i]!].flatMap((b) => b.items);
        expect(
          both.every((x) => x.to - x.from < 12),
          'two bands of narrow ones are not neighbours',
        ).toBe(false);
      }
    }
  });
});
