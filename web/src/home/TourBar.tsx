import { ArrowRight, Check, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useDesk } from '../state/desk';
import { BENCH_NAMES } from '../state/benches';
import { useExports } from '../state/exports';
import { useStudio } from '../state/studio';
import { JOB_WORDS, JOBS, nextJob, useTour } from './tourState';

/** Ticks off what is done, and tells the next job beside the work while the tour runs. */
export function TourBar() {
  const { view, line } = useStudio();
  const { done, running, tick, run } = useTour();
  const bench = useDesk((s) => s.bench);
  const exports = useExports().all.length;
  const pins = line ? Object.keys(line.shot.tracks.pins).length : 0;
  const begun = useRef({ exports, pins, line: line?.id });

  useEffect(
    () =>
      useDesk.subscribe((s) => {
        if (!useTour.getState().running) return;
        for (const dial of view.character.controls.dials) {
          const at = s.dials[dial.id];
          if (at === undefined) continue;
          const span = dial.to - dial.from;
          if (dial.purpose === 'TURN' && Math.abs(at - dial.rest) > span * 0.1) tick('turn');
          if (dial.purpose === 'BLINK' && at > dial.from + span * 0.9) tick('blink');
        }
        if (s.playing) tick('say');
      }),
    [view, tick],
  );
  useEffect(() => {
    const was = begun.current;
    // another line's mouths are no new ones
    if (was.line !== line?.id) begun.current = { ...was, pins, line: line?.id };
    else if (running && pins > was.pins) tick('mouth');
    if (running && exports > was.exports) tick('hand-over');
    if (!running) begun.current = { exports, pins, line: line?.id };
  }, [pins, exports, line, running, tick]);

  if (!running) return null;
  const next = nextJob(done);
  const words = next && JOB_WORDS[next];
  return (
    <section
      aria-label="Tour"
      className="fixed top-2 left-1/2 z-30 flex max-w-[min(620px,92vw)] -translate-x-1/2 items-center gap-3 rounded-full border border-doing bg-card py-1 pr-1.5 pl-3 text-[13px] shadow-lg"
    >
      {words ? (
        <>
          <b className="whitespace-nowrap">
            {JOBS.indexOf(next) + 1} of {JOBS.length}
          </b>
          <span>
            <b>{words.title}:</b> {words.how}.
          </span>
          {bench !== words.bench && (
            <button className="btn whitespace-nowrap" onClick={() => useDesk.getState().go(words.bench)}>
              To {BENCH_NAMES[words.bench]} <ArrowRight size={13} aria-hidden />
            </button>
          )}
        </>
      ) : (
        <span className="flex items-center gap-2 text-good">
          <Check size={16} aria-hidden /> All five are done.
        </span>
      )}
      <button
        aria-label="End the tour"
        className="grid h-7 w-7 place-items-center"
        onClick={() => run(false)}
      >
        <X size={15} aria-hidden />
      </button>
    </section>
  );
}
