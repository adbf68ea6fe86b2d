import { create } from 'zustand';
import { keep, kept } from '../state/kept';
import type { ViewBox } from './view';

/** What the stage shows: how often the head's usual size at the least and at the most, and how far a key or a notch of the wheel goes. */
const FURTHEST = 6;
const NEAREST = 1 / 30;
export const ZOOM_STEP = 1.25;

/** A view `by` times as wide, with one of its points staying where it is. */
export function zoomedAt(box: ViewBox, by: number, at: [number, number], usual: ViewBox): ViewBox {
  const w = Math.max(usual.w * NEAREST, Math.min(usual.w * FURTHEST, box.w * by));
  const k = w / box.w;
  return { x: at[0] - (at[0] - box.x) * k, y: at[1] - (at[1] - box.y) * k, w, h: box.h * k };
}

export const middle = (b: ViewBox): [number, number] => [b.x + b.w / 2, b.y + b.h / 2];

/** A view of what is in a window of some pixels at one pixel a unit, with the middle staying where it is. */
export function oneToOne(box: ViewBox, pixels: { width: number; height: number }): ViewBox {
  const [x, y] = middle(box);
  return { x: x - pixels.width / 2, y: y - pixels.height / 2, w: pixels.width, h: pixels.height };
}

/** What can be asked of the stage from anywhere: by a key, by name, by its own buttons. */
export interface StageCommands {
  zoom: (by: number) => void;
  fitHead: () => void;
  fitFigure: () => void;
  actual: () => void;
}

interface Sight {
  commands: StageCommands | null;
  /** Whether the whole figure stands in a corner of the stage. */
  corner: boolean;
}

const KEPT = 'corner';

export const useSight = create<Sight>(() => ({ commands: null, corner: kept(KEPT) === 'true' }));

/** Puts the whole figure into a corner of the stage, or takes it away; it stays so on the next day. */
export function showCorner(corner: boolean): void {
  useSight.setState({ corner });
  keep(KEPT, corner);
}
