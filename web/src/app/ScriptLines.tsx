import { useMemo } from 'react';
import type { LineOfScript } from '../api/client';
import { clock } from './script';

/** The lines of a script, to choose from: each one that is chosen becomes a line of the character. */
export function ScriptLines({
  lines,
  left,
  leave,
  disabled,
}: {
  lines: LineOfScript[];
  /** Indices of those that are left out. */
  left: ReadonlySet<number>;
  leave: (left: ReadonlySet<number>) => void;
  disabled: boolean;
}) {
  const speakers = useMemo(() => [...new Set(lines.map((l) => l.speaker))].filter(Boolean), [lines]);
  const of = (speaker: string) => lines.flatMap((l, i) => (l.speaker === speaker ? [i] : []));
  const set = (indices: number[], chosen: boolean) => {
    const next = new Set(left);
    for (const i of indices)
      if (chosen) next.delete(i);
      else next.add(i);
    leave(next);
  };
  return (
    <div className="mt-3">
      {speakers.length > 1 && (
        <div className="mb-1.5 flex flex-wrap items-center gap-1.5" role="group" aria-label="Who speaks">
          <span className="text-[13px] text-faint">Lines of</span>
          {speakers.map((s) => {
            const all = of(s);
            const some = all.some((i) => !left.has(i));
            return (
              <button
                key={s}
                className="btn px-2 py-0"
                aria-pressed={some}
                disabled={disabled}
                onClick={() => set(all, !some)}
              >
                {s} <span className="text-faint">{all.length}</span>
              </button>
            );
          })}
        </div>
      )}
      <ol
        className="max-h-[34vh] overflow-y-auto rounded-lg border border-line bg-card text-[13.5px]"
        aria-label="Lines of the script"
      >
        {lines.map((l, i) => (
          <li key={`${l.place} ${i}`} className="border-b border-line last:border-b-0">
            <label className={`flex items-baseline gap-2 px-2.5 py-1 ${left.has(i) ? 'text-faint' : ''}`}>
              <input
                type="checkbox"
                checked={!left.has(i)}
                disabled={disabled}
                onChange={(e) => set([i], e.target.checked)}
              />
              {l.cue && <span className="shrink-0 text-faint">{l.cue}</span>}
              {l.speaker && <b className="shrink-0">{l.speaker}</b>}
              <span className="line-clamp-2 min-w-0 flex-1" title={l.words}>
                {l.words}
              </span>
              {l.from != null && <span className="shrink-0 text-[12px] text-faint">{clock(l.from)}</span>}
            </label>
          </li>
        ))}
      </ol>
    </div>
  );
}
