import { useQuery } from '@tanstack/react-query';
import { ZoomIn, ZoomOut } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api, type Shot, type ShotEdit, type Track } from '../api/client';
import { MouthPicker } from '../line/MouthPicker';
import { soundOf, usePlayer } from '../line/player';
import { type Span, spans } from '../line/spans';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { DialLane } from './DialLane';
import { LaneHead } from './Heads';
import { MouthLane, SoundLane, WordsLane } from './HeardLanes';
import { ItemLane } from './ItemLane';
import { type Item } from './item';
import { sameTrack } from './tracks';
import { type Bend, bendAt, bent, type Handle } from './curves';
import { type Lane, lanesOf, Paper, sizeOf, valueAt } from './lanes';
import { Ground, Numbers, SheetHead } from './SheetGround';
import { choose, useSheet, zoomBy } from './sheetState';
import { LaneItems, useSeen, useSeenLanes, useValues, useWheelZoom } from './sheetView';
import { symbolOf, Thumbs } from './Thumbs';

/** Room for the numbers of the frames, and for the heads of the lanes. */
const NUMBERS_DOWN = 44;
const NUMBERS_ACROSS = 28;
const HEAD_DOWN = 66;
const HEAD_ACROSS = 118;
/** Pixels before a press becomes a drag. */
const SLIP = 4;

const NO_KEYS: never[] = [];

/** What a pointer is in the middle of. */
interface Drag {
  x: number;
  y: number;
  what: 'choose' | 'item' | 'end' | 'handle';
  item: Item | null;
  lane: number;
  frame: number;
  /** Which way a key is dragged; not known before it has moved. */
  way: 'time' | 'value' | null;
  edit: ShotEdit | null;
  /** Which handle of which curve is dragged. */
  bend: { of: Bend; handle: Handle } | null;
}

