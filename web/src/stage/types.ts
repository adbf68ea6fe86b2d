import type { components } from '../api/schema';

export type { Artwork, Character, Frame, Placed, Shape } from '../api/client';
export type Paint = components['schemas']['Paint'];
