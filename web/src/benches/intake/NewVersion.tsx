import { ArrowRight, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import type { ChangeView, Shape, VersionView } from '../../api/client';
import { useDrop } from '../../app/drop';
import { useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';

const WORDS = { CHANGED: 'changed', NEW: 'new', MISSING: 'missing', SAME: 'the same' } as const;

/** A newer file beside what is here: every drawing that differs, old and new, to be taken or left. */
export function NewVersion({ file, view }: { file: File; view: VersionView }) {
  const { takeVersion, tell } = useStudio();
  const { leaveVersion } = useDrop();
  const [chosen, setChosen] = useState(
    () => new Set(view.changes.filter((c) => c.advised).map((c) => c.key)),
  );
  const different = view.changes.filter((c) => c.kind !== 'SAME');
  const same = view.changes.filter((c) => c.kind === 'SAME');
  const renamed = same.filter((c) => c.message);
  const toggle = (key: string) =>
    setChosen((old) => {
      const now = new Set(old);
      if (!now.delete(key)) now.add(key);
      return now;
    });
  const take = async () => {
    if (await takeVersion(file, [...chosen])) {
      leaveVersion();
      tell({ message: `Took ${chosen.size} of ${different.length} changes from ${view.file}.`, bad: false });
    }
  };
  return (
    <section className="mt-3 rounded-xl border border-doing bg-card p-3" aria-label="New version of the art">
      <h2 className="text-[15px] font-semibold">
        {view.file}
        {view.was && (
          <span className="font-sans text-[12.5px] font-normal text-faint"> held against {view.was}</span>
        )}
      </h2>
      <p className="mt-0.5 text-[13px]">
        {different.length === 0
          ? 'Nothing in it differs from what was read before.'
          : (['CHANGED', 'NEW', 'MISSING'] as const)
              .map((k) => [different.filter((c) => c.kind === k).length, WORDS[k]] as const)
              .filter(([n]) => n > 0)
              .map(([n, word]) => `${n} ${word}`)
              .join(', ') + `; ${same.length} the same.`}{' '}
        {view.message.join(' ')} What is rigged on drawings that stay is kept.
      </p>
      <ul className="mt-2 space-y-1.5">
        {different.map((c) => (
          <Change key={c.key} change={c} taken={chosen.has(c.key)} toggle={() => toggle(c.key)} />
        ))}
      </ul>
      {renamed.length > 0 && (
        <p className="mt-1.5 text-[12.5px] text-faint">
          Only named otherwise: {renamed.map((c) => `${c.name} (${c.message})`).join(', ')}.
        </p>
      )}
      <div className="mt-2.5 flex gap-2">
        <button className="btn-do" onClick={() => void take()}>
          {different.length === 0
            ? 'Remember this version'
            : chosen.size === 0
              ? 'Take nothing, remember this version'
              : `Take ${chosen.size} ${chosen.size === 1 ? 'change' : 'changes'}`}
        </button>
        <button className="btn" onClick={leaveVersion}>
          Cancel
        </button>
      </div>
    </section>
  );
}

function Change({ change, taken, toggle }: { change: ChangeView; taken: boolean; toggle: () => void }) {
  const verb = change.kind === 'MISSING' ? 'take away' : 'take';
  return (
    <li>
      <label
        className={`flex cursor-pointer items-center gap-2 rounded-lg border px-2 py-1.5 ${
          taken ? 'border-doing bg-doing-soft' : 'border-line'
        }`}
      >
        <input
          type="checkbox"
          className="accent-(--color-doing)"
          checked={taken}
          onChange={toggle}
          aria-label={`${verb} ${change.name}`}
        />
        <Side
          shapes={change.before}
          around={change.after}
          none={change.kind === 'NEW' ? 'none yet' : 'taken away'}
        />
        <ArrowRight size={14} className="shrink-0 text-faint" aria-hidden />
        <Side shapes={change.after} around={change.before} none="missing" />
        <span className="min-w-0 flex-1 text-[13px] leading-4">
          <b className="block truncate">{change.name}</b>
          <span className="text-faint">{change.message}</span>
          {change.warning && (
            <span className="flex items-center gap-1 text-[12px] text-wrong">
              <TriangleAlert size={12} className="shrink-0" aria-hidden /> {change.warning}
            </span>
          )}
        </span>
      </label>
    </li>
  );
}

/** Old and new in the same frame, so that what moved is seen to have moved. */
function Side({ shapes, around, none }: { shapes: Shape[]; around: Shape[]; none: string }) {
  return (
    <span className="grid h-12 w-20 shrink-0 place-items-center rounded bg-drawn text-center text-[11px] leading-3 text-[#3f545b]">
      {shapes.length > 0 ? (
        <DrawingThumb shapes={shapes} around={around} label="" className="h-11 w-18" />
      ) : (
        none
      )}
    </span>
  );
}
