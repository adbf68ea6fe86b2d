import { useQuery } from '@tanstack/react-query';
import { ZoomIn, ZoomOut } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api, type Shot, type Track } from '../api/client';
import { MouthPicker } from '../line/MouthPicker';
import { soundOf } from '../line/player';
import { type Span, spans } from '../line/spans';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { DialLane } from './DialLane';
import { LaneHead } from './Heads';
import { MouthLane, SoundLane, WordsLane } from './HeardLanes';
import { ItemLane } from './ItemLane';
import { sameTrack } from './tracks';
import { type Lane, lanesOf, Paper, sizeOf } from './lanes';
import { Ground, Numbers, SheetHead } from './SheetGround';
import { useSheet, zoomBy } from './sheetState';
import {
  thumbsOf,
  useLaneItems,
  useSeen,
  useSeenLanes,
  useSteadied,
  useValues,
  useWheelZoom,
} from './sheetView';
import { Thumbs } from './Thumbs';
import { useSheetHands } from './useSheetHands';
import { RightMenu } from '../ui/RightMenu';
import { cuttingChoices, cuttingFirst } from './cuttingChoices';
import { useCutting } from './sheetKeys';

/** Room for the numbers of the frames, and for the heads of the lanes. */
const NUMBERS_DOWN = 44;
const NUMBERS_ACROSS = 28;
const HEAD_DOWN = 66;
const HEAD_ACROSS = 118;
const NO_KEYS: never[] = [];

