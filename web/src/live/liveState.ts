import type { LiveSettings } from 'page-core';
import { create } from 'zustand';

export type LivePhase =
  | { is: 'idle' }
  | { is: 'counting'; beat: number; of: number }
  | { is: 'recording'; from: number; to: number };

export type Smoothing = 'off' | 'some' | 'much';

interface Live {
  phase: LivePhase;
  /** Seconds counted before it begins; common practice is three. */
  count: number;
  smoothing: Smoothing;
  /** Milliseconds by which a hand is behind. */
  latency: number;
  /** Percent of a dial's range that keys may be from what was done. */
  tolerance: number;
}

export const useLive = create<Live>(() => ({
  phase: { is: 'idle' },
  count: 3,
  smoothing: 'some',
  latency: 0,
  tolerance: 1,
}));

/** Cutoff at rest and how it rises with speed, in the dial's own units a second: for hands by rule of thumb, no source. */
const FILTERS: Record<Smoothing, { minimumCutoff: number; beta: number } | null> = {
  off: null,
  some: { minimumCutoff: 3, beta: 0.05 },
  much: { minimumCutoff: 1, beta: 0.02 },
};

export function settings(): LiveSettings {
  const { smoothing, latency, tolerance } = useLive.getState();
  const filter = FILTERS[smoothing];
  return {
    tolerance: tolerance / 100,
    latency: latency / 1000,
    smoothing: filter ? { ...filter, derivativeCutoff: 1 } : undefined,
  };
}
