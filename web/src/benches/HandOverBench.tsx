import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { api } from '../api/client';
import { useDesk } from '../state/desk';
import { useFindings } from '../state/findings';
import { asMessage, useStudio } from '../state/studio';
import { FindingList } from '../ui/FindingList';

function save(blob: Blob, name: string) {
  const a = document.createElement('a');
  a.href = URL.createObjectURL(blob);
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(a.href), 10_000);
}

/** What leaves the house: the exposure sheet and the present picture; and what was done so far. */
export function HandOverBench() {
  const { view, line, director, tell } = useStudio();
  const findings = useFindings();
  const frame = useDesk((s) => s.frame);
  const [width, setWidth] = useState(1280);
  const [busy, setBusy] = useState(false);
  const history = useQuery({
    queryKey: ['history', view.id, view.revision],
    queryFn: () => api.history('characters', view.id),
  });
  const lineHistory = useQuery({
    queryKey: ['history', line?.id, line?.revision],
    queryFn: () => api.history('lines', line!.id),
    enabled: line !== null,
  });
  const stem = view.character.name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  const picture = async (format: 'svg' | 'png') => {
    setBusy(true);
    try {
      save(
        await api.picture(view.id, director.moment(), format, width),
        `${stem}${line ? `-${frame + 1}` : ''}.${format}`,
      );
      tell(null);
    } catch (e) {
      tell(asMessage(e));
    }
    setBusy(false);
  };
  const height = Math.round((width * view.character.sheet.canvas.height) / view.character.sheet.canvas.width);
  return (
    <>
      <h1 className="text-2xl font-bold">Hand over</h1>
      <section className="mt-3" aria-label="Before it goes">
        <h2 className="text-[15px] font-semibold">Before it goes</h2>
        {findings ? (
          <FindingList findings={findings} most={4} clean="No check finds anything wrong." />
        ) : (
          <p className="mt-1 text-[13px] text-faint">Every check is being made …</p>
        )}
      </section>
      <section className="mt-3 rounded-xl border border-line bg-paper p-4">
        <h2 className="text-[15px] font-semibold">Exposure sheet</h2>
        {line ? (
          <>
            <p className="mt-1 text-faint">
              {line.shot.name}: {line.frames} frames at {line.shot.rules.frameRate} a second, on{' '}
              {line.shot.rules.exposure === 1 ? 'ones' : 'twos'}. A row a frame with its sounds, class and
              drawing.
            </p>
            <a className="btn-do mt-2.5" href={api.exposureUrl(line.id)} download>
              <Download size={14} aria-hidden /> Exposure sheet as CSV
            </a>
          </>
        ) : (
          <p className="mt-1 text-faint">Drop a recording first: the sheet is made of its frames.</p>
        )}
      </section>
      <section className="mt-3 rounded-xl border border-line bg-paper p-4">
        <h2 className="text-[15px] font-semibold">The picture on the stage</h2>
        <p className="mt-1 text-faint">
          The whole canvas as posed now{line ? `, frame ${frame + 1} of the line` : ''}, masks kept.
        </p>
        <div className="mt-2.5 flex flex-wrap items-center gap-2">
          <button className="btn-do" disabled={busy} onClick={() => void picture('svg')}>
            <Download size={14} aria-hidden /> SVG
          </button>
          <button className="btn-do" disabled={busy} onClick={() => void picture('png')}>
            <Download size={14} aria-hidden /> PNG
          </button>
          <label className="ml-1 text-[13px]">
            PNG width{' '}
            <input
              type="number"
              className="field w-20"
              min={16}
              max={4000}
              value={width}
              onChange={(e) => setWidth(Math.max(1, Math.min(4000, Math.round(Number(e.target.value)) || 1)))}
            />
          </label>
          <span className="text-[13px] text-faint">
            {width} × {height} pixels
          </span>
        </div>
      </section>
      <section className="mt-3 pb-2">
        <h2 className="text-[15px] font-semibold">What was done</h2>
        <ol className="mt-1 space-y-0.5 text-[13px]">
          {[
            ...(lineHistory.data?.steps.map((s) => ({ ...s, on: 'line' })) ?? []),
            ...(history.data?.steps.map((s) => ({ ...s, on: 'character' })) ?? []),
          ]
            .sort((a, b) => b.madeAt.localeCompare(a.madeAt))
            .slice(0, 40)
            .map((s) => (
              <li key={s.on + s.number} className="flex gap-2">
                <time className="shrink-0 text-faint" dateTime={s.madeAt}>
                  {new Date(s.madeAt).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}
                </time>
                <span>{s.says}</span>
                <span className="ml-auto shrink-0 text-faint">{s.on}</span>
              </li>
            ))}
        </ol>
      </section>
    </>
  );
}