/** The exposure sheet: a row a frame and a column a track, or the same running across. */
export function Sheet({ shot }: { shot: Shot }) {
  const { view, artwork, line } = useStudio();
  const { character } = view;
  const open = useActed((s) => s.open);
  const mouths = useActed((s) => s.mouths);
  const across = useSheet((s) => s.across);
  const zoom = useSheet((s) => s.zoom);
  const chosen = useSheet((s) => s.chosen);
  const item = useSheet((s) => s.item);
  const shown = useSheet((s) => s.shown);
  const held = useDesk((s) => Object.keys(s.dials).join(' '));
  const scroller = useRef<HTMLDivElement>(null);
  const [picking, setPicking] = useState<{ run: Span; at: DOMRect } | null>(null);
  const frames = shot.frames;
  const lanes = useSteadied(
    useMemo(
      () => lanesOf(character, shot, shown, held === '' ? [] : held.split(' '), across),
      [character, shot, shown, held, across],
    ),
  );
  const paper = useMemo(() => new Paper(across, zoom), [across, zoom]);
  const wide = sizeOf(lanes);
  const long = frames * zoom;
  const head = across ? HEAD_ACROSS : HEAD_DOWN;
  const beside = across ? NUMBERS_ACROSS : NUMBERS_DOWN;
  const [first, last] = useSeen(scroller, across, zoom, frames, head);
  const [near, far] = useSeenLanes(scroller, across);
  const inSight = (l: Lane) => l.at <= far && l.at + l.size >= near;

  const peaks = useQuery({
    queryKey: ['peaks', line!.id, soundOf(line!), 'sheet'],
    queryFn: () => api.peaks(line!.id, Math.min(4000, line!.frames * 6)),
    enabled: shot.lines.length > 0,
    staleTime: Infinity,
  });
  const runs = useMemo(() => spans(mouths), [mouths]);
  const mouth = character.rig.parts.find((p) => p.id === character.voice.mouths.part);
  const values = useValues(shot, open);
  const items = useLaneItems(shot, character);
  const thumbOf = useMemo(() => thumbsOf(character), [character]);
  const nameOf = useCallback((d: string) => mouth?.drawings.find((x) => x.id === d)?.name ?? d, [mouth]);
  const cards = useMemo(
    () =>
      character.rig.parts
        .filter((p) => p.id === mouth?.id || lanes.some((l) => l.kind === 'DRAWINGS' && l.track!.of === p.id))
        .flatMap((p) => p.drawings),
    [character, mouth, lanes],
  );

  const hands = useSheetHands({ shot, scroller, lanes, items, across, zoom, head, beside, pick: setPicking });
  const { drag } = hands;
  const cutting = useCutting(shot);

  // the frame on the stage stays in sight
  const playing = useDesk((s) => s.playing);
  useEffect(() => {
    const keep = (frame: number) => {
      const e = scroller.current;
      if (!e || drag.current) return;
      const seen = across ? e.clientWidth - head : e.clientHeight - head;
      const at = frame * zoom;
      const scrolled = across ? e.scrollLeft : e.scrollTop;
      const edge = Math.min(seen / 4, 3 * zoom);
      if (at < scrolled + edge || at > scrolled + seen - edge) {
        const to = Math.max(0, at - (useDesk.getState().playing ? edge * 2 : seen / 2));
        if (across) e.scrollLeft = to;
        else e.scrollTop = to;
      }
    };
    keep(useDesk.getState().frame);
    return useDesk.subscribe((now, before) => now.frame !== before.frame && keep(now.frame));
  }, [across, zoom, head, playing, drag]);

  useWheelZoom(scroller, across, head);

  const total = across
    ? { width: head + long, height: beside + wide }
    : { width: beside + wide, height: head + long };
  const svgFrom = Math.max(0, first) * zoom;
  const svgLong = (Math.min(frames, last + 1) - Math.max(0, first)) * zoom;
  const region = chosen && regionOf(chosen.tracks, lanes);
  return (
    <div
      ref={scroller}
      role="application"
      tabIndex={0}
      aria-label="Exposure sheet"
      aria-describedby="sheet-says"
      data-testid="sheet"
      className="relative min-h-0 min-w-0 flex-1 overflow-auto border-y border-line bg-card outline-offset-[-2px] outline-chosen select-none"
      onKeyDown={(e) => e.key === 'Escape' && hands.escape()}
    >
      <Thumbs drawings={cards} artwork={artwork} />
      <div className={across ? 'relative flex' : 'relative'} style={total}>
        <div
          className={`sticky z-30 shrink-0 bg-chart ${across ? 'left-0 border-r' : 'top-0 border-b'} border-line`}
          style={
            across
              ? { width: head, height: beside + wide, paddingTop: beside }
              : { height: head, width: beside + wide }
          }
        >
          <div
            className={`absolute top-0 left-0 z-10 flex items-center justify-center gap-0.5 bg-chart ${across ? '' : 'flex-col'}`}
            style={
              across
                ? { width: head, height: beside }
                : { position: 'sticky', width: beside, height: head, marginBottom: -head }
            }
          >
            <button
              className="grid h-6 w-7 place-items-center rounded hover:bg-tide"
              onClick={() => zoomBy(1.33)}
              aria-label="Zoom the sheet in"
              title="Zoom in (Ctrl+wheel)"
            >
              <ZoomIn size={15} aria-hidden />
            </button>
            <button
              className="grid h-6 w-7 place-items-center rounded hover:bg-tide"
              onClick={() => zoomBy(0.75)}
              aria-label="Zoom the sheet out"
              title="Zoom out (Ctrl+wheel)"
            >
              <ZoomOut size={15} aria-hidden />
            </button>
          </div>
          <div className="relative h-full" style={across ? undefined : { marginLeft: beside }}>
            {lanes.filter(inSight).map((l) => (
              <LaneHead key={l.key} lane={l} across={across} frames={frames} />
            ))}
          </div>
        </div>
        <Numbers
          paper={paper}
          first={first}
          last={Math.min(frames - 1, last)}
          rate={shot.rules.frameRate}
          long={long}
          beside={beside}
        />
        <RightMenu label="Frames" groups={[cuttingFirst(cutting), cuttingChoices(cutting)]} asked={hands.ask}>
          <svg
            className="absolute touch-none"
            style={
              across
                ? { left: head + svgFrom, top: beside, width: svgLong, height: wide }
                : { top: head + svgFrom, left: beside, width: wide, height: svgLong }
            }
            onPointerDown={hands.press}
            onPointerMove={hands.moved}
            onPointerUp={hands.drop}
            onPointerCancel={hands.cancel}
          >
            <g transform={across ? `translate(${-svgFrom} 0)` : `translate(0 ${-svgFrom})`}>
              <Ground
                paper={paper}
                first={first}
                last={Math.min(frames - 1, last)}
                wide={wide}
                lanes={lanes}
                exposure={shot.rules.exposure}
                rate={shot.rules.frameRate}
              />
              {region && chosen && (
                <rect
                  {...paper.rect(chosen.from, chosen.to, region.at, region.size)}
                  className="fill-chosen-soft stroke-chosen"
                  strokeWidth="2"
                  fillOpacity="0.75"
                  data-testid="chosen"
                />
              )}
              {lanes.filter(inSight).map((lane) => {
                const seen = { lane, paper, first, last };
                switch (lane.kind) {
                  case 'sound':
                    return (
                      <SoundLane key={lane.key} {...seen} peaks={peaks.data ?? NO_KEYS} frames={frames} />
                    );
                  case 'words':
                    return <WordsLane key={lane.key} {...seen} shot={shot} />;
                  case 'MOUTHS':
                    return (
                      <MouthLane
                        key={lane.key}
                        {...seen}
                        runs={runs}
                        pins={shot.tracks.pins}
                        chosen={picking ? `mouth ${picking.run.from} ${picking.run.to}` : null}
                        thumb={thumbOf(mouth?.id)}
                        name={nameOf}
                      />
                    );
                  case 'DIAL': {
                    const id = lane.track!.of!;
                    return (
                      <DialLane
                        key={lane.key}
                        {...seen}
                        keys={shot.tracks.dials[id] ?? NO_KEYS}
                        values={values(id)}
                        chosen={chosen}
                      />
                    );
                  }
                  default:
                    return (
                      <ItemLane
                        key={lane.key}
                        {...seen}
                        items={items.on(lane)}
                        chosen={item}
                        thumb={thumbOf(lane.track?.of)}
                      />
                    );
                }
              })}
            </g>
          </svg>
        </RightMenu>
        <SheetHead across={across} zoom={zoom} long={long} wide={wide} head={head} beside={beside} />
      </div>
      <Popover.Root open={picking !== null} onOpenChange={(o) => !o && setPicking(null)}>
        {picking && (
          <>
            <Popover.Anchor virtualRef={{ current: { getBoundingClientRect: () => picking.at } }} />
            <Popover.Portal>
              <Popover.Content
                side="left"
                sideOffset={6}
                collisionPadding={12}
                aria-label="Another mouth"
                className="z-40 max-h-(--radix-popover-content-available-height) w-[332px] overflow-y-auto rounded-xl border border-line bg-paper p-3 shadow-xl"
              >
                <MouthPicker run={picking.run} done={() => setPicking(null)} />
              </Popover.Content>
            </Popover.Portal>
          </>
        )}
      </Popover.Root>
    </div>
  );
}

/** Where chosen tracks lie; what lies between them is inside too. */
function regionOf(tracks: Track[], lanes: Lane[]): { at: number; size: number } | null {
  const of = lanes.filter((l) => l.track && tracks.some((t) => sameTrack(t, l.track!)));
  if (of.length === 0) return null;
  const at = of[0]!.at;
  const end = of.at(-1)!;
  return { at: at + 1, size: end.at + end.size - at - 2 };
}
