import { beforeEach, describe, expect, it } from 'vitest';
import type { ExporterView } from '../../api/client';
import { chosenSet, FAMILIES, keepSet } from './families';

const offered = ['film-mp4', 'film-webm', 'lottie', 'bundle'].map((id) => ({ id }) as ExporterView);

describe('what goes into everything', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    globalThis.localStorage = {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => void kept.set(k, v),
    } as Storage;
  });

  it('is one of each kind at first', () => {
    expect(chosenSet(offered)).toEqual(['film-mp4', 'lottie', 'bundle']);
  });

  it('is what was chosen last, in the order offered, without what is gone', () => {
    keepSet(['lottie', 'film-webm', 'no-such']);
    expect(chosenSet(offered)).toEqual(['film-webm', 'lottie']);
    keepSet([]);
    expect(chosenSet(offered)).toEqual([]);
  });

  it('survives nonsense', () => {
    kept.set('leeward.hand-over', '{"a":');
    expect(chosenSet(offered)).toHaveLength(3);
    kept.set('leeward.hand-over', '7');
    expect(chosenSet(offered)).toHaveLength(3);
  });

  it('has a place for every family once', () => {
    expect(new Set(FAMILIES.map((f) => f.family)).size).toBe(FAMILIES.length);
  });
});
