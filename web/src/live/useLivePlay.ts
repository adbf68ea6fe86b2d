import type { LiveTake } from 'page-core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Shot } from '../api/client';
import { usePlayer } from '../line/player';
import { beat } from '../record/beat';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { dropTake, type KeptTake, keepTake, takesOver } from './liveTakes';
import { settings, useLive } from './liveState';
import { LiveRecorder } from './recorder';

/** How often what was done is put away while it is still being played, milliseconds. */
const KEPT = 500;

/** Plays a shot while the hand acts in it, and writes what it did as keys. */
export function useLivePlay(shot: Shot) {
  const { line, view, editLine, tell } = useStudio();
  const { stepTo, clock } = usePlayer();
  const [takes, setTakes] = useState<KeptTake[]>([]);
  const running = useRef<{ recorder: LiveRecorder; kept: KeptTake; timer: number; leave: () => void } | null>(
    null,
  );
  const counting = useRef(0);
  const lineId = line?.id ?? '';
  const rate = shot.rules.frameRate;
  const trouble = useCallback(
    (e: unknown) => tell({ message: `The take cannot be kept in this browser: ${String(e)}`, bad: true }),
    [tell],
  );
  const look = useCallback(() => takesOver(lineId).then(setTakes, trouble), [lineId, trouble]);
  useEffect(() => void look(), [look]);

  /** Writes a take, or a stretch of it, into the shot. */
  const put = useCallback(
    async (take: LiveTake, from = take.from, to = take.to) => {
      const { open } = useActed.getState();
      const edit = open?.played({ ...take, from, to }, settings());
      if (edit === undefined) return;
      if (typeof edit === 'string') {
        tell({ message: edit, bad: true });
        return;
      }
      if (!(await editLine(edit))) return;
      // the hand lets go of what is in the shot now
      const without = <T>(held: Record<string, T>, gone: object) =>
        Object.fromEntries(Object.entries(held).filter(([id]) => !(id in gone)));
      useDesk.setState((s) => ({
        dials: without(s.dials, take.dials),
        picks: without(s.picks, take.drawings),
        pins: without(s.pins, take.drawings),
        looks: without(s.looks, take.looks),
      }));
    },
    [editLine, tell],
  );

  /** @param write whether what is kept is put in at once; never into a shot that was opened meanwhile */
  const finish = useCallback(
    async (keep: boolean, write = true) => {
      window.clearInterval(counting.current);
      const now = running.current;
      running.current = null;
      useLive.setState({ phase: { is: 'idle' } });
      if (!now) return;
      window.clearInterval(now.timer);
      now.leave();
      const take = now.recorder.end(Math.floor(clock() * rate) + 1);
      useDesk.getState().play(false);
      if (!keep || !take) {
        await dropTake(now.kept.id).catch(trouble);
        if (keep) tell({ message: 'Nothing was moved while the shot ran.', bad: false });
        return;
      }
      await keepTake({ ...now.kept, take, ended: true }).catch(trouble);
      if (write) await Promise.all([look(), put(take)]);
    },
    [clock, rate, look, put, tell, trouble],
  );

  const start = useCallback(() => {
    const desk = useDesk.getState();
    desk.play(false);
    const [from, to] = desk.loop ?? [desk.frame >= shot.frames - 1 ? 0 : desk.frame, shot.frames];
    const begin = () => {
      stepTo(from);
      const recorder = new LiveRecorder(
        from,
        to,
        () => Math.max(from, Math.min(to, clock() * rate)),
        view.character.voice.mouths.part ?? null,
      );
      const kept: KeptTake = {
        id: crypto.randomUUID(),
        line: lineId,
        at: new Date().toISOString(),
        take: { from, to, dials: {}, drawings: {}, looks: {} },
        ended: false,
      };
      const timer = window.setInterval(() => {
        const take = recorder.take();
        if (take) void keepTake({ ...kept, take }).catch(trouble);
      }, KEPT);
      const leave = useDesk.subscribe((is, was) => {
        const over = desk.loop !== null && (is.frame >= to - 1 || is.frame < was.frame);
        if ((was.playing && !is.playing) || over) void finish(true);
      });
      running.current = { recorder, kept, timer, leave };
      useLive.setState({ phase: { is: 'recording', from, to } });
      useDesk.getState().play(true);
    };
    let left = useLive.getState().count;
    const of = left;
    const next = () => {
      if (left === 0) {
        window.clearInterval(counting.current);
        begin();
        return;
      }
      beat(left === 1);
      useLive.setState({ phase: { is: 'counting', beat: left--, of } });
    };
    stepTo(from);
    next();
    if (of > 0) counting.current = window.setInterval(next, 1000);
  }, [shot.frames, stepTo, clock, rate, view.character, lineId, finish, trouble]);

  // Escape throws away; while it counts there is nothing to keep, so Space leaves as well
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const { phase } = useLive.getState();
      if (phase.is === 'idle' || (e.key !== 'Escape' && !(e.key === ' ' && phase.is === 'counting'))) return;
      e.preventDefault();
      e.stopPropagation();
      void finish(false);
    };
    window.addEventListener('keydown', press, true);
    return () => window.removeEventListener('keydown', press, true);
  }, [finish]);

  // whoever leaves the bench in the middle of it keeps the take
  const last = useRef(finish);
  useEffect(() => {
    last.current = finish;
  });
  useEffect(() => () => void last.current(true, false), []);

  const drop = (id: string) => void dropTake(id).then(look, trouble);
  return { takes, start, finish, put, drop };
}
