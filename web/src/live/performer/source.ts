import type { Told } from 'page-live';

/** What a source of signals tells the page. */
export interface Listener {
  /** @param behind milliseconds it is behind the face */
  comes: (name: string, behind: number) => void;
  tells: (signals: Told) => void;
  /** Points of a face in a picture, x, y and z of each as shares of it. */
  sees?: (points: Float64Array, width: number, height: number) => void;
  /** A sound begins in a voice, in ARPAbet; empty for silence. */
  sounds?: (phone: string) => void;
  /** Its sounds are listened to, and told so many milliseconds late. */
  listened?: (behind: number) => void;
  /** Milliseconds it is behind the face, when that changes. */
  lags?: (behind: number) => void;
  /** It is there, but has nothing to tell: no face, a dark room. */
  loses: (reason: string) => void;
  /** It has left, or the way to it broke. */
  leaves: (reason: string) => void;
  /** Something is wrong, and it goes on. */
  troubles: (message: string) => void;
  roundTrip?: (milliseconds: number) => void;
}

/** A source that is listened to. */
export interface Source {
  /** Called for every picture, before it is drawn. */
  poll?: () => void;
  /** A script begins again. */
  again?: () => void;
  close: () => void;
}
