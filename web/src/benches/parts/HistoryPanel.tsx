import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Bookmark, History, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { api, type Step } from '../../api/client';
import { FaceCrop } from '../../ui/FaceCrop';
import { useStudio } from '../../state/studio';
import { headView } from '../../stage/view';
import { told } from '../../ui/told';
import { Cells } from '../../ui/Cells';

/** Every revision in words, with a look at any of them, a way back to any, and names for the ones that matter. */
export function HistoryPanel() {
  const { view, returnTo } = useStudio();
  const queries = useQueryClient();
  const [open, setOpen] = useState<number | null>(null);
  const [name, setName] = useState('');
  const [only, setOnly] = useState(false);
  const history = useQuery({
    queryKey: ['history', view.id, view.revision],
    queryFn: () => api.history('characters', view.id),
    placeholderData: (old) => old,
  });
  const steps = (history.data?.steps ?? []).filter((s) => !only || s.milestone !== '');
  const choose = (s: Step) => {
    setOpen(open === s.number ? null : s.number);
    setName(s.milestone);
  };
  return (
    <section className="mt-3 pb-3" aria-label="History">
      <h2 className="flex items-center gap-1.5 text-[15px] font-semibold">
        <History size={15} aria-hidden /> History
        <label className="ml-auto flex items-center gap-1 font-sans text-[12px] font-normal text-faint">
          <input type="checkbox" checked={only} onChange={(e) => setOnly(e.target.checked)} /> only milestones
        </label>
      </h2>
      {steps.length === 0 && <p className="text-[12.5px] text-faint">Nothing here yet.</p>}
      <Cells as="ol" className="mt-1 space-y-0.5 text-[13px]">
        {steps.map((s) => (
          <li key={s.number}>
            <button
              className={`flex w-full items-baseline gap-2 rounded px-1.5 py-0.5 text-left hover:bg-tide/50 ${
                open === s.number ? 'bg-tide/60' : ''
              }`}
              aria-expanded={open === s.number}
              onClick={() => choose(s)}
            >
              <span className="w-6 shrink-0 text-right text-faint">{s.number}</span>
              <span className="min-w-0 flex-1">
                {s.message}
                {s.milestone && (
                  <b className="ml-1.5 inline-flex items-center gap-0.5 text-doing">
                    <Bookmark size={12} aria-hidden /> {s.milestone}
                  </b>
                )}
              </span>
              <span className="shrink-0 text-[11.5px] text-faint">
                {s.author}, {told(s.madeAt, new Date())}
              </span>
            </button>
            {open === s.number && (
              <div className="mt-1 mb-2 ml-8 flex gap-3 rounded-lg border border-line bg-paper p-2">
                <Preview revision={s.number} />
                <div className="min-w-0 flex-1 space-y-1.5">
                  <form
                    className="flex gap-1.5"
                    onSubmit={(e) => {
                      e.preventDefault();
                      void api
                        .milestone(view.id, s.number, name)
                        .then(() => queries.invalidateQueries({ queryKey: ['history', view.id] }));
                    }}
                  >
                    <input
                      className="field min-w-0 flex-1"
                      aria-label="Name of the milestone"
                      placeholder="name it as a milestone"
                      value={name}
                      maxLength={80}
                      onChange={(e) => setName(e.target.value)}
                    />
                    <button className="btn">
                      <Bookmark size={13} aria-hidden /> Name
                    </button>
                  </form>
                  <button
                    className="btn"
                    disabled={s.number === view.revision}
                    onClick={() => void returnTo(s.number).then(() => setOpen(null))}
                  >
                    <Undo2 size={13} aria-hidden />{' '}
                    {s.number === view.revision ? 'This is how it stands' : 'Return to this'}
                  </button>
                </div>
              </div>
            )}
          </li>
        ))}
      </Cells>
    </section>
  );
}

function Preview({ revision }: { revision: number }) {
  const { view } = useStudio();
  const then = useQuery({
    queryKey: ['then', view.id, revision],
    queryFn: async () => {
      const [past, artwork, pose] = await Promise.all([
        api.characterAt(view.id, revision),
        api.artwork(view.id, revision),
        api.pose(view.id, { pose: { dials: {}, picks: {}, pins: {} }, revision }),
      ]);
      return { character: past.character, artwork, frame: pose.frame };
    },
    staleTime: Infinity,
  });
  if (!then.data) return <div className="h-28 w-24 rounded bg-drawn" />;
  const { character, artwork, frame } = then.data;
  return (
    <FaceCrop
      character={character}
      artwork={artwork}
      frame={frame}
      box={headView(character, artwork)}
      label={`Revision ${revision}`}
      className="h-28 w-24 shrink-0 rounded bg-drawn"
    />
  );
}
