import { useQuery, keepPreviousData } from '@tanstack/react-query';
import { create } from 'zustand';
import { api, type DrawnRun } from '../api/client';
import { useDesk } from './desk';
import { RunPlayer } from './runs';
import { useStudio } from './studio';

/** Counts what the player does, so that buttons know. */
const useBeat = create<{ beat: number }>(() => ({ beat: 0 }));
let own = false;
const player = new RunPlayer(
  (part, drawing) => {
    own = true;
    useDesk.getState().pick(part, drawing);
    own = false;
  },
  () => useBeat.setState((s) => ({ beat: s.beat + 1 })),
);
// whatever else is picked, or another character, ends what plays
useDesk.subscribe((now, before) => {
  if (now.character !== before.character) player.stop();
  else if (!own && now.picks !== before.picks)
    for (const part of new Set([...Object.keys(now.picks), ...Object.keys(before.picks)]))
      if (now.picks[part] !== before.picks[part]) player.stop(part);
});

/** The runs of the character on the stage: begun and let go of. */
export function useRuns() {
  const { view } = useStudio();
  const sheets = useQuery({
    queryKey: ['runs', view.id, view.revision],
    queryFn: () => api.runs(view.id),
    enabled: view.character.runs.length > 0,
    placeholderData: keepPreviousData,
  });
  useBeat();
  return {
    plays: (run: DrawnRun) => player.runOf(run.part) === run.id,
    toggle: (run: DrawnRun) => {
      const sheet = sheets.data?.runs.find((s) => s.id === run.id);
      if (sheet) player.toggle(run.part, run.id, sheet, run.way === 'ONCE', view.character.frameRate);
    },
  };
}
