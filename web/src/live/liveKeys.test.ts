import { describe, expect, it } from 'vitest';
import type { Character } from '../api/client';
import { liveKeys } from './liveKeys';

const named = (n: number, what: string) =>
  Array.from({ length: n }, (_, i) => ({ id: `${what}${i}`, name: `${what} ${i}` }));

const character = (library: object) =>
  ({
    library: { looks: [], cues: [], kits: [], keys: [], ...library },
    rig: { parts: [] },
  }) as unknown as Character;

describe('keys for playing live', () => {
  it('go to the looks, and with Shift to the cues', () => {
    const keys = liveKeys(character({ looks: named(2, 'look'), cues: named(1, 'cue') }));
    expect(keys.map((k) => `${k.says} ${k.id}`)).toEqual(['1 look0', '2 look1', 'Shift 1 cue0']);
  });

  it('leave the rig its own', () => {
    const keys = liveKeys(
      character({ looks: named(9, 'look'), keys: [{ key: '1' }], kits: [{ key: '3' }, { key: '' }] }),
    );
    expect(keys.map((k) => k.says).join('')).toBe('2456789');
  });
});
