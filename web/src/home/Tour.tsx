import { useQueryClient } from '@tanstack/react-query';
import { Check, Play, X } from 'lucide-react';
import { api, type Item } from '../api/client';
import { useDesk } from '../state/desk';
import { JOB_WORDS, JOBS, nextJob, useTour } from './tourState';

/** The five jobs, how far one is, and the way to the next. */
export function Tour({ characters }: { characters: Item[] }) {
  const { done, show, run, again } = useTour();
  const queries = useQueryClient();
  const next = nextJob(done);
  const go = async () => {
    const maren = characters.find((c) => /maren/i.test(c.name) && !/unrigged/i.test(c.name));
    const id = maren?.id ?? (await api.beginTemplate('MAREN')).id;
    if (!maren) await queries.invalidateQueries({ queryKey: ['characters'] });
    run(true);
    useDesk.getState().open(id);
    if (next) useDesk.getState().go(JOB_WORDS[next].bench);
  };
  return (
    <section aria-labelledby="tour" className="rounded-xl border border-line bg-card px-4 py-3.5">
      <div className="flex items-center">
        <h2 id="tour" className="flex-1 text-[18px] font-semibold">
          A tour, by doing
        </h2>
        <button
          aria-label="Close the tour"
          className="grid h-7 w-7 place-items-center"
          onClick={() => show(false)}
        >
          <X size={16} aria-hidden />
        </button>
      </div>
      <p className="text-[13px] text-faint">
        Five small jobs on Maren. Each ticks itself off when it is done.
      </p>
      <ol className="mt-3 space-y-1">
        {JOBS.map((job, i) => (
          <li
            key={job}
            aria-current={job === next ? 'step' : undefined}
            className={`flex gap-3 rounded-md px-2 py-1.5 ${job === next ? 'bg-doing-soft' : ''}`}
          >
            <span
              className={`grid h-6 w-6 shrink-0 place-items-center rounded-full text-[13px] font-bold ${
                done.includes(job)
                  ? 'bg-good text-paper'
                  : job === next
                    ? 'bg-doing text-on-doing'
                    : 'border border-faint text-faint'
              }`}
            >
              {done.includes(job) ? <Check size={14} strokeWidth={3} aria-label="done" /> : i + 1}
            </span>
            <span className="min-w-0">
              <span className={job === next ? 'font-bold' : ''}>{JOB_WORDS[job].title}</span>
              {job === next && <span className="block text-[12.5px]">{JOB_WORDS[job].how}</span>}
            </span>
          </li>
        ))}
      </ol>
      <div className="mt-3">
        {next ? (
          <button className="btn-do" onClick={() => void go()}>
            <Play size={14} aria-hidden />
            {done.length === 0 ? 'Begin the tour' : `Go on with step ${JOBS.indexOf(next) + 1}`}
          </button>
        ) : (
          <button className="btn" onClick={again}>
            All done. Once more?
          </button>
        )}
      </div>
    </section>
  );
}
