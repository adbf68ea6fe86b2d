import { PackageCheck } from 'lucide-react';
import { useState } from 'react';
import type { ExporterView } from '../../api/client';
import { chosenSet, FAMILIES, keepSet, needsShot } from './families';

/** The chosen set in one archive, with a manifest; what goes in is asked for here and remembered. */
export function Everything({
  formats,
  hasShot,
  making,
  hand,
}: {
  formats: ExporterView[];
  hasShot: boolean;
  making: boolean;
  hand: (ids: string[]) => void;
}) {
  const [ids, setIds] = useState(() => chosenSet(formats));
  const [open, setOpen] = useState(false);
  const made = formats.filter((e) => ids.includes(e.id) && !needsShot(e, hasShot));
  const change = (id: string, on: boolean) => {
    const now = formats.map((e) => e.id).filter((f) => (f === id ? on : ids.includes(f)));
    setIds(now);
    keepSet(now);
  };
  return (
    <div className="mt-3">
      <div className="flex items-center gap-2">
        <button
          className="btn-do"
          aria-busy={making}
          disabled={making || made.length === 0}
          onClick={() => hand(made.map((e) => e.id))}
        >
          <PackageCheck size={15} aria-hidden />
          {making
            ? 'Everything is being made …'
            : `Everything, ${made.length} ${made.length === 1 ? 'file' : 'files'}`}
        </button>
        <button className="btn" aria-expanded={open} onClick={() => setOpen(!open)}>
          What goes in …
        </button>
      </div>
      {open && (
        <div className="mt-2 grid gap-x-4 gap-y-2 rounded-xl border border-line bg-paper p-3 [grid-template-columns:repeat(auto-fit,minmax(8.5rem,1fr))]">
          {FAMILIES.map(({ family, title }) => {
            const own = formats.filter((e) => e.family === family);
            return (
              own.length > 0 && (
                <fieldset key={family}>
                  <legend className="text-[13px] font-semibold">{title}</legend>
                  {own.map((e) => (
                    <label key={e.id} className="flex min-h-6 items-center gap-1.5 text-[13px]">
                      <input
                        type="checkbox"
                        checked={ids.includes(e.id)}
                        onChange={(c) => change(e.id, c.target.checked)}
                      />
                      {e.label}
                      {needsShot(e, hasShot) && <span className="text-faint">(needs a shot)</span>}
                    </label>
                  ))}
                </fieldset>
              )
            );
          })}
        </div>
      )}
    </div>
  );
}
