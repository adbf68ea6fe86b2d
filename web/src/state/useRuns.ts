import { useQuery, useQueryClient } from '@tanstack/react-query';
import { create } from 'zustand';
import { api } from '../api/client';
import { useDesk } from './desk';
import { partRuns, type PartRun } from './partRuns';
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
  const asked = {
    queryKey: ['runs', view.id, view.revision],
    queryFn: () => api.runs(view.id),
  };
  const client = useQueryClient();
  useQuery({ ...asked, enabled: partRuns(view.character.rig).length > 0 });
  useBeat();
  return {
    plays: (run: PartRun) => player.runOf(run.part) === run.id,
    /** A key pressed before the frames have come begins the run when they are there. */
    toggle: async (run: PartRun) => {
      // a server that is away is told by the bar
      const sheets = await client.ensureQueryData(asked).catch(() => null);
      const sheet = sheets?.runs.find((s) => s.id === run.id);
      if (sheet) player.toggle(run.part, run.id, sheet, run.way === 'ONCE', view.character.sheet.frameRate);
    },
  };
}
