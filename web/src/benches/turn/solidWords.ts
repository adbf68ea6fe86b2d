import type { SolidPiece } from '../../api/client';

/** What a piece of a head is in the round, in a rigger's words. */
export const SOLID_WORDS: Record<SolidPiece['kind'], string> = {
  SKULL: 'on the skull',
  MASS: 'mass in front',
  DECAL: 'on the surface, as one piece',
  MOUTH: 'mouth',
  COVER: 'cover over the skull',
  SHELL: 'shell behind',
  RING: 'ring round the head',
  FRAME: 'frame before the face',
  PLATE: 'plate at the side',
  AXIS: 'on the neck’s axis',
  FLAT: 'left flat',
};
