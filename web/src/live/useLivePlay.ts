import type { LiveTake } from 'page-core';
import { useCallback, useEffect, useRef } from 'react';
import type { Shot } from '../api/client';
import { usePlayer } from '../line/player';
import { beat } from '../record/beat';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { throwAway } from '../record/takes';
import { dropTake, type KeptTake, keepTake } from './liveTakes';
import { settings, useLive } from './liveState';
import { emptyTake, LiveRecorder } from './recorder';
import { placedIn, takenAs } from './spoken';
import { useTakes } from './useTakes';
import { beginVoice, type VoiceTake } from './voiceTake';

/** How often what was done is put away while it is still being played, and shown, milliseconds. */
const KEPT = 500;
const SHOWN = 100;

/** Seconds within which whoever stops meant to stop at the end of the take before. */
const SLIP = 0.6;

/** A take that is being played. */
interface Running {
  recorder: LiveRecorder;
  /** What is spoken meanwhile; null when nobody listens. */
  voice: VoiceTake | null;
  kept: KeptTake;
  /** The one before it, when it has begun again. */
  before: LiveTake | null;
  /** Whether there was a loop before it began. */
  round: boolean;
  timer: number;
  leave: () => void;
}

/** Plays a shot while the hand acts in it, and writes what it did as keys. */
export function useLivePlay(shot: Shot) {
  const { line, view, tell, draftLine } = useStudio();
  const { stepTo, clock } = usePlayer();
  const { look, put, trouble } = useTakes();
  const running = useRef<Running | null>(null);
  const counting = useRef(0);
  const lineId = line?.id ?? '';
  const rate = shot.rules.frameRate;
  /** @param write whether what is kept is put in at once; never into a shot that was opened meanwhile */
  const finish = useCallback(
    async (keep: boolean, write = true) => {
      window.clearInterval(counting.current);
      const now = running.current;
      running.current = null;
      useLive.setState({ phase: { is: 'idle' }, writing: null, cued: null });
      if (!now) return;
      draftLine(null);
      // what came of it is seen, not who performs
      useLive.setState({ rehearsing: false });
      window.clearInterval(now.timer);
      now.leave();
      const last = Math.floor(clock() * rate) + 1;
      const done = now.recorder.end(last);
      useDesk.getState().play(false);
      if (!now.round) useDesk.setState({ loop: null });
      // stopped just after it began again: the one before is meant
      const slipped = now.before !== null && last - now.kept.take.from < SLIP * rate;
      const voice = (await now.voice?.end().catch(trouble)) ?? null;
      const take = slipped ? null : (done ?? (voice && emptyTake(now.kept.take.from, last)));
      if (!keep || !take) {
        await dropTake(now.kept.id).catch(trouble);
        if (voice) await throwAway(voice.id).catch(trouble);
        if (keep && slipped && write) await Promise.all([look(), put(now.before!)]);
        else if (keep) tell({ message: 'Nothing was moved while the shot ran.', bad: false });
        return;
      }
      await keepTake({ ...now.kept, take, voice: voice?.id, ended: true }).catch(trouble);
      if (!write) return;
      await look();
      if (done) await put(done);
      else
        tell({
          message: 'Your voice is kept among the takes; make it a line there, or another take of this one.',
          bad: false,
        });
    },
    [clock, rate, look, put, tell, trouble, draftLine],
  );

  const start = useCallback(() => {
    const desk = useDesk.getState();
    desk.play(false);
    const [from, to] = desk.loop ?? [desk.frame >= shot.frames - 1 ? 0 : desk.frame, shot.frames];
    const { over } = useLive.getState();
    const round = desk.loop !== null;
    if (over) useDesk.setState({ loop: [from, to] });
    const begin = () => {
      stepTo(from);
      const note = () =>
        new LiveRecorder(
          from,
          to,
          () => Math.max(from, Math.min(to, clock() * rate)),
          view.character.voice.mouths.part ?? null,
        );
      const listen = () =>
        useLive.getState().source === 'microphone'
          ? beginVoice({ character: view.id, line: takenAs(line, placedIn(shot, from, to)) }, trouble)
          : null;
      const empty = (): KeptTake => ({
        id: crypto.randomUUID(),
        line: lineId,
        at: new Date().toISOString(),
        take: emptyTake(from, to),
        ended: false,
      });
      const now: Running = {
        recorder: note(),
        voice: listen(),
        kept: empty(),
        before: null,
        round,
        timer: 0,
        leave: () => undefined,
      };
      let ticks = 0;
      now.timer = window.setInterval(() => {
        const take = now.recorder.take();
        useLive.setState({ writing: take });
        const voice = now.voice?.id();
        if ((take || voice) && ++ticks % (KEPT / SHOWN) === 0)
          void keepTake({ ...now.kept, take: take ?? now.kept.take, voice }).catch(trouble);
      }, SHOWN);
      now.leave = useDesk.subscribe((is, was) => {
        const end = is.frame >= to - 1 || is.frame < was.frame;
        if (over && was.playing && is.playing && is.frame < was.frame) {
          // another take, on top of the same shot
          const done = now.recorder.end(to);
          now.before = done ?? now.before;
          const { kept, voice } = now;
          void Promise.resolve(voice?.end())
            .then((spoken) =>
              done || spoken
                ? keepTake({ ...kept, take: done ?? kept.take, voice: spoken?.id, ended: true })
                : dropTake(kept.id),
            )
            .then(look, trouble);
          now.recorder = note();
          draftLine(null);
          now.voice = listen();
          now.kept = empty();
        } else if ((was.playing && !is.playing) || (round && !over && end)) void finish(true);
      });
      running.current = now;
      // what the shot was before it: cues are seen on top of that
      const before = useActed.getState().open;
      const cued = (cue: string) => {
        if (!now.recorder.cued(cue)) return;
        const seen = before?.played(now.recorder.cuesOnly(), settings());
        if (seen && typeof seen !== 'string') draftLine(seen);
      };
      useLive.setState({ phase: { is: 'recording', from, to }, cued });
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
      useLive.setState({ phase: { is: 'counting', beat: left--, of }, rehearsing: true });
    };
    stepTo(from);
    next();
    if (of > 0) counting.current = window.setInterval(next, 1000);
  }, [shot, stepTo, clock, rate, view, line, lineId, finish, look, trouble, draftLine]);

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

  // a tab that is put to sleep draws nothing any more: what came until then is kept
  useEffect(() => {
    const hidden = () => {
      if (!document.hidden || useLive.getState().phase.is === 'idle') return;
      tell({ message: 'The page was put out of sight; the take ends there.', bad: false });
      void last.current(true);
    };
    document.addEventListener('visibilitychange', hidden);
    return () => document.removeEventListener('visibilitychange', hidden);
  }, [tell]);

  return { start, finish };
}
