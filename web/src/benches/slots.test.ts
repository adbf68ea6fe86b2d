import { describe, expect, it } from 'vitest';
import type { Character, Part } from '../api/client';
import { filling, GROUPS, missing } from './slots';

const part = (role: Part['role'], side: Part['side']): Part =>
  ({
    id: `${role}${side}`,
    name: role,
    role,
    side,
    drawings: [{ id: 'd', name: 'd', art: '' }],
  }) as unknown as Part;
const character = (...parts: Part[]) => ({ parts }) as unknown as Character;
const lid = GROUPS.flatMap((g) => g.slots).find((s) => s.role === 'UPPER_LID')!;
const cap = GROUPS.flatMap((g) => g.slots).find((s) => s.role === 'CAP')!;

describe('the slot board', () => {
  it('tells what a missing piece costs', () => {
    expect(missing(character(), lid)).toContain('squashes');
  });
  it('tells when only one of two sides is there', () => {
    expect(missing(character(part('UPPER_LID', 'LEFT')), lid)).toContain('one side only');
  });
  it('is content with both, and with nothing where nobody misses it', () => {
    expect(missing(character(part('UPPER_LID', 'LEFT'), part('UPPER_LID', 'RIGHT')), lid)).toBeNull();
    expect(missing(character(), cap)).toBeNull();
  });
  it('lists the right before the left, as they stand on the screen', () => {
    const both = character(part('UPPER_LID', 'LEFT'), part('UPPER_LID', 'RIGHT'));
    expect(filling(both, lid).map((p) => p.side)).toEqual(['RIGHT', 'LEFT']);
  });
});
