import { create } from 'zustand';
import { keep, kept } from '../state/kept';

/** What can be made larger or smaller, folded away and brought back. */
export type Panel = 'rail' | 'bench' | 'sheet' | 'shelf' | 'strip';

export interface Room {
  /** Pixels across or up; what is missing has the size that is usual for the window. */
  size: Partial<Record<Panel, number>>;
  folded: Panel[];
  /** Only the face; what lies round it is as it was when that ends. */
  alone: boolean;
}

interface Actions {
  resize: (panel: Panel, pixels: number | undefined) => void;
  fold: (panel: Panel, folded: boolean) => void;
  standAlone: (alone: boolean) => void;
  /** The window has another width: what was last arranged for such a one. */
  widened: (width: number) => void;
}

/** Widths from which on an arrangement of its own is remembered, pixels. */
const WIDTHS = [2560, 1920, 1440, 1280, 1024, 0];
/** What each panel may be at least, pixels. */
export const LEAST: Record<Panel, number> = { rail: 64, bench: 260, sheet: 300, shelf: 64, strip: 120 };
const NOTHING: Room = { size: {}, folded: [], alone: false };

/** Where an arrangement is kept: a laptop's panels are not those of the wide screen beside it. */
export const keyFor = (width: number) => `room.${WIDTHS.find((w) => width >= w) ?? 0}`;

/** What was kept, without what is no panel or no size: it may be from an older page or from a hand. */
export function restored(text: string | null): Room {
  let read: unknown;
  try {
    read = JSON.parse(text ?? 'null');
  } catch {
    return NOTHING;
  }
  if (typeof read !== 'object' || read === null) return NOTHING;
  const { size, folded } = read as { size?: unknown; folded?: unknown };
  const panels = Object.keys(LEAST) as Panel[];
  const sizes: Room['size'] = {};
  for (const p of panels) {
    const v = typeof size === 'object' && size !== null ? (size as Record<string, unknown>)[p] : undefined;
    if (typeof v === 'number' && Number.isFinite(v) && v >= LEAST[p]) sizes[p] = v;
  }
  return {
    size: sizes,
    folded: panels.filter((p) => Array.isArray(folded) && folded.includes(p)),
    alone: false,
  };
}

const here = () => (typeof window === 'undefined' ? 1280 : window.innerWidth);

const load = (width: number): Room => restored(kept(keyFor(width)));

export const useRoom = create<Room & Actions>((set) => ({
  ...load(here()),
  resize: (panel, pixels) =>
    set((s) => {
      const size = { ...s.size };
      if (pixels === undefined) delete size[panel];
      else size[panel] = Math.max(LEAST[panel], Math.round(pixels));
      return { size };
    }),
  fold: (panel, folded) =>
    set((s) => ({
      folded: folded ? [...new Set([...s.folded, panel])] : s.folded.filter((p) => p !== panel),
    })),
  standAlone: (alone) => set({ alone }),
  widened: (width) => set((s) => ({ ...load(width), alone: s.alone })),
}));

/** Keeps arrangements from one visit to the next, one for each width of window. */
export function keepRoom(): () => void {
  let at = keyFor(here());
  const stop = useRoom.subscribe(({ size, folded }) => {
    keep(keyFor(here()), { size, folded });
  });
  const resized = () => {
    const now = keyFor(here());
    if (now !== at) useRoom.getState().widened(here());
    at = now;
  };
  window.addEventListener('resize', resized);
  return () => {
    stop();
    window.removeEventListener('resize', resized);
  };
}
