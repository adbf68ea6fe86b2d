/** What a part is cut by: inside a window, outside a fill, or behind a hand's fingers. */
export type Cut = 'w' | 'o' | 'h';

/** A drawing's elements, by which it is given other outlines. */
export interface Drawn {
  group: SVGGElement;
  /** For each shape what is drawn of it: paths, or the group of a piece of a picture. */
  paths: [number, SVGElement][];
  patches: [number, SVGElement][];
  /** The paths of its own window, each with its shape. */
  within: [number, SVGElement][];
  /** The outlines it was given last; empty for its own. */
  outlines: string[];
}

export interface Slot {
  outer: SVGGElement;
  placed: SVGGElement;
  drawings: Map<string, Drawn>;
  shown: string | null;
  /** What cuts the part, as attributes of the groups it lies in, outermost first. */
  cuts: string;
}

/** A clip path or a mask that some parts are seen through, and what it was made from. */
export interface CutBy {
  element: SVGClipPathElement | SVGMaskElement;
  placed: SVGElement[];
  /** Its paths, each with the shape it is of. */
  paths: [number, SVGElement][];
  /** The drawing it was made from; null when it is to be made anew. */
  drawing: string | null;
  outlines: string[];
}

export const NONE: string[] = [];
