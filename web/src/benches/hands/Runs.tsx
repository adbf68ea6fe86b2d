import { Play, Plus, Square, Trash2, X } from 'lucide-react';
import { useState } from 'react';
import type { DrawnRun, Part } from '../../api/client';
import { partRuns } from '../../state/partRuns';
import { useStudio } from '../../state/studio';
import { useRuns } from '../../state/useRuns';
import { DrawingThumb } from '../../ui/DrawingThumb';
import { KeyField } from '../../ui/KeyField';

const WAYS: Record<DrawnRun['way'], string> = {
  ONCE: 'once, and stays',
  LOOP: 'round and round',
  THERE_AND_BACK: 'there and back',
};

/** How many frames a drawing stays when nobody says: on twos twice. */
const STAYS = 4;

/** Drawings of a part that play one after the other, and the making of another such run. */
export function Runs({ part }: { part: Part }) {
  const { edit } = useStudio();
  const { plays, toggle } = useRuns();
  const [making, setMaking] = useState(false);
  const runs = partRuns({ parts: [part] });
  const nameOf = (id: string) => part.drawings.find((d) => d.id === id)?.name ?? 'nothing';
  return (
    <section className="mt-3 pb-3" aria-label="Runs">
      <div className="flex items-baseline gap-2">
        <h2 className="flex-1 text-[15px] font-semibold">Drawings that play</h2>
        {!making && (
          <button className="btn" onClick={() => setMaking(true)}>
            <Plus size={14} aria-hidden /> New run
          </button>
        )}
      </div>
      {runs.length === 0 && !making && (
        <p className="text-[12.5px] text-faint">
          A wave, a snap of the fingers: drawings one after the other, each for some frames.
        </p>
      )}
      <ul className="mt-1 space-y-1.5">
        {runs.map((r) => (
          <li
            key={r.id}
            className="flex items-center gap-2 rounded-xl border border-line bg-paper px-2.5 py-1.5 text-[13px]"
          >
            <button
              className={plays(r) ? 'btn border-doing text-doing' : 'btn'}
              aria-pressed={plays(r)}
              aria-label={`${plays(r) ? 'Let go of' : 'Play'} ${r.name}`}
              title={plays(r) ? 'Let go: it goes out backwards' : 'Play it on the stage'}
              onClick={() => void toggle(r)}
            >
              {plays(r) ? <Square size={13} aria-hidden /> : <Play size={13} aria-hidden />}
            </button>
            <span className="min-w-0 flex-1">
              <b className="font-display">{r.name}</b>
              <span className="block truncate text-[12px] text-faint">
                {r.steps.map((s) => `${nameOf(s.drawing)} ${s.frames}`).join(' · ')} – {WAYS[r.way]}
              </span>
            </span>
            <KeyField
              label={`Key for the run ${r.name}`}
              title="Click, then press a letter or a digit: that key begins this run and lets go of it"
              value={r.key}
              give={(key) => edit({ kind: 'key-run', run: r.id, key })}
            />
            <button
              className="rounded p-1 text-faint hover:text-wrong"
              aria-label={`Delete the run ${r.name}`}
              title="Delete the run; its drawings stay"
              onClick={() => void edit({ kind: 'drop-run', run: r.id })}
            >
              <Trash2 size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      {making && <NewRun part={part} done={() => setMaking(false)} />}
    </section>
  );
}

function NewRun({ part, done }: { part: Part; done: () => void }) {
  const { artwork, edit } = useStudio();
  const [name, setName] = useState('');
  const [steps, setSteps] = useState<{ drawing: string; frames: string }[]>([]);
  const [way, setWay] = useState<DrawnRun['way']>('THERE_AND_BACK');
  const keep = async () => {
    const kept = await edit({
      kind: 'keep-run',
      part: part.id,
      name,
      drawings: steps.map((s) => s.drawing),
      // what is no whole number is told apart by the server, which says so and loses nothing
      frames: steps.map((s) => Math.trunc(Number(s.frames)) || 0),
      way,
    });
    if (kept) done();
  };
  const thumb = (id: string) => {
    const d = part.drawings.find((x) => x.id === id);
    return (
      <DrawingThumb shapes={d ? (artwork[d.art] ?? []) : []} label="" className="h-9 w-9 rounded bg-drawn" />
    );
  };
  return (
    <form
      className="mt-1.5 space-y-2 rounded-xl border border-line bg-paper p-2.5 text-[13px]"
      aria-label="New run"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
      onKeyDown={(e) => {
        if (e.key !== 'Escape') return;
        e.stopPropagation();
        done();
      }}
    >
      <div className="flex flex-wrap gap-1" role="group" aria-label="Add a drawing to the run">
        {part.drawings.map((d) => (
          <button
            key={d.id}
            type="button"
            className="rounded-md border border-line bg-card p-0.5 hover:border-doing"
            aria-label={`Add ${d.name} to the run`}
            title={d.name}
            onClick={() => setSteps([...steps, { drawing: d.id, frames: String(STAYS) }])}
          >
            {thumb(d.id)}
          </button>
        ))}
      </div>
      <ol className="flex min-h-12 flex-wrap items-center gap-1.5" aria-label="The run">
        {steps.length === 0 && <li className="text-faint">Click the drawings in the order they play in.</li>}
        {steps.map((s, i) => (
          <li key={i} className="flex items-center gap-1 rounded-md border border-line bg-card p-0.5">
            {thumb(s.drawing)}
            <input
              className="field w-9 px-1 py-0 text-center"
              aria-label={`Frames of drawing ${i + 1}`}
              value={s.frames}
              onChange={(e) =>
                setSteps(steps.map((x, k) => (k === i ? { ...x, frames: e.target.value } : x)))
              }
            />
            <button
              type="button"
              className="text-faint hover:text-wrong"
              aria-label={`Take drawing ${i + 1} out of the run`}
              onClick={() => setSteps(steps.filter((_, k) => k !== i))}
            >
              <X size={13} aria-hidden />
            </button>
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap items-center gap-2">
        <input
          className="field min-w-0 flex-1"
          placeholder="name of the run"
          aria-label="Name of the run"
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <select
          className="field"
          aria-label="How it plays"
          value={way}
          onChange={(e) => setWay(e.target.value as DrawnRun['way'])}
        >
          {Object.entries(WAYS).map(([w, words]) => (
            <option key={w} value={w}>
              {words}
            </option>
          ))}
        </select>
        <button type="button" className="btn" onClick={done}>
          Cancel
        </button>
        <button className="btn-do" disabled={steps.length === 0 || name.trim() === ''}>
          Keep the run
        </button>
      </div>
    </form>
  );
}
