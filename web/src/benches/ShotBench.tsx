import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ChevronDown, Plus } from 'lucide-react';
import { DropdownMenu, Popover } from 'radix-ui';
import { useState } from 'react';
import { api, type Shot } from '../api/client';
import { LivePanel } from '../live/LivePanel';
import { useLive } from '../live/liveState';
import { FirstPass } from '../shot/FirstPass';
import { Foot } from '../shot/Foot';
import { keyOf } from '../shot/tracks';
import { allTracks } from '../shot/lanes';
import { Sheet } from '../shot/Sheet';
import { ShotCheck, ShotCheckButton } from '../shot/ShotCheck';
import { useSheetKeys } from '../shot/sheetKeys';
import { useSheet } from '../shot/sheetState';
import { useAutoKeys } from '../shot/useAutoKeys';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { asMessage } from '../state/messages';
import { EditableName } from '../ui/EditableName';
import { Lines } from '../shot/LinesMenu';

/** Acting over time: the exposure sheet, downwards or across, with what a key would write at its foot. */
export function ShotBench() {
  const { line, changeLine } = useStudio();
  const shot = useActed((s) => s.shot);
  const across = useSheet((s) => s.across);
  const checking = useSheet((s) => s.checking);
  useSheetKeys(shot);
  useAutoKeys(shot);
  const live = useLive((s) => s.panel);
  if (!line || !shot) return <NoShot />;
  if (live) return <LivePanel shot={shot} line={line} />;
  return (
    <div className="-mx-5 -my-4 flex h-[calc(100%+2rem)] flex-col">
      <header className="flex flex-wrap items-center gap-x-1.5 gap-y-1.5 px-3.5 pt-3.5 pb-2.5">
        <h1 className="mr-1 text-2xl font-bold">Shot</h1>
        <div className="max-w-[190px] min-w-0 flex-[1_1_84px]">
          <EditableName
            label="Name of the shot"
            name={shot.name}
            rename={(name) =>
              changeLine((l) => api.editLine(l.id, l.revision, { kind: 'rename-shot', name }))
            }
          />
        </div>
        <Shots />
        <div className="ml-auto flex gap-0.5" role="group" aria-label="Which way time runs">
          <button
            className="btn px-2"
            aria-pressed={!across}
            onClick={() => useSheet.setState({ across: false, zoom: 20 })}
          >
            Down
          </button>
          <button
            className="btn px-2"
            aria-pressed={across}
            onClick={() => useSheet.setState({ across: true, zoom: 14 })}
          >
            Across
          </button>
        </div>
        <FirstPass shot={shot} />
        <ShotCheckButton />
        <TracksMenu shot={shot} />
        <Lines shot={shot} />
      </header>
      <div className="flex min-h-0 flex-1">
        <Sheet key={`${line.id} ${across}`} shot={shot} />
        {checking && <ShotCheck />}
      </div>
      <Foot shot={shot} />
    </div>
  );
}

function NoShot() {
  const { view } = useStudio();
  const begin = useBegin();
  return (
    <>
      <h1 className="text-2xl font-bold">Shot</h1>
      <p className="mt-3 max-w-prose">
        A shot is a stretch of frames in which {view.character.name} acts. Every recorded line is one already;
        without a recording, begin an empty one.
      </p>
      <button className="btn-do mt-3" onClick={() => void begin('Shot 1')}>
        Begin a shot of two seconds
      </button>
    </>
  );
}

/** Begins a shot and puts it on the stage. */
function useBegin() {
  const { view, tell } = useStudio();
  const queries = useQueryClient();
  return async (name: string, from?: string) => {
    try {
      const made = await api.beginShot(view.id, name, from);
      queries.setQueryData(['line', made.id], made);
      await queries.invalidateQueries({ queryKey: ['lines', view.id] });
      useDesk.getState().say(made.id);
    } catch (e) {
      tell(asMessage(e));
    }
  };
}

/** Another shot of this character, or a new one. */
function Shots() {
  const { view, line } = useStudio();
  const begin = useBegin();
  const shots = useQuery({ queryKey: ['lines', view.id], queryFn: () => api.lines(view.id) });
  const all = shots.data?.items ?? [];
  const row =
    'flex cursor-pointer items-center gap-2 rounded px-2.5 py-1.5 outline-none data-[highlighted]:bg-tide';
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        className="btn px-2"
        aria-label={`${all.length === 1 ? '1 shot' : `${all.length} shots`}: another shot`}
      >
        {all.length === 1 ? '1 shot' : `${all.length} shots`} <ChevronDown size={13} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          className="z-50 max-h-[60vh] w-[280px] overflow-y-auto rounded-lg border border-line bg-card p-1 text-[13px] shadow-xl"
        >
          {all.map((s) => (
            <DropdownMenu.Item
              key={s.id}
              className={`${row} ${s.id === line?.id ? 'font-bold' : ''}`}
              onSelect={() => useDesk.getState().say(s.id)}
            >
              {s.name}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={row} onSelect={() => void begin(`Shot ${all.length + 1}`)}>
            <Plus size={13} aria-hidden /> An empty shot of two seconds
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** Which tracks are shown besides those something is on. */
function TracksMenu({ shot }: { shot: Shot }) {
  const { view } = useStudio();
  const shown = useSheet((s) => s.shown);
  const [find, setFind] = useState('');
  const all = allTracks(view.character).filter((t) => t.name.toLowerCase().includes(find.toLowerCase()));
  return (
    <Popover.Root>
      <Popover.Trigger className="btn px-2">
        Tracks <ChevronDown size={13} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          aria-label="Tracks that are shown"
          className="z-50 w-[270px] rounded-lg border border-line bg-card p-2.5 text-[13px] shadow-xl"
        >
          <input
            className="field w-full"
            placeholder="find a dial or a part …"
            aria-label="Find a track"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <div className="mt-1.5 max-h-[46vh] overflow-y-auto">
            {all.map(({ track, name }) => {
              const key = keyOf(track);
              const used =
                track.sort === 'DIAL'
                  ? (shot.tracks.dials[track.of!]?.length ?? 0)
                  : (shot.tracks.drawings[track.of!]?.length ?? 0);
              return (
                <label
                  key={key}
                  className="flex cursor-pointer items-center gap-2 rounded px-1 py-1 hover:bg-tide"
                >
                  <input
                    type="checkbox"
                    checked={used > 0 || shown.includes(key)}
                    disabled={used > 0}
                    onChange={(e) =>
                      useSheet.setState({
                        shown: e.target.checked ? [...shown, key] : shown.filter((k) => k !== key),
                      })
                    }
                  />
                  <span className="min-w-0 flex-1 truncate">{name}</span>
                  <span className="text-[12px] text-faint">{used > 0 ? used : ''}</span>
                </label>
              );
            })}
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
