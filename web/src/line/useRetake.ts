import { api } from '../api/client';
import { useStudio } from '../state/studio';
import { useReading } from './useReading';

/** Puts another take of a line in the place of the one that is there. */
export function useRetake() {
  const { changeLine } = useStudio();
  const { wait, ...reading } = useReading();
  /** @param at the frame of the shot that the line begins at */
  const retake = (at: number, sound: File) =>
    wait((waiting) => changeLine((l) => api.retake(l.id, l.revision, at, sound, waiting)));
  return { ...reading, retake };
}
