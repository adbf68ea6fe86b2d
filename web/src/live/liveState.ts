import type { LiveSettings, LiveTake } from 'page-core';
import { create } from 'zustand';
import type { KeptTake } from './liveTakes';
import { latencyOf } from './performer/performerState';

export type LivePhase =
  | { is: 'idle' }
  | { is: 'counting'; beat: number; of: number }
  | { is: 'recording'; from: number; to: number };

export type Smoothing = 'off' | 'some' | 'much';

/** What moves the face. */
export type LiveSource = 'hands' | 'gamepad' | 'microphone' | 'camera' | 'tracker' | 'simulated';

interface Live {
  phase: LivePhase;
  /** Whether the panel to play live stands in place of the sheet. */
  panel: boolean;
  source: LiveSource;
  /** Grows when somebody asks for the source again, after it could not be had. */
  asked: number;
  /** Which script the simulated performer plays. */
  performance: string;
  /** Whether a performer drives the face while nothing is written. */
  rehearsing: boolean;
  /** Whether left and right are exchanged, as in a mirror. */
  mirrored: boolean;
  /** Whether a lost performer is held for good, instead of for a moment. */
  holds: boolean;
  /** Whether a voice moves the mouth while it speaks, and whether the shot itself is silent meanwhile. */
  speaks: boolean;
  hushed: boolean;
  /** Keys of tracks that are neither driven nor written. */
  disarmed: string[];
  /** Whether it begins again when it has come to its end, as another take. */
  over: boolean;
  /** Sets a cue going in the take that is being played; null while none is. */
  cued: ((cue: string) => void) | null;
  /** What has been done in the take that is being played. */
  writing: LiveTake | null;
  /** The take that is being watched without being put in; null while none is. */
  watched: string | null;
  /** Takes of the shot, in the order they were played. */
  takes: KeptTake[];
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
  panel: false,
  source: 'hands',
  asked: 0,
  performance: 'DELIGHT',
  rehearsing: true,
  mirrored: false,
  holds: false,
  speaks: true,
  hushed: true,
  disarmed: [],
  over: false,
  cued: null,
  writing: null,
  watched: null,
  takes: [],
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

/** The same for signals, over shares of their range. */
export const STEADINESS: Record<Smoothing, { cutoff?: number; beta?: number }> = {
  off: {},
  some: { cutoff: 1.5, beta: 6 },
  much: { cutoff: 0.6, beta: 3 },
};

export function settings(): LiveSettings {
  const { smoothing, latency, tolerance, source } = useLive.getState();
  // a performer is smoothed on its way in
  const filter = source === 'hands' ? FILTERS[smoothing] : null;
  return {
    tolerance: tolerance / 100,
    latency: Math.min(1000, source === 'hands' ? latency : latencyOf()) / 1000,
    smoothing: filter ? { ...filter, derivativeCutoff: 1 } : undefined,
  };
}

/** The key of what a hand or a performer moves. */
export const trackOf = (kind: 'dial' | 'drawings' | 'look' | 'cue', id: string) => `${kind} ${id}`;

export const isArmed = (track: string) => !useLive.getState().disarmed.includes(track);

export const arm = (track: string, on: boolean) =>
  useLive.setState((s) => ({
    disarmed: on ? s.disarmed.filter((t) => t !== track) : [...new Set([...s.disarmed, track])],
  }));
