import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo } from 'react';
import { useAskEvery } from '../api/changes';
import { api, type ExportView } from '../api/client';
import { useStudio } from './studio';
import { asMessage } from './messages';

const LOOK_EVERY_MS = 300;

/** Files that were asked for in this window: they are saved as soon as they are there, whichever bench is open. */
const askedHere = new Set<string>();

interface Exports {
  /** Of the open character, the newest first. */
  all: ExportView[];
  ask: (exporters: string[], together: boolean, options: Record<string, number>) => Promise<void>;
  cancel: (id: string) => void;
  remove: (id: string) => void;
}

const Context = createContext<Exports | null>(null);

export function useExports(): Exports {
  const exports = useContext(Context);
  if (!exports) throw new Error('used outside the studio');
  return exports;
}

export const isUnfinished = (e: ExportView) => e.state === 'WAITING' || e.state === 'MAKING';

/** How far an export is, in words. */
export function exportFact(e: ExportView): string {
  switch (e.state) {
    case 'WAITING':
      return e.ahead > 0 ? `${e.ahead} before it` : 'next to be made';
    case 'MAKING':
      return `${Math.floor(e.share * 100)} %`;
    case 'DONE':
      return size(e.bytes);
    case 'REFUSED':
      return e.problem?.detail ?? 'It could not be made.';
    case 'CANCELLED':
      return 'cancelled';
  }
}

function size(bytes: number): string {
  return bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} KB` : `${(bytes / 1e6).toFixed(1)} MB`;
}

export const exportFile = (e: ExportView) => `/api/v1/exports/${e.id}/file`;

function save(e: ExportView) {
  const a = document.createElement('a');
  a.href = exportFile(e);
  a.download = e.fileName;
  a.click();
}

/** Files being made of the open character: asked for, looked after, saved when they are there. */
export function ExportsProvider({ children }: { children: ReactNode }) {
  const { view, line, director, tell } = useStudio();
  const queries = useQueryClient();
  const key = useMemo(() => ['exports', view.id], [view.id]);
  const asked = useAskEvery(10_000);
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => api.exports(view.id),
    refetchInterval: (q) => (q.state.data?.some(isUnfinished) ? LOOK_EVERY_MS : asked),
  });
  const all = useMemo(() => data ?? [], [data]);

  useEffect(() => {
    for (const e of all) {
      if (isUnfinished(e) || !askedHere.delete(e.id)) continue;
      if (e.state === 'DONE') save(e);
    }
  }, [all]);

  const lineId = line?.id;
  const ask = useCallback(
    async (exporters: string[], together: boolean, options: Record<string, number>) => {
      try {
        const asked = await api.askExport(
          view.id,
          exporters,
          together,
          { ...director.moment(), ...(lineId ? { line: lineId } : {}) },
          options,
        );
        askedHere.add(asked.id);
        await queries.cancelQueries({ queryKey: key });
        queries.setQueryData<ExportView[]>(key, (was) => [
          asked,
          ...(was ?? []).filter((e) => e.id !== asked.id),
        ]);
        tell(null);
      } catch (e) {
        tell(asMessage(e));
      }
    },
    [view.id, lineId, director, queries, key, tell],
  );
  const after = useCallback(
    (work: Promise<unknown>) =>
      void work.catch((e) => tell(asMessage(e))).finally(() => queries.invalidateQueries({ queryKey: key })),
    [queries, key, tell],
  );
  const value = useMemo<Exports>(
    () => ({
      all,
      ask,
      cancel: (id) => after(api.cancelExport(id)),
      remove: (id) => after(api.removeExport(id)),
    }),
    [all, ask, after],
  );
  return <Context.Provider value={value}>{children}</Context.Provider>;
}
