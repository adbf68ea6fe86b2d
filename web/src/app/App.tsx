import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useAskEvery } from '../api/changes';
import { api } from '../api/client';
import { PlayerProvider } from '../line/player';
import { HomePage } from '../home/HomePage';
import { TourBar } from '../home/TourBar';
import { characters as cast } from '../palette/entries';
import { Palette } from '../palette/Palette';
import { StudioPalette } from '../palette/StudioPalette';
import { Guarded } from '../room/Guarded';
import { Workspace } from '../room/Workspace';
import { useDesk } from '../state/desk';
import { BENCH_NAMES } from '../state/benches';
import { ExportsProvider } from '../state/exports';
import { charactersQuery } from '../state/openings';
import { StudioProvider } from '../state/studio';
import { ConnectionBar } from './ConnectionBar';
import { DropProvider } from './drop';
import { Keys } from './Keys';
import { MessageBar } from './MessageBar';

/** Waits for the first line to be ready and puts it on the stage, so that Space plays something at once. */
function useFirstLine(character: string | null) {
  const line = useDesk((s) => s.line);
  const queries = useQueryClient();
  const asked = useAskEvery(3000);
  const lines = useQuery({
    queryKey: ['lines', character],
    queryFn: () => api.lines(character!),
    enabled: character !== null,
    refetchInterval: (q) => (q.state.data?.items.length ? false : asked),
  });
  useEffect(() => {
    const first = lines.data?.items[0];
    const there = lines.data?.items.some((l) => l.id === line);
    if (!first || there) return;
    const instead = () => useDesk.getState().line === line && useDesk.getState().say(first.id);
    if (line === null || character === null) {
      instead();
      return;
    }
    // it may have begun a moment ago, in another window: a list that was asked for since then knows
    api.lines(character).then((fresh) => {
      if (fresh.items.some((l) => l.id === line)) queries.setQueryData(['lines', character], fresh);
      else instead();
    }, instead);
  }, [lines.data, line, character, queries]);
}

/** Says in the window's title and to the browser's list of places where one is. */
function useTitle(name: string | undefined) {
  const home = useDesk((s) => s.home);
  const bench = useDesk((s) => s.bench);
  useEffect(() => {
    document.title = home || !name ? 'Characters – Leeward' : `${name}, ${BENCH_NAMES[bench]} – Leeward`;
  }, [home, name, bench]);
}

export function App() {
  const id = useDesk((s) => s.character);
  const home = useDesk((s) => s.home);
  const asked = useAskEvery(10_000);
  const characters = useQuery({ ...charactersQuery, refetchInterval: asked });
  useEffect(() => {
    const items = characters.data?.items;
    const { character, home: shown } = useDesk.getState();
    if (!items || character !== null || shown) return;
    useDesk.setState(items[0] ? { character: items[0].id } : { home: true });
  }, [characters.data, id, home]);
  const known = !characters.data || id === null || characters.data.items.some((c) => c.id === id);
  const queries = useQueryClient();
  useEffect(() => {
    if (known) return;
    let over = false;
    // it may have begun a moment ago: only a list that was asked for since then, by nobody else, says that nobody is called that
    api.characters().then(
      (fresh) => {
        const { character } = useDesk.getState();
        if (over || character === null) return;
        if (fresh.items.some((c) => c.id === character))
          queries.setQueryData(charactersQuery.queryKey, fresh);
        // an address of somebody who is not here any more is told, and not answered with somebody else
        else useDesk.setState({ character: null, home: true, lost: true });
      },
      () => {},
    );
    return () => {
      over = true;
    };
  }, [known, queries]);
  useFirstLine(home ? null : id);
  const there = characters.data?.items.find((c) => c.id === id);
  useTitle(there?.name);

  if (!characters.data)
    return (
      <>
        <ConnectionBar />
        <p className="p-8 text-faint">Loading …</p>
      </>
    );
  const { items } = characters.data;
  return (
    <DropProvider>
      <ConnectionBar />
      {home ? (
        <Guarded what="The page of all characters">
          <HomePage characters={items} />
          <Palette groups={[cast(items, null)]} />
        </Guarded>
      ) : !there ? (
        <p className="p-8 text-faint">Loading …</p>
      ) : (
        <StudioProvider key={id} id={there.id} waiting={<p className="p-8 text-faint">Loading …</p>}>
          <PlayerProvider>
            <ExportsProvider>
              <Keys />
              <Workspace />
              <TourBar />
              <StudioPalette />
              <MessageBar />
            </ExportsProvider>
          </PlayerProvider>
        </StudioProvider>
      )}
    </DropProvider>
  );
}
