import { create } from 'zustand';
import type { Strip, Track } from '../api/client';

/** A stretch of some tracks. */
export interface Chosen {
  tracks: Track[];
  from: number;
  /** The first frame behind it. */
  to: number;
}

interface SheetState {
  /** Running across instead of downwards. */
  across: boolean;
  /** How long a frame is drawn, pixels. */
  zoom: number;
  chosen: Chosen | null;
  /** The one thing that was clicked; what can be set about it stands at the foot. */
  item: string | null;
  /** Tracks that are shown though nothing is on them, by their keys. */
  shown: string[];
  /** Whether every dial that is moved is keyed. */
  keying: boolean;
  /** Whether the frames before and after show through on the stage, and the path of the chosen part. */
  onion: boolean;
  path: boolean;
  clip: Strip | null;
  /** Whether what is wrong along the shot is listed. */
  checking: boolean;
}

export const LEAST_ZOOM = 1.5;
export const MOST_ZOOM = 44;

export const useSheet = create<SheetState>(() => ({
  across: false,
  zoom: 20,
  chosen: null,
  item: null,
  shown: [],
  keying: false,
  onion: false,
  path: false,
  clip: null,
  checking: false,
}));

export const choose = (chosen: Chosen | null, item: string | null = null) =>
  useSheet.setState({ chosen, item });

export const zoomBy = (times: number) =>
  useSheet.setState((s) => ({ zoom: Math.max(LEAST_ZOOM, Math.min(MOST_ZOOM, s.zoom * times)) }));
