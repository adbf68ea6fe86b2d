import { describe, expect, it } from 'vitest';
import type { Kit, Part } from '../../api/client';
import { bySet, wardrobe, worn } from './wardrobe';

const part = (id: string, role: string, drawings: string[]) =>
  ({ id, role, drawings: drawings.map((d) => ({ id: d })) }) as unknown as Part;
const kit = (id: string, set: string, choices: Record<string, string>): Kit => ({
  id,
  name: id,
  set,
  choices,
  key: '',
});

describe('the wardrobe', () => {
  it('leaves out what the line, the eyes and the turn lead, and what has nothing to choose', () => {
    const all = [
      part('mouth', 'MOUTH', ['a', 'b']),
      part('torso', 'TORSO', ['coat', 'jumper']),
      part('neck', 'NECK', ['neck']),
      part('cap', 'CAP', ['wool cap']),
      part('hand', 'HAND', ['fist', 'open', 'point']),
    ];
    expect(wardrobe(all).map((p) => p.id)).toEqual(['torso', 'cap', 'hand']);
  });

  it('keeps kits of a set together in the order they were kept', () => {
    const kits = [kit('a', 'cap', { x: '1' }), kit('b', '', { x: '2' }), kit('c', 'cap', { x: '3' })];
    expect(bySet(kits).map(([set, of]) => [set, of.map((k) => k.id)])).toEqual([
      ['cap', ['a', 'c']],
      ['', ['b']],
    ]);
  });

  it('knows which kit is on', () => {
    const kits = [kit('off', '', { cap: 'nothing' }), kit('coat', '', { cap: 'wool', torso: 'coat' })];
    const shown: Record<string, string> = { cap: 'wool', torso: 'coat' };
    expect(worn(kits, (p) => shown[p])).toBe(1);
    expect(worn(kits, () => undefined)).toBe(-1);
  });
});