/** The exposure sheet: a row a frame and a column a track, or the same running across. */
export function Sheet({ shot }: { shot: Shot }) {
  const { view, artwork, line, editLine, draftLine } = useStudio();
  const { stepTo } = usePlayer();
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
  const drag = useRef<Drag | null>(null);
  const [picking, setPicking] = useState<{ run: Span; at: DOMRect } | null>(null);
  const frames = shot.frames;
  const lanes = useMemo(
    () => lanesOf(character, shot, shown, held === '' ? [] : held.split(' '), across),
    [character, shot, shown, held, across],
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
  const items = useMemo(() => new LaneItems(shot, character), [shot, character]);
  const thumbOf = useCallback(
    (part: string | undefined) => (drawing: string) => {
      const art = character.rig.parts.find((p) => p.id === part)?.drawings.find((d) => d.id === drawing)?.art;
      return art ? `#${symbolOf(art as unknown as string)}` : '';
    },
    [character],
  );
  const cards = useMemo(
    () =>
      character.rig.parts
        .filter((p) => p.id === mouth?.id || lanes.some((l) => l.kind === 'DRAWINGS' && l.track!.of === p.id))
        .flatMap((p) => p.drawings),
    [character, mouth, lanes],
  );

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
  }, [across, zoom, head, playing]);

  useWheelZoom(scroller, across, head);

  /** Which frame and lane a pointer is over, and how far into the lanes. */
  const place = (e: { clientX: number; clientY: number }) => {
    const r = scroller.current!.getBoundingClientRect();
    const s = scroller.current!;
    const x = e.clientX - r.left + s.scrollLeft - (across ? head : beside);
    const y = e.clientY - r.top + s.scrollTop - (across ? beside : head);
    const [along, into] = across ? [x, y] : [y, x];
    const index = lanes.findIndex((l) => into >= l.at && into < l.at + l.size);
    return {
      frame: Math.max(0, Math.min(frames - 1, Math.floor(along / zoom))),
      /** The same in frames and parts of one, from the middle of the first. */
      moment: along / zoom - 0.5,
      lane: index < 0 ? (into < 0 ? 0 : lanes.length - 1) : index,
      into,
    };
  };

  const tracksBetween = (a: number, b: number): Track[] =>
    lanes.slice(Math.min(a, b), Math.max(a, b) + 1).flatMap((l) => (l.track ? [l.track] : []));

  const press = (e: React.PointerEvent) => {
    if (e.button !== 0) return;
    const at = place(e);
    const handle = (e.target as Element).closest('[data-handle]')?.getAttribute('data-handle');
    const end = (e.target as Element).closest('[data-end]')?.getAttribute('data-end');
    const hit = end ?? (e.target as Element).closest('[data-item]')?.getAttribute('data-item');
    const found = hit ? items.on(lanes[at.lane]!).find((i) => i.id === hit) : undefined;
    e.currentTarget.setPointerCapture(e.pointerId);
    scroller.current!.focus({ preventScroll: true });
    useDesk.getState().play(false);
    const bend =
      handle && chosen ? bendAt(shot.tracks.dials[chosen.tracks[0]!.of!] ?? NO_KEYS, chosen.from) : null;
    if (bend) {
      drag.current = {
        x: e.clientX,
        y: e.clientY,
        what: 'handle',
        item: null,
        lane: lanes.findIndex((l) => l.track && sameTrack(l.track, chosen!.tracks[0]!)),
        frame: at.frame,
        way: null,
        edit: null,
        bend: { of: bend, handle: handle === '1' ? 1 : 2 },
      };
      return;
    }
    drag.current = {
      x: e.clientX,
      y: e.clientY,
      what: found ? (end ? 'end' : 'item') : 'choose',
      item: found ?? null,
      lane: at.lane,
      frame: at.frame,
      way: null,
      edit: null,
      bend: null,
    };
    if (e.shiftKey && chosen) {
      const from = Math.min(chosen.from, at.frame);
      choose({
        tracks: merged(chosen.tracks, tracksBetween(at.lane, at.lane)),
        from,
        to: Math.max(chosen.to, at.frame + 1),
      });
      drag.current = null;
    } else if (found) {
      const inside =
        chosen &&
        found.from >= chosen.from &&
        found.to <= chosen.to &&
        chosen.tracks.some((t) => sameTrack(t, found.track));
      if (!inside || chosen.to - chosen.from === found.to - found.from)
        choose({ tracks: [found.track], from: found.from, to: found.to }, found.id);
    }
  };

  const moved = (e: React.PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    const at = place(e);
    if (Math.hypot(e.clientX - d.x, e.clientY - d.y) < SLIP && !d.edit && d.what !== 'choose') return;
    if (d.what === 'choose') {
      if (Math.hypot(e.clientX - d.x, e.clientY - d.y) < SLIP) return;
      choose({
        tracks: tracksBetween(d.lane, at.lane),
        from: Math.min(d.frame, at.frame),
        to: Math.max(d.frame, at.frame) + 1,
      });
      return;
    }
    if (d.bend) {
      const lane = lanes[d.lane]!;
      const { of, handle } = d.bend;
      const way = bent(of, handle, at.moment, at.into, lane, across, e.shiftKey);
      d.edit = { kind: 'set-keys', keys: { [lane.track!.of!]: [{ ...of.key, laid: undefined, way }] } };
      draftLine(d.edit);
      return;
    }
    const found = d.item!;
    const by = at.frame - d.frame;
    if (found.of.kind === 'key' && d.way === null) {
      const along = across ? Math.abs(e.clientX - d.x) : Math.abs(e.clientY - d.y);
      const beside = across ? Math.abs(e.clientY - d.y) : Math.abs(e.clientX - d.x);
      d.way = along > beside ? 'time' : 'value';
    }
    d.edit = dragged(d, found, by, at.into);
    draftLine(d.edit);
  };

  /** The edit a drag has come to; null where it changes nothing. */
  const dragged = (d: Drag, found: Item, by: number, into: number): ShotEdit | null => {
    if (found.of.kind === 'key' && d.way === 'value') {
      const lane = lanes.find((l) => l.track && sameTrack(l.track, found.track));
      if (!lane?.dial) return null;
      const fine = (lane.dial.to - lane.dial.from) / 1000;
      const value = Math.round(valueAt(lane, into, across) / fine) * fine;
      const key = { ...found.of.key, laid: undefined, value: Math.round(value * 1e4) / 1e4 };
      return { kind: 'set-keys', keys: { [found.track.of!]: [key] } };
    }
    const many =
      chosen && useSheet.getState().item === null && chosen.tracks.some((t) => sameTrack(t, found.track));
    if (d.what === 'item' && many) {
      const held = Math.max(-chosen.from, Math.min(frames - 1 - chosen.from, by));
      return held === 0
        ? null
        : { kind: 'move-frames', tracks: chosen.tracks, from: chosen.from, to: chosen.to, by: held };
    }
    if (d.what === 'end')
      return by === 0 ? null : found.over(found.from, Math.max(found.from + 1, found.to + by));
    const held = Math.max(-found.from, Math.min(frames - 1 - found.from, by));
    return held === 0 ? null : found.over(found.from + held, found.to + held);
  };

  const drop = (e: React.PointerEvent) => {
    const d = drag.current;
    drag.current = null;
    if (!d) return;
    if (d.edit) {
      const edit = d.edit;
      const by = edit.kind === 'move-frames' ? edit.by : place(e).frame - d.frame;
      if (d.item && d.way !== 'value' && d.what === 'item' && chosen)
        choose({ ...chosen, from: chosen.from + by, to: chosen.to + by });
      void editLine(edit);
      return;
    }
    draftLine(null);
    if (d.bend) return;
    const slipped = Math.hypot(e.clientX - d.x, e.clientY - d.y) >= SLIP;
    if (slipped && d.what === 'choose') return;
    stepTo(d.item && d.item.of.kind === 'key' ? d.item.from : d.frame);
    const target = document.elementFromPoint(e.clientX, e.clientY)?.closest('[data-mouth]');
    if (!d.item) {
      const lane = lanes[d.lane]!;
      choose(lane.track ? { tracks: [lane.track], from: d.frame, to: d.frame + 1 } : null);
    }
    if (target) {
      const [from, to, ...what] = target.getAttribute('data-mouth')!.split(' ');
      setPicking({
        run: { from: Number(from), to: Number(to), what: what.join(' ') },
        at: target.getBoundingClientRect(),
      });
    }
  };

  const escape = useCallback(() => {
    if (drag.current?.edit) {
      drag.current = null;
      draftLine(null);
    } else choose(null);
  }, [draftLine]);

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
      onKeyDown={(e) => e.key === 'Escape' && escape()}
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
              aria-label="Zoom in"
              title="Zoom in (Ctrl+wheel)"
            >
              <ZoomIn size={15} aria-hidden />
            </button>
            <button
              className="grid h-6 w-7 place-items-center rounded hover:bg-tide"
              onClick={() => zoomBy(0.75)}
              aria-label="Zoom out"
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
        <svg
          className="absolute touch-none"
          style={
            across
              ? { left: head + svgFrom, top: beside, width: svgLong, height: wide }
              : { top: head + svgFrom, left: beside, width: wide, height: svgLong }
          }
          onPointerDown={press}
          onPointerMove={moved}
          onPointerUp={drop}
          onPointerCancel={() => {
            drag.current = null;
            draftLine(null);
          }}
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
                  return <SoundLane key={lane.key} {...seen} peaks={peaks.data ?? NO_KEYS} frames={frames} />;
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
                      name={(d) => mouth?.drawings.find((x) => x.id === d)?.name ?? d}
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
                className="z-40 w-[332px] rounded-xl border border-line bg-paper p-3 shadow-xl"
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

const merged = (a: Track[], b: Track[]) => [...a, ...b.filter((t) => !a.some((x) => sameTrack(x, t)))];

/** Where chosen tracks lie; what lies between them is inside too. */
function regionOf(tracks: Track[], lanes: Lane[]): { at: number; size: number } | null {
  const of = lanes.filter((l) => l.track && tracks.some((t) => sameTrack(t, l.track!)));
  if (of.length === 0) return null;
  const at = of[0]!.at;
  const end = of.at(-1)!;
  return { at: at + 1, size: end.at + end.size - at - 2 };
}
