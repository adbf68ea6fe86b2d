import { useSyncExternalStore } from 'react';
import { Bench } from '../benches/Bench';
import { LineStrip } from '../line/LineStrip';
import { useSilent } from '../line/useSilent';
import { useLive } from '../live/liveState';
import { Shelf } from '../shelf/Shelf';
import { ShotTransport } from '../shot/ShotTransport';
import { Stage } from '../stage/Stage';
import { useDesk } from '../state/desk';
import { isTall } from '../state/benches';
import { Rail } from '../app/Rail';
import { Divider } from './Divider';
import { Guarded } from './Guarded';
import { type Panel, type Room, useRoom } from './room';

/** Pixels that are left of a panel that is folded away: its edge. */
const EDGE = 6;

/**
 * The tracks of the grid, across and down.
 *
 * @param spoken whether there is a line; the face has the room of one that is not there
 */
export function tracks(
  { size, folded, alone }: Room,
  bench: string,
  played: boolean,
  spoken = true,
  performed = false,
): { columns: string; rows: string } {
  if (alone) return { columns: '0 minmax(0,1fr) 0', rows: 'minmax(0,1fr) 0 0' };
  const wide: Panel = bench === 'shot' ? 'sheet' : 'bench';
  const shares = bench !== 'shot' ? ['1fr', '0.86fr'] : played ? ['1fr', '1.06fr'] : ['0.58fr', '1fr'];
  const rail = folded.includes('rail') ? `${EDGE}px` : size.rail ? `${size.rail}px` : 'var(--rail)';
  const side = folded.includes(wide)
    ? `${EDGE}px`
    : size[wide]
      ? // whatever was dragged on a wider window, some of the face stays in sight
        `min(${size[wide]}px, calc(100% - ${rail} - 180px))`
      : // a bench narrower than this has rows that are cut
        `minmax(min(390px,62vw),${shares[1]})`;
  const row = (panel: Panel, there = true) =>
    folded.includes(panel)
      ? `${EDGE}px`
      : size[panel] && there
        ? `minmax(0,${size[panel]}px)`
        : `minmax(0,auto)`;
  // whoever acts watches the face: many tracks below it scroll, unless somebody dragged them taller
  const face = !played || bench !== 'shot' || size.strip ? 'min(150px,30vh)' : performed ? '52vh' : '36vh';
  return {
    columns: `${rail} minmax(0,${shares[0]}) ${side}`,
    rows: `minmax(${face},1fr) ${row('shelf')} ${row('strip', spoken)}`,
  };
}

const NARROW = '(max-width: 819px)';

/** Whether the window is as narrow as half a screen, or as a whole one at twice its size. */
function useNarrow(): boolean {
  return useSyncExternalStore(
    (tell) => {
      const media = window.matchMedia(NARROW);
      media.addEventListener('change', tell);
      return () => media.removeEventListener('change', tell);
    },
    () => window.matchMedia(NARROW).matches,
  );
}

/** The stage with the panels round it: each can be dragged larger, folded away and brought back. */
export function Workspace() {
  const bench = useDesk((s) => s.bench);
  const live = useLive((s) => s.panel);
  // whoever performs needs no rulers, and a larger face
  const performed = useLive((s) => s.panel && s.source !== 'hands');
  const room = useRoom();
  const gone = (p: Panel) => room.alone || room.folded.includes(p);
  const staged = bench !== 'hand-over';
  const shelved = staged && !(performed && bench === 'shot');
  const side: Panel = bench === 'shot' ? 'sheet' : 'bench';
  const { columns, rows } = tracks(room, bench, live, !useSilent(), performed);
  const narrow = useNarrow();
  // beside a tall bench on a small window there would be no room for a line at all
  const beside = isTall(bench) && !narrow;
  const strip = beside ? 'col-start-2' : 'col-start-2 col-span-2';
  return (
    <div
      className="workspace grid h-full"
      style={{ gridTemplateColumns: columns, gridTemplateRows: rows }}
      data-testid="workspace"
    >
      <div
        data-panel="rail"
        className="@container/rail col-start-1 row-span-3 row-start-1 min-w-0 overflow-hidden border-r border-line bg-paper"
      >
        {!gone('rail') && <Rail />}
      </div>
      {staged && (
        <>
          <Guarded what="The stage">
            <Stage />
          </Guarded>
          {shelved && (
            <div
              data-panel="shelf"
              id="dials"
              tabIndex={-1}
              className="@container/shelf col-start-2 row-start-2 min-h-0 min-w-0 overflow-hidden border-r border-line bg-paper"
            >
              {!gone('shelf') && (
                <Guarded what="The dials">
                  <Shelf />
                </Guarded>
              )}
            </div>
          )}
          <div
            data-panel="strip"
            id="line"
            tabIndex={-1}
            className={`${strip} row-start-3 min-h-0 min-w-0 overflow-x-hidden overflow-y-auto border-r border-line bg-paper`}
          >
            {!gone('strip') && (
              <Guarded what="The line">{bench === 'shot' ? <ShotTransport /> : <LineStrip />}</Guarded>
            )}
          </div>
        </>
      )}
      <div
        data-panel={side}
        className={`row-start-1 grid min-h-0 min-w-0 overflow-hidden ${staged ? 'col-start-3' : 'col-start-2 col-span-2'} ${
          beside || !staged ? 'row-span-3' : 'row-span-2'
        }`}
      >
        {!(staged && gone(side)) && <Bench />}
      </div>
      <section id="menus" aria-label="Menus" className="contents" />
      {!room.alone && (
        <section aria-label="Edges of the panels" className="contents">
          <Divider
            panel="rail"
            label="Width of the list of benches"
            grows="right"
            className="col-start-2 row-span-3 row-start-1 -ml-2 self-stretch justify-self-start"
          />
          {staged && (
            <Divider
              panel={side}
              label="Width of the bench"
              grows="left"
              className={`col-start-3 row-start-1 -ml-1.5 self-stretch justify-self-start ${beside ? 'row-span-3' : 'row-span-2'}`}
            />
          )}
          {shelved && (
            <Divider
              panel="shelf"
              label="Height of the dials"
              grows="up"
              className="col-start-2 row-start-2 -mt-1.5 self-start justify-self-stretch"
            />
          )}
          {staged && (
            <Divider
              panel="strip"
              label="Height of the line"
              grows="up"
              className={`${strip} row-start-3 -mt-1.5 self-start justify-self-stretch`}
            />
          )}
        </section>
      )}
    </div>
  );
}
