import { describe, expect, it } from 'vitest';
import type { Character } from '../api/client';
import { lacking } from './FirstPass';

const character = (dials: { id: string; purpose: string }[], looks = 0, views: object | null = null) =>
  ({
    controls: { dials, views },
    library: { looks: Array.from({ length: looks }, () => ({})) },
  }) as unknown as Character;

describe('what a first pass cannot act', () => {
  it('is told by what the character lacks', () => {
    const fox = character([
      { id: 'turn', purpose: 'TURN' },
      { id: 'blink', purpose: 'BLINK' },
      { id: 'gaze-across', purpose: 'GAZE_ACROSS' },
    ]);
    expect(lacking('BLINKS', fox)).toBe('');
    expect(lacking('GAZE', fox)).toBe('');
    expect(lacking('SETTLING', fox)).toBe('');
    expect(lacking('NODS', fox)).toBe('no nod');
    expect(lacking('BREATH', fox)).toBe('no nod');
    expect(lacking('BROWS', fox)).toBe('no dials of the brows');
    expect(lacking('LOOKS', fox)).toBe('no looks');
  });

  it('knows a head whose views are exchanged, and one without anything', () => {
    expect(lacking('SETTLING', character([{ id: 'turn', purpose: 'TURN' }], 1, {}))).toBe(
      'its views are exchanged',
    );
    const bare = character([]);
    expect((['BLINKS', 'GAZE', 'SETTLING'] as const).map((k) => lacking(k, bare))).toEqual([
      'no blink',
      'no gaze',
      'no turn',
    ]);
    expect(lacking('LOOKS', character([], 2))).toBe('');
  });
});
