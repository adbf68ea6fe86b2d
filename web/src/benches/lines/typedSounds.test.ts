import { describe, expect, it } from 'vitest';
import { PHONES } from './phones';
import { typedSounds } from './typedSounds';

describe('sounds that were typed', () => {
  it('are taken in any case, with stress or without', () => {
    expect(typedSounds(' s AO1 r, ah0 L ')).toEqual({ phones: ['S', 'AO', 'R', 'AH', 'L'] });
    expect(typedSounds('')).toEqual({ phones: [] });
  });

  it('are refused by the first that is none', () => {
    expect(typedSounds('R EH QQ ZZ')).toEqual({ unknown: 'QQ' });
  });

  it('are the 39 of the dictionary', () => {
    expect(new Set(PHONES.map((p) => p.phone)).size).toBe(39);
  });
});
