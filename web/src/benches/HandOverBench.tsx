import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useDesk } from '../state/desk';
import { isUnfinished, useExports } from '../state/exports';
import { useStudio } from '../state/studio';
import { CheckPage } from './handover/CheckPage';
import { Everything } from './handover/Everything';
import { FAMILIES } from './handover/families';
import { Files } from './handover/Files';
import { FormatCard } from './handover/FormatCard';

const ON: Record<number, string> = { 1: 'ones', 2: 'twos', 3: 'threes' };

/** What leaves the house, in every format there is; what is wrong with it before it goes; and what was done so far. */
export function HandOverBench() {
  const { view, line } = useStudio();
  const { all: files, ask } = useExports();
  const frame = useDesk((s) => s.frame);
  const exporters = useQuery({ queryKey: ['exporters'], queryFn: api.exporters, staleTime: Infinity });
  const losses = useQuery({
    queryKey: ['losses', view.id, view.revision, line?.id, line?.revision],
    queryFn: () => api.losses(view.id, line?.id),
  });
  const history = useQuery({
    queryKey: ['history', view.id, view.revision],
    queryFn: () => api.history('characters', view.id),
  });
  const lineHistory = useQuery({
    queryKey: ['history', line?.id, line?.revision],
    queryFn: () => api.history('lines', line!.id),
    enabled: line !== null,
  });
  const canvas = view.character.sheet.canvas;
  const formats = exporters.data ?? [];
  const making = new Set(files.filter(isUnfinished).map((f) => f.label));
  return (
    <div className="grid h-full min-h-0 grid-cols-[minmax(0,0.86fr)_minmax(0,1fr)] gap-6">
      <CheckPage />
      <div className="min-h-0 overflow-y-auto border-l border-line pl-5">
        <h1 className="text-2xl font-bold">Hand over</h1>
        {exporters.data && (
          <Everything
            formats={formats}
            hasShot={line !== null}
            making={[...making].some((label) => label.startsWith('Everything'))}
            hand={(ids) => void ask(ids, true, {})}
          />
        )}
        <Files />
        <p className="mt-2 text-[12.5px] text-faint">
          {line
            ? `${line.shot.name}: ${line.frames} frames at ${line.shot.rules.frameRate} a second, on ${
                ON[line.shot.rules.exposure] ?? `${line.shot.rules.exposure}s`
              }. The picture is frame ${frame + 1}, as posed.`
            : 'No shot is open: what is made of one waits.'}
        </p>
        <div className="mt-2 grid gap-2.5 [grid-template-columns:repeat(auto-fit,minmax(14.5rem,1fr))]">
          {FAMILIES.map(({ family, title, about }) => {
            const own = formats.filter((e) => e.family === family);
            return (
              own.length > 0 && (
                <FormatCard
                  key={family}
                  family={family}
                  title={title}
                  about={about}
                  formats={own}
                  hasShot={line !== null}
                  making={making}
                  losses={losses.data ?? {}}
                  ratio={canvas.height / canvas.width}
                  hand={(e, options) => void ask([e.id], false, options)}
                />
              )
            );
          })}
        </div>
        <section className="mt-3 pb-2">
          <h2 className="text-[15px] font-semibold">History</h2>
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
      </div>
    </div>
  );
}
