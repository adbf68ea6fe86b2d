import { useStudio } from './studio';

/** Shows a cue over the pose on the stage. */
export function usePlayCue(): (cue: string) => void {
  const { director, tell } = useStudio();
  return (cue) => {
    try {
      director.playCue(cue);
    } catch (e) {
      tell({ message: e instanceof Error ? e.message : 'The cue cannot be played.', bad: true });
    }
  };
}
