import { create } from 'zustand';
import type { Shot } from '../api/client';

/** Which of the two the stage shows. */
export type Shows = 'then' | 'beside' | 'now';

interface Compared {
  /** The shot it is a state of, by its id. */
  line: string;
  revision: number;
  /** What made it what it was. */
  message: string;
  shot: Shot;
}

/** An earlier state of the shot, shown in turn with or beside what it is now. */
export const useCompared = create<{ with: Compared | null; shows: Shows }>(() => ({
  with: null,
  shows: 'beside',
}));

/** The frame of an earlier state at the moment of a frame of the present one: they may play at other rates, and be shorter. */
export const frameThen = (frame: number, now: Shot, then: Shot) =>
  Math.max(
    0,
    Math.min(then.frames - 1, Math.floor((frame * then.rules.frameRate) / now.rules.frameRate + 1e-6)),
  );
