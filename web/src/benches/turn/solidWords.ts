import type { SolidPiece } from '../../api/client';

/** What a piece of a head is in the round, in a rigger's words. */
export const SOLID_WORDS: Record<SolidPiece['kind'], string> = {
  SKULL: 'on the skull',
  MASS: 'mass in front',
  DECAL: 'on the surface as one',
  MOUTH: 'mouth',
  COVER: 'hair on the skull',
  SHELL: 'shell behind',
  RING: 'round the head',
  FRAME: 'stiff frame',
  PLATE: 'plate at the side',
  AXIS: 'on the axis',
  SIDE: 'side of a box',
  FLAT: 'left flat',
};
