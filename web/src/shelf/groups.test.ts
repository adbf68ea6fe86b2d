import { describe, expect, it } from 'vitest';
import type { Character, Dial } from '../api/client';
import { groupOf, shelved, usuallyPinned } from './groups';
import { usePinned } from './pinned';

const dial = (id: string, purpose: Dial['purpose'], ...moves: string[]) =>
  ({
    id,
    name: id,
    purpose,
    stops: [{ at: 1, offsets: Object.fromEntries(moves.map((m) => [m, {}])) }],
    bands: [],
    layers: [],
  }) as unknown as Dial;
const character = {
  rig: {
    parts: [
      { id: 'bl', role: 'BROW' },
      { id: 'br', role: 'BROW' },
      { id: 'lid', role: 'UPPER_LID' },
      { id: 'arm', role: 'FOREARM' },
      { id: 'nose', role: 'NOSE' },
    ],
  },
} as unknown as Character;

const dials = [
  dial('Turn', 'TURN', 'nose'),
  dial('Brows raise', 'OWN', 'bl', 'br'),
  dial('Squint', 'OWN', 'lid'),
  dial('Smile', 'ACTION_UNIT', 'nose'),
  dial('Wave', 'OWN', 'arm'),
  dial('Everything', 'OWN', 'bl', 'lid', 'arm', 'nose'),
];

describe('the shelf of dials', () => {
  it('puts dials together by what they are for, or by what they move', () => {
    expect(dials.map((d) => groupOf(d, character))).toEqual(['head', 'brows', 'eyes', 'face', 'body', 'own']);
  });

  it('has pinned ones first and leaves empty groups out', () => {
    const all = shelved(character, dials, ['Wave', 'nobody'], '', null);
    expect(all.map((g) => `${g.group}: ${g.dials.map((d) => d.name).join()}`)).toEqual([
      'pinned: Wave',
      'head: Turn',
      'eyes: Squint',
      'brows: Brows raise',
      'face: Smile',
      'own: Everything',
    ]);
  });

  it('looks through every group when something is typed, whichever is chosen', () => {
    expect(shelved(character, dials, [], 'raise bro', 'head').map((g) => g.group)).toEqual(['brows']);
    expect(shelved(character, dials, [], '', 'head').map((g) => g.group)).toEqual(['head']);
    expect(shelved(character, dials, [], 'zz', null)).toEqual([]);
  });

  it('has the dials a head is tried with first until somebody pins', () => {
    expect(usuallyPinned(dials, character)).toEqual(['Turn', 'Brows raise']);
  });

  it('remembers pins by character', () => {
    const pins = usePinned.getState();
    const now = (c: string) => usePinned.getState().dials[c] ?? ['usual'];
    for (const [c, d] of [
      ['a', 'x'],
      ['b', 'y'],
      ['a', 'z'],
      ['a', 'x'],
    ] as const)
      pins.toggle(c, d, now(c));
    expect(usePinned.getState().dials).toEqual({ b: ['usual', 'y'], a: ['usual', 'z'] });
    pins.fold('eyes');
    expect(usePinned.getState().folded).toEqual(['face', 'eyes']);
    pins.fold('eyes');
    expect(usePinned.getState().folded).toEqual(['face']);
  });
});
