import type { SignalId, Told } from 'page-live';
import { create } from 'zustand';

/** Whether somebody performs: nobody is there, the face is seen, it was lost a moment ago, or the way to it broke. */
export type Presence = 'nobody' | 'there' | 'lost' | 'away';

interface Performer {
  presence: Presence;
  name: string;
  /** Why it is lost; empty when it is not, or nobody says. */
  lostWhy: string;
  /** Why it is away, or what else is wrong; empty when nothing is. */
  trouble: string;
  /** Milliseconds by which the performer says it is behind the face. */
  behind: number;
  /** Milliseconds there and back between the page and the door. */
  roundTrip: number;
  /** Milliseconds by which mouths are behind the voice; null while nobody listens to it. */
  mouthsBehind: number | null;
  /** Messages in the last second. */
  rate: number;
  /** Seconds without a word. */
  lostFor: number;
  /** How far each signal is from neutral. */
  signals: Partial<Record<SignalId, number>>;
  /** The neutral pose, and when it was taken; empty when none was. */
  neutral: Told;
  neutralAt: string;
  /** A camera's picture, while there is one. */
  stream: MediaStream | null;
}

export const NOBODY: Performer = {
  presence: 'nobody',
  name: '',
  lostWhy: '',
  trouble: '',
  behind: 0,
  roundTrip: 0,
  mouthsBehind: null,
  rate: 0,
  lostFor: 0,
  signals: {},
  neutral: {},
  neutralAt: '',
  stream: null,
};

export const usePerformerState = create<Performer>(() => NOBODY);

/** Milliseconds from a face to the picture: what the performer says, and half the way there and back. */
export function latencyOf(): number {
  const { behind, roundTrip } = usePerformerState.getState();
  return behind + roundTrip / 2;
}
