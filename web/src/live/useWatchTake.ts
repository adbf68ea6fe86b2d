import { useCallback, useEffect } from 'react';
import { usePlayer } from '../line/player';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import type { KeptTake } from './liveTakes';
import { settings, useLive } from './liveState';
import { letGo } from './useTakes';

/** Plays a take over the shot as it would be if it were put in, without putting it in. */
export function useWatchTake() {
  const { draftLine, tell } = useStudio();
  const { stepTo } = usePlayer();
  const watched = useLive((s) => s.watched);
  const idle = useLive((s) => s.phase.is === 'idle');
  const playing = useDesk((s) => s.playing);

  const stop = useCallback(() => {
    if (useLive.getState().watched === null) return;
    useLive.setState({ watched: null });
    draftLine(null);
  }, [draftLine]);

  const watch = useCallback(
    ({ id, take }: KeptTake) => {
      const edit = useActed.getState().keptOpen?.played(take, settings());
      if (edit === undefined) return;
      if (typeof edit === 'string') {
        tell({ message: edit, bad: true });
        return;
      }
      const desk = useDesk.getState();
      desk.play(false);
      const [first, end] = desk.loop ?? [take.from, take.to];
      stepTo(Math.max(first, Math.min(take.from, end - 1)));
      letGo(take);
      draftLine(edit);
      useLive.setState({ watched: id, rehearsing: false });
      desk.play(true);
    },
    [draftLine, stepTo, tell],
  );

  // what is over is no longer seen: the shot stands as it is kept
  useEffect(() => {
    if (watched !== null && (!playing || !idle)) stop();
  }, [watched, playing, idle, stop]);
  useEffect(() => stop, [stop]);
  return { watched, watch };
}
