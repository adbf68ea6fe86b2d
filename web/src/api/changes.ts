import type { QueryClient, QueryKey } from '@tanstack/react-query';
import { create } from 'zustand';
import { api } from './client';
import { keepOpen } from './socket';

/** What the server says about changes, by whomever they were made; see ChangeSockets on the server. */
type Change =
  | { kind: 'character'; id: string; revision: number }
  | { kind: 'shot'; id: string; character: string; revision: number }
  | { kind: 'exports' | 'readings'; character: string }
  | { kind: 'missed' }
  | { kind: 'still' };

/** Milliseconds without a word after which the way counts as broken: more than twice as long as the server ever keeps silent. */
const SILENCE = 100_000;

/**
 * Milliseconds a change is kept back. The answer to an edit of this page's own is on its way then, and nothing has to be asked; many
 * changes in a row are asked about once.
 */
const GATHER = 300;

/** Whether the server tells this page what changes. As long as it does, nothing has to be asked again and again. */
export const useChanges = create<{ told: boolean }>(() => ({ told: false }));

/** How often to ask for something that may change: never while changes are told. */
export function useAskEvery(milliseconds: number): number | false {
  return useChanges((s) => s.told) ? false : milliseconds;
}

/** What may be older than it looks after changes were missed. Artwork and pictures never are: they go by their revision. */
const LIVE: readonly string[] = ['characters', 'character', 'lines', 'line', 'latest', 'exports', 'readings'];

const isLive = (key: QueryKey) => typeof key[0] === 'string' && LIVE.includes(key[0]);

/** What is to be asked for again after a change; what is there already as new as it was told is not. */
export function outdatedBy(change: Change, queries: QueryClient): QueryKey[] {
  const olderThan = (key: QueryKey, revision: number) => {
    const here = queries.getQueryData<{ revision: number }>(key);
    return here !== undefined && here.revision < revision ? [key] : [];
  };
  switch (change.kind) {
    case 'character':
      return [['characters'], ...olderThan(['character', change.id], change.revision)];
    case 'shot':
      return [['lines', change.character], ['latest'], ...olderThan(['line', change.id], change.revision)];
    case 'exports':
    case 'readings':
      return [[change.kind, change.character]];
    case 'missed':
    case 'still':
      return [];
  }
}

/** Listens to what changes and asks for it, as long as the page lives. */
export function listenToChanges(queries: QueryClient): () => void {
  let waiting: Change[] = [];
  let timer = 0;
  let broken = false;
  const ask = () => {
    timer = 0;
    const keys = new Map<string, QueryKey>();
    for (const change of waiting)
      for (const key of outdatedBy(change, queries)) keys.set(JSON.stringify(key), key);
    waiting = [];
    for (const queryKey of keys.values()) void queries.invalidateQueries({ queryKey });
  };
  const askForAll = (cancelRefetch: boolean) =>
    void queries.invalidateQueries({ predicate: (q) => isLive(q.queryKey) }, { cancelRefetch });
  const end = keepOpen(
    '/api/v1/changes',
    {
      opened: () => {
        useChanges.setState({ told: true });
        // what was asked for before anything was told; an answer still on its way is new enough at the beginning
        askForAll(broken);
      },
      heard: (message) => {
        const change = JSON.parse(message) as Change;
        if (change.kind === 'missed') askForAll(true);
        else if (change.kind !== 'still') {
          waiting.push(change);
          timer ||= window.setTimeout(ask, GATHER);
        }
      },
      broke: () => {
        useChanges.setState({ told: false });
        // whether the whole server is away is found out by asking it something, once
        if (!broken) api.characters().catch(() => {});
        broken = true;
      },
    },
    SILENCE,
  );
  return () => {
    window.clearTimeout(timer);
    end();
  };
}
