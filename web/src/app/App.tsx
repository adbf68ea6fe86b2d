import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '../api/client';
import { Bench } from '../benches/Bench';
import { LineStrip } from '../line/LineStrip';
import { PlayerProvider } from '../line/player';
import { useLive } from '../live/liveState';
import { Shelf } from '../shelf/Shelf';
import { Stage } from '../stage/Stage';
import { ShotTransport } from '../shot/ShotTransport';
import { useDesk } from '../state/desk';
import { ExportsProvider } from '../state/exports';
import { StudioProvider } from '../state/studio';
import { ConnectionBar } from './ConnectionBar';
import { DropProvider } from './drop';
import { Keys } from './Keys';
import { MessageBar } from './MessageBar';
import { Rail } from './Rail';
import { Welcome } from './Welcome';

/** Waits for the first line to be ready and puts it on the stage, so that Space plays something at once. */
function useFirstLine(character: string | null) {
  const line = useDesk((s) => s.line);
  const lines = useQuery({
    queryKey: ['lines', character],
    queryFn: () => api.lines(character!),
    enabled: character !== null,
    refetchInterval: (q) => (q.state.data?.items.length ? false : 3000),
  });
  useEffect(() => {
    const first = lines.data?.items[0];
    const there = lines.data?.items.some((l) => l.id === line);
    if (first && !there) useDesk.getState().say(first.id);
  }, [lines.data, line]);
}

export function App() {
  const id = useDesk((s) => s.character);
  const bench = useDesk((s) => s.bench);
  const live = useLive((s) => s.panel);
  // whoever performs needs no rulers, and a larger face
  const performed = useLive((s) => s.panel && s.source !== 'hands');
  const characters = useQuery({ queryKey: ['characters'], queryFn: api.characters, refetchInterval: 10_000 });
  useEffect(() => {
    const items = characters.data?.items;
    if (items && !items.some((c) => c.id === useDesk.getState().character)) {
      const first = items[0];
      if (first && useDesk.getState().character === null) useDesk.setState({ character: first.id });
      else if (first) useDesk.getState().open(first.id);
      else useDesk.setState({ character: null });
    }
  }, [characters.data]);
  useFirstLine(id);

  if (!characters.data)
    return (
      <>
        <ConnectionBar />
        <p className="p-8 text-faint">Loading …</p>
      </>
    );
  return (
    <DropProvider>
      <ConnectionBar />
      {id && characters.data.items.some((c) => c.id === id) ? (
        <StudioProvider key={id} id={id} waiting={<p className="p-8 text-faint">Fetching the character …</p>}>
          <PlayerProvider>
            <ExportsProvider>
              <Keys />
              <div
                className={`grid h-full grid-rows-[minmax(0,1fr)_auto_auto] ${
                  bench === 'shot' && !live
                    ? 'grid-cols-[132px_minmax(0,0.58fr)_minmax(0,1fr)]'
                    : bench === 'shot'
                      ? 'grid-cols-[132px_minmax(0,1fr)_minmax(0,1.06fr)]'
                      : 'grid-cols-[132px_minmax(0,1fr)_minmax(0,0.86fr)]'
                }`}
              >
                <Rail characters={characters.data.items} />
                {bench !== 'hand-over' && (
                  <>
                    <Stage />
                    {!(performed && bench === 'shot') && <Shelf />}
                    {bench === 'shot' ? <ShotTransport /> : <LineStrip />}
                  </>
                )}
                <Bench />
              </div>
              <MessageBar />
            </ExportsProvider>
          </PlayerProvider>
        </StudioProvider>
      ) : (
        <Welcome />
      )}
    </DropProvider>
  );
}
