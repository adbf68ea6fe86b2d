// @vitest-environment jsdom
import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { listenToChanges, outdatedBy, useChanges } from './changes';
import { api } from './client';
import { Wire } from './wire';

describe('changes that are told', () => {
  let queries: QueryClient;
  let end: () => void;
  /** A query somebody looks at; how often it was asked. */
  const shown = async (queryKey: string[], revision: number) => {
    const ask = vi.fn(() => Promise.resolve({ revision }));
    new QueryObserver(queries, { queryKey, queryFn: ask, staleTime: Infinity }).subscribe(() => {});
    await vi.advanceTimersByTimeAsync(1);
    ask.mockClear();
    return ask;
  };

  beforeEach(() => {
    Wire.open = [];
    vi.stubGlobal('WebSocket', Wire);
    vi.useFakeTimers();
    queries = new QueryClient();
    end = listenToChanges(queries);
  });
  afterEach(() => {
    end();
    vi.useRealTimers();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
    useChanges.setState({ told: false });
  });

  it('ask for what is older than what was told, once for many in a row, and for nothing else', async () => {
    Wire.open[0]!.onopen!();
    const open = await shown(['character', 'a'], 4);
    const list = await shown(['characters'], 1);
    const art = await shown(['artwork', 'a'], 1);
    for (const revision of [5, 6, 7]) Wire.open[0]!.says({ kind: 'character', id: 'a', revision });
    expect(open).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(400);
    expect(open).toHaveBeenCalledTimes(1);
    expect(list).toHaveBeenCalledTimes(1);
    expect(art).not.toHaveBeenCalled();
  });

  it('leave an edit of this page alone: its answer comes by itself', async () => {
    Wire.open[0]!.onopen!();
    const open = await shown(['line', 's'], 4);
    Wire.open[0]!.says({ kind: 'shot', id: 's', character: 'a', revision: 5 });
    queries.setQueryData(['line', 's'], { revision: 5 });
    await vi.advanceTimersByTimeAsync(400);
    expect(open).not.toHaveBeenCalled();
  });

  it('tell of a character put away, whose revision stays', () => {
    queries.setQueryData(['character', 'a'], { revision: 4 });
    expect(outdatedBy({ kind: 'character', id: 'a', revision: 4 }, queries)).toEqual([['characters']]);
    expect(outdatedBy({ kind: 'exports', character: 'a' }, queries)).toEqual([['exports', 'a']]);
    expect(outdatedBy({ kind: 'still' }, queries)).toEqual([]);
  });

  it('are missed while the way is broken, so all that lives is asked for when it is back', async () => {
    const away = vi.spyOn(api, 'characters').mockRejectedValue(new Error('away'));
    Wire.open[0]!.onopen!();
    const open = await shown(['character', 'a'], 4);
    const art = await shown(['artwork', 'a'], 1);
    expect(useChanges.getState().told).toBe(true);
    Wire.open[0]!.close();
    expect(useChanges.getState().told).toBe(false);
    await vi.advanceTimersByTimeAsync(1100);
    Wire.open[1]!.close();
    expect(away).toHaveBeenCalledTimes(1);
    await vi.advanceTimersByTimeAsync(1100);
    Wire.open[2]!.onopen!();
    await vi.advanceTimersByTimeAsync(1);
    expect(useChanges.getState().told).toBe(true);
    expect(open).toHaveBeenCalledTimes(1);
    expect(art).not.toHaveBeenCalled();
  });

  it('count as broken when nothing is said for long', async () => {
    vi.spyOn(api, 'characters').mockResolvedValue({ items: [], total: 0 });
    Wire.open[0]!.onopen!();
    await vi.advanceTimersByTimeAsync(90_000);
    Wire.open[0]!.says({ kind: 'still' });
    await vi.advanceTimersByTimeAsync(90_000);
    expect(useChanges.getState().told).toBe(true);
    await vi.advanceTimersByTimeAsync(20_000);
    expect(Wire.open[0]!.closed).toBe(true);
  });
});
