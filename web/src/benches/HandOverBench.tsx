import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { api, type ExporterView } from '../api/client';
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

const TITLES: Record<ExporterView['scope'], string> = {
  POSE: 'The picture on the stage',
  SHOT: 'The shot',
  CHARACTER: 'The whole character',
};

/** What leaves the house, in every format there is; what is wrong with it before it goes; and what was done so far. */
export function HandOverBench() {
  const { view, line, director, tell } = useStudio();
  const frame = useDesk((s) => s.frame);
  const findings = useFindings();
  const [chosen, setChosen] = useState<Record<string, number>>({});
  const [busy, setBusy] = useState('');
  const exporters = useQuery({ queryKey: ['exporters'], queryFn: api.exporters, staleTime: Infinity });
  const history = useQuery({
    queryKey: ['history', view.id, view.revision],
    queryFn: () => api.history('characters', view.id),
  });
  const lineHistory = useQuery({
    queryKey: ['history', line?.id, line?.revision],
    queryFn: () => api.history('lines', line!.id),
    enabled: line !== null,
  });
  const stem = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  const canvas = view.character.sheet.canvas;
  const hand = async (e: ExporterView) => {
    setBusy(e.id);
    try {
      const options = Object.fromEntries(e.options.map((o) => [o.id, chosen[o.id] ?? o.usual]));
      const moment = { ...director.moment(), ...(e.scope === 'SHOT' ? { line: line!.id } : {}) };
      const name =
        e.scope === 'SHOT'
          ? `${stem(line!.shot.name)}${e.id.startsWith('exposure') ? '-exposure' : ''}`
          : `${stem(view.character.name)}${e.scope === 'POSE' && line ? `-${frame + 1}` : ''}`;
      save(await api.export(view.id, e.id, moment, options), `${name}.${e.extension}`);
      tell(null);
    } catch (e) {
      tell(asMessage(e));
    }
    setBusy('');
  };
  const about: Record<ExporterView['scope'], string> = {
    POSE: `The whole canvas as posed now${line ? `, frame ${frame + 1} of the line` : ''}, masks kept.`,
    SHOT: line
      ? `${line.shot.name}: ${line.frames} frames at ${line.shot.rules.frameRate} a second, on ${
          line.shot.rules.exposure === 1 ? 'ones' : 'twos'
        }, with its sound and everything that is acted in it. WebM keeps the ground clear; MP4 and GIF stand on white. The
        exposure sheet has a row a frame with its sounds, class and mouth.`
      : 'Drop a recording first, or begin a shot on the Shot bench.',
    CHARACTER: 'Its mouths on one page, to print or to draw over.',
  };
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
      {(['SHOT', 'POSE', 'CHARACTER'] as const).map((scope) => {
        const formats = exporters.data?.filter((e) => e.scope === scope) ?? [];
        const options = formats
          .flatMap((e) => e.options)
          .filter((o, i, all) => all.findIndex((x) => x.id === o.id) === i);
        return (
          <section
            key={scope}
            aria-label={TITLES[scope]}
            className="mt-3 rounded-xl border border-line bg-paper p-4"
          >
            <h2 className="text-[15px] font-semibold">{TITLES[scope]}</h2>
            <p className="mt-1 text-faint">{about[scope]}</p>
            <div className="mt-2.5 flex flex-wrap items-center gap-2">
              {(scope !== 'SHOT' || line) &&
                formats.map((e) => (
                  <button
                    key={e.id}
                    className="btn-do"
                    disabled={busy !== ''}
                    aria-busy={busy === e.id}
                    onClick={() => void hand(e)}
                  >
                    <Download size={14} aria-hidden />{' '}
                    {busy === e.id ? `${e.label} is being made …` : e.label}
                  </button>
                ))}
              {options.map((o) => (
                <label key={o.id} className="ml-1 text-[13px]">
                  {o.label}{' '}
                  <input
                    type="number"
                    className="field w-20"
                    min={o.from}
                    max={o.to}
                    value={chosen[o.id] ?? o.usual}
                    onChange={(e) =>
                      setChosen({
                        ...chosen,
                        [o.id]: Math.max(
                          o.from,
                          Math.min(o.to, Math.round(Number(e.target.value)) || o.from),
                        ),
                      })
                    }
                  />{' '}
                  {o.unit}
                </label>
              ))}
              {options
                .filter((o) => o.id === 'width' || o.id === 'film-width')
                .map((o) => (
                  <span key={o.id} className="text-[13px] text-faint">
                    {Math.round(((chosen[o.id] ?? o.usual) * canvas.height) / canvas.width)} high
                  </span>
                ))}
            </div>
          </section>
        );
      })}
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
                <span>{s.message}</span>
                <span className="ml-auto shrink-0 text-faint">{s.on}</span>
              </li>
            ))}
        </ol>
      </section>
    </>
  );
}
