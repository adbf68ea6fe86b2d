import type { Told } from 'page-live';

/** What a source of signals tells the page. */
export interface Listener {
  /** @param behind milliseconds it is behind the face */
  comes: (name: string, behind: number) => void;
  tells: (signals: Told) => void;
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
