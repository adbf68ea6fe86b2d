import { create } from 'zustand';
import { keep, kept } from '../state/kept';
import type { Bench } from '../state/benches';

/** The jobs of the tour, in their order: each is ticked off by doing it, wherever and however that is done. */
export const JOBS = ['turn', 'blink', 'mouth', 'say', 'hand-over'] as const;
export type Job = (typeof JOBS)[number];

export const JOB_WORDS: Record<Job, { title: string; how: string; bench: Bench }> = {
  turn: { title: 'Turn her head', how: 'drag the ruler named Turn, under the face', bench: 'turn' },
  blink: { title: 'Make her blink', how: 'drag the ruler named Blink to its end', bench: 'eyes' },
  mouth: {
    title: 'Fix a mouth',
    how: 'click a mouth under the wave form and choose another one',
    bench: 'lines',
  },
  say: { title: 'Let her say the line', how: 'press Space, or the orange Play', bench: 'lines' },
  'hand-over': { title: 'Hand her over', how: 'make a film, or any other file', bench: 'hand-over' },
};

interface Tour {
  done: Job[];
  /** Whether it is offered on the first page. */
  open: boolean;
  /** Whether the next job is told beside the work. */
  running: boolean;
  show: (open: boolean) => void;
  run: (running: boolean) => void;
  tick: (job: Job) => void;
  again: () => void;
}

const KEPT = 'tour';

/** What was kept of it, without what is no job of it. */
export function restoredTour(text: string | null): Pick<Tour, 'done' | 'open' | 'running'> {
  const begun = { done: [] as Job[], open: true, running: false };
  try {
    const read = JSON.parse(text ?? 'null') as Partial<Record<'done' | 'open' | 'running', unknown>> | null;
    if (typeof read !== 'object' || read === null) return begun;
    return {
      done: JOBS.filter((j) => Array.isArray(read.done) && read.done.includes(j)),
      open: read.open !== false,
      running: read.running === true,
    };
  } catch {
    return begun;
  }
}

/** The first job that is not done; null when all are. */
export const nextJob = (done: Job[]): Job | null => JOBS.find((j) => !done.includes(j)) ?? null;

export const useTour = create<Tour>((set) => ({
  ...restoredTour(kept(KEPT)),
  show: (open) => set(open ? { open } : { open, running: false }),
  run: (running) => set({ running, open: true }),
  tick: (job) =>
    set((s) => (s.done.includes(job) ? s : { done: JOBS.filter((j) => j === job || s.done.includes(j)) })),
  again: () => set({ done: [], open: true }),
}));

useTour.subscribe(({ done, open, running }) => keep(KEPT, { done, open, running }));
