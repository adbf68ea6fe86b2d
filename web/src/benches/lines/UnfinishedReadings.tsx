import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { useAskEvery } from '../../api/changes';
import { api, type ReadingView } from '../../api/client';
import { ReadingProgress } from '../../line/ReadingProgress';

const underWay = (r: ReadingView) => r.state === 'WAITING' || r.state === 'READING';

/** Recordings that are being read, also those that were asked for before the page was loaded or in another window. */
export function UnfinishedReadings({ character }: { character: string }) {
  const queries = useQueryClient();
  const asked = useAskEvery(4000);
  const readings = useQuery({
    queryKey: ['readings', character],
    queryFn: () => api.readings(character),
    refetchInterval: (q) => (q.state.data?.some(underWay) ? 700 : asked),
  });
  const all = readings.data ?? [];
  const left = all.filter(underWay).length;
  const before = useRef(0);
  useEffect(() => {
    if (left < before.current) {
      void queries.invalidateQueries({ queryKey: ['lines', character] });
      void queries.invalidateQueries({ queryKey: ['line'] });
    }
    before.current = left;
  }, [left, character, queries]);
  const again = () => queries.invalidateQueries({ queryKey: ['readings', character] });
  const end = async (id: string) => {
    await api.cancelReading(id);
    await again();
  };
  const dismiss = async (id: string) => {
    await api.dismissReading(id);
    await again();
  };
  const scripts = all.filter((r) => r.kind === 'SCRIPT');
  const alone = all.filter((r) => r.kind !== 'SCRIPT' && !r.partOf);
  // their script was dismissed while they were read
  const strays = all.filter((r) => r.partOf && !scripts.some((s) => s.id === r.partOf));
  if (all.length === 0) return null;
  return (
    <ul className="mt-2 flex flex-col gap-1" aria-label="Recordings being read">
      {scripts.map((s) => (
        <Script
          key={s.id}
          script={s}
          parts={all.filter((r) => r.partOf === s.id)}
          end={() => void end(s.id)}
          dismiss={() => void dismiss(s.id)}
        />
      ))}
      {[...alone, ...strays].map((r) => (
        <li key={r.id} className="flex items-center gap-2 rounded-md border border-line px-2.5 py-1">
          <span className="shrink-0 text-[13px]">
            {r.kind === 'RECORD'
              ? r.name || 'A new line'
              : r.kind === 'WORDS'
                ? 'Other words'
                : 'Another sound'}
          </span>
          {underWay(r) ? (
            <ReadingProgress reading={r} />
          ) : (
            <span className="min-w-0 flex-1 text-[13px] text-wrong">{r.problem?.detail}</span>
          )}
          <button className="btn py-0" onClick={() => void (underWay(r) ? end(r.id) : dismiss(r.id))}>
            {underWay(r) ? 'Stop' : 'Dismiss'}
          </button>
        </li>
      ))}
    </ul>
  );
}

/** A recording that is cut into lines: how far it is, and what was not found in it. */
function Script({
  script,
  parts,
  end,
  dismiss,
}: {
  script: ReadingView;
  parts: ReadingView[];
  end: () => void;
  dismiss: () => void;
}) {
  const waiting = parts.filter(underWay);
  const refused = parts.filter((p) => p.state === 'REFUSED');
  const found = script.outcome?.found ?? 0;
  const going = underWay(script) || waiting.length > 0;
  const missing = script.outcome?.missing ?? [];
  return (
    <li className="rounded-md border border-line px-2.5 py-1.5 text-[13px]">
      <div className="flex items-center gap-2">
        {underWay(script) ? (
          <>
            <span className="shrink-0">Looking for the lines</span>
            <ReadingProgress reading={script} />
          </>
        ) : script.state === 'REFUSED' ? (
          <span className="min-w-0 flex-1 text-wrong">{script.problem?.detail}</span>
        ) : (
          <span className="min-w-0 flex-1" role="status">
            {going
              ? `${found - waiting.length} of ${found} lines read`
              : `${found - refused.length} ${found - refused.length === 1 ? 'line' : 'lines'} cut out of the recording`}
          </span>
        )}
        <button className="btn py-0" onClick={going ? end : dismiss}>
          {going ? 'Stop' : 'Dismiss'}
        </button>
      </div>
      {missing.length > 0 && (
        <p className="mt-1 rounded bg-doing-soft px-2 py-1">Not said in it: {missing.join('; ')}.</p>
      )}
      {refused.map((r) => (
        <p key={r.id} className="mt-1 rounded bg-wrong-soft px-2 py-1 text-wrong">
          <b>{r.name}</b>: {r.problem?.detail}
        </p>
      ))}
    </li>
  );
}
