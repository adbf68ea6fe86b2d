import { useQuery } from '@tanstack/react-query';
import { Columns2, Undo2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useEffect, useState } from 'react';
import { api, type Step } from '../api/client';
import { useStudio } from '../state/studio';
import { asMessage } from '../state/messages';
import { type Shows, useCompared } from './compared';
import { told } from '../ui/told';

const SHOWS: [Shows, string][] = [
  ['then', 'then'],
  ['beside', 'both'],
  ['now', 'now'],
];

/** Chooses an earlier state of the shot to look at beside the present one, or to go back to. */
export function Compare() {
  const { line, changeLine, tell } = useStudio();
  const [open, setOpen] = useState(false);
  const chosen = useCompared((s) => s.with);
  const shows = useCompared((s) => s.shows);
  const history = useQuery({
    queryKey: ['line-history', line?.id, line?.revision],
    queryFn: () => api.history('lines', line!.id),
    placeholderData: (old) => old,
    enabled: open && line !== null,
  });
  const lineId = line?.id;
  useEffect(() => {
    // another shot has other states
    if (useCompared.getState().with?.line !== lineId) useCompared.setState({ with: null });
  }, [lineId]);
  if (!line) return null;
  const look = async (step: Step) => {
    try {
      const then = await api.lineAt(line.id, step.number);
      useCompared.setState({
        with: { line: line.id, revision: step.number, message: step.message, shot: then.shot },
        shows: 'beside',
      });
      setOpen(false);
    } catch (e) {
      tell(asMessage(e));
    }
  };
  const back = (step: Step) => {
    setOpen(false);
    useCompared.setState({ with: null });
    void changeLine((l) => api.returnLine(l.id, l.revision, step.number));
  };
  const steps = history.data?.steps.filter((s) => s.number !== line.revision) ?? [];
  return (
    <>
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger
          className="btn"
          aria-pressed={chosen !== null}
          title="Look at an earlier state of this shot beside the present one"
        >
          <Columns2 size={14} aria-hidden /> {chosen ? `Revision ${chosen.revision}` : 'Compare'}
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            align="start"
            sideOffset={6}
            collisionPadding={12}
            aria-label="Earlier states of this shot"
            className="z-50 flex max-h-[56vh] w-[380px] flex-col rounded-xl border border-line bg-paper p-3 text-[13px] shadow-xl"
          >
            <h2 className="mb-1.5 text-[14px] font-semibold">Compare with</h2>
            {steps.length === 0 && (
              <p className="text-faint">
                {history.isFetching
                  ? 'Looking …'
                  : 'This is the first state of the shot: nothing was before it.'}
              </p>
            )}
            <ol className="min-h-0 overflow-y-auto">
              {steps.map((s) => (
                <li key={s.number} className="flex items-center gap-1">
                  <button
                    className={`flex min-w-0 flex-1 items-baseline gap-2 rounded px-1.5 py-1 text-left hover:bg-tide ${
                      chosen?.revision === s.number ? 'bg-chosen-soft' : ''
                    }`}
                    aria-pressed={chosen?.revision === s.number}
                    onClick={() => void look(s)}
                  >
                    <span className="w-6 shrink-0 text-right text-faint">{s.number}</span>
                    <span className="min-w-0 flex-1 truncate" title={s.message}>
                      {s.message}
                    </span>
                    <span className="shrink-0 text-[11.5px] text-faint">{told(s.madeAt, new Date())}</span>
                  </button>
                  <button
                    className="grid h-6 w-6 shrink-0 place-items-center rounded hover:bg-tide"
                    aria-label={`Go back to revision ${s.number}`}
                    title="Make the shot again what it was then; that can be undone"
                    onClick={() => back(s)}
                  >
                    <Undo2 size={13} aria-hidden />
                  </button>
                </li>
              ))}
            </ol>
            {chosen && (
              <button
                className="btn mt-2 self-start"
                onClick={() => {
                  setOpen(false);
                  useCompared.setState({ with: null });
                }}
              >
                Stop comparing
              </button>
            )}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {chosen && (
        <div className="flex gap-0.5" role="group" aria-label="What the stage shows">
          {SHOWS.map(([which, words]) => (
            <button
              key={which}
              className="btn px-1.5"
              aria-pressed={shows === which}
              onClick={() => useCompared.setState({ shows: which })}
            >
              {words}
            </button>
          ))}
        </div>
      )}
    </>
  );
}
