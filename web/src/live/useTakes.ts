import type { LiveTake } from 'page-core';
import { useCallback, useEffect } from 'react';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { throwAway } from '../record/takes';
import { dropTake, type KeptTake, takesOver } from './liveTakes';
import { settings, useLive } from './liveState';

/** The hand lets go of what a take moves: it would stand over what is in the shot now. */
export function letGo(take: LiveTake): void {
  const without = <T>(held: Record<string, T>, gone: object) =>
    Object.fromEntries(Object.entries(held).filter(([id]) => !(id in gone)));
  useDesk.setState((s) => ({
    dials: without(s.dials, take.dials),
    picks: without(s.picks, take.drawings),
    pins: without(s.pins, take.drawings),
    looks: without(s.looks, take.looks),
  }));
}

/** The takes of the shot on the stage: they are put in, whole or in parts, and thrown away. */
export function useTakes() {
  const { line, editLine, tell } = useStudio();
  const lineId = line?.id ?? '';
  const trouble = useCallback(
    (e: unknown) => tell({ message: `The take cannot be kept in this browser: ${String(e)}`, bad: true }),
    [tell],
  );
  const look = useCallback(
    () => takesOver(lineId).then((takes) => useLive.setState({ takes }), trouble),
    [lineId, trouble],
  );
  useEffect(() => void look(), [look]);

  /** Writes a take, or a stretch of it, into the shot. */
  const put = useCallback(
    async (take: LiveTake, from = take.from, to = take.to) => {
      // not over a take that is only being watched
      const { keptOpen } = useActed.getState();
      const edit = keptOpen?.played({ ...take, from, to }, settings());
      if (edit === undefined) return;
      if (typeof edit === 'string') {
        tell({ message: edit, bad: true });
        return;
      }
      if (!(await editLine(edit))) return;
      letGo(take);
    },
    [editLine, tell],
  );
  /** With the voice that was spoken in it. */
  const drop = useCallback(
    (take: KeptTake) =>
      void Promise.all([dropTake(take.id), take.voice && throwAway(take.voice)]).then(look, trouble),
    [look, trouble],
  );
  return { look, put, drop, trouble };
}
