import { create } from 'zustand';

/** A sound of a line, by the frame the line begins at. */
export interface ChosenSound {
  at: number;
  sound: number;
}

interface SoundDesk {
  /** The sound whose card is open. */
  chosen: ChosenSound | null;
  /** Whether edges go to where frames begin. */
  frames: boolean;
  /** Whether neighbours give way to an edge, and do not stop it. */
  push: boolean;
  /** How many times its width the strip shows of the line's length; 1 shows all of it. */
  zoom: number;
  /** Asks the card to take the keyboard, to choose another sound. */
  asking: boolean;
}

/** What is chosen of a line's sounds, and how they are worked on; nothing of it is kept with the line. */
export const useSoundDesk = create<SoundDesk>(() => ({
  chosen: null,
  frames: true,
  push: false,
  zoom: 1,
  asking: false,
}));

export const MOST_ZOOM = 64;
