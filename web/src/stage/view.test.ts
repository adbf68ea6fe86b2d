import { describe, expect, it } from 'vitest';
import type { Character, Part } from '../api/client';
import { onHead } from './view';

const part = (id: string, role: string, parent: string | null) => ({ id, role, parent });
const character = (parts: Partial<Part>[]) =>
  ({ rig: { parts }, controls: { views: null } }) as unknown as Character;

describe('what belongs to the head', () => {
  it('goes as far down as it hangs, and leaves out what nobody has named', () => {
    const parts = [
      part('torso', 'TORSO', null),
      part('head', 'HEAD', 'torso'),
      part('scarf', 'COLLAR', 'torso'),
      part('face', 'FACE', 'head'),
      part('hat', 'CAP', 'head'),
      part('crown', 'CAP', 'hat'),
      part('badge', 'CAP_BADGE', 'crown'),
      part('loose shapes', 'OTHER', 'head'),
      part('more of them', 'OTHER', 'hat'),
    ];
    expect(onHead(character(parts as Partial<Part>[])).toSorted()).toEqual(['badge', 'crown', 'face', 'hat']);
  });

  it('is nothing where there is no head', () => {
    expect(onHead(character([part('torso', 'TORSO', null)] as Partial<Part>[]))).toEqual([]);
  });
});
