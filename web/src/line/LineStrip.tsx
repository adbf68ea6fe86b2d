import { useQuery } from '@tanstack/react-query';
import { AudioLines, Pause, Play, SkipBack, ZoomIn, ZoomOut } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import { api, type Shape } from '../api/client';
import { useDrop } from '../app/drop';
import { useRoom } from '../room/room';
import { isTall, useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { DrawingThumb } from '../ui/DrawingThumb';
import { soundOf, usePlayer } from './player';
import { type Band, banded } from './bands';
import { BlinkLane, Blinks } from './BlinkLane';
import { DeliveryLanes } from './DeliveryLanes';
import { GestureLane, Gestures } from './GestureLane';
import { MouthPicker } from './MouthPicker';
import { SoundLane, WordLane } from './SoundLanes';
import { MOST_ZOOM, useSoundDesk } from './soundDesk';
import { type Span, spans, wavePath } from './spans';
import { StripWindow } from './StripWindow';
import { useZoom } from './useZoom';

const LABELS = 84;
/** Narrowest mouth that is drawn, pixels; narrower neighbours are one band. */
const LEAST_MOUTH = 18;
/** Pixels a strip is wide at the least, for how near a click on a band goes. */
const CLOSE = 420;
/** Pixels the strip is high, and each lane more that only some lines have. */
const HEIGHT = 218;
const LANE = 18;

/** The line from end to end: wave form, words, sounds, and the mouth of every frame. */
export function LineStrip() {
  const { line } = useStudio();
  const { chooseSound } = useDrop();
  if (!line)
    return (
      <section
        aria-label="Line"
        className="grid h-full place-items-center border-t border-line bg-paper text-faint"
        style={{ minHeight: HEIGHT }}
      >
        <p className="flex items-center gap-3">
          <AudioLines aria-hidden /> Drop a recording of a spoken line here, or
          <button className="btn" onClick={chooseSound}>
            choose a recording …
          </button>
        </p>
      </section>
    );
  return <Strip key={line.id} />;
}

function Strip() {
  const { line, editLine, artwork, view } = useStudio();
  const { toggle, stepTo } = usePlayer();
  const playing = useDesk((s) => s.playing);
  const lane = useRef<HTMLDivElement>(null);
  const zoom = useSoundDesk((s) => s.zoom);
  const detail = Math.min(4000, 700 * 2 ** Math.ceil(Math.log2(Math.max(1, zoom))));
  const peaks = useQuery({
    queryKey: ['peaks', line!.id, soundOf(line!), detail],
    queryFn: () => api.peaks(line!.id, detail),
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const l = line!;
  const { rules } = l.shot;
  const seconds = l.frames / rules.frameRate;
  const { moods, timings } = l.shot.tracks;
  const more = Math.min(1, moods.length) + Math.min(1, timings.length);
  // a strip that was dragged higher has larger mouths to read
  const spare = Math.max(0, (useRoom((s) => s.size.strip) ?? 0) - HEIGHT - LANE * more);
  const heard = 38 + Math.round(spare * 0.3);
  const mouths = 46 + Math.round(spare * 0.7);
  const runs = useMemo(() => spans(l.drawings), [l.drawings]);
  const wave = useMemo(() => wavePath(peaks.data ?? []), [peaks.data]);
  const { scroller, sight, pixels, shown, show, zoomTo } = useZoom(lane, seconds);
  // all of one zoom: which mouths can be seen, and which are too narrow
  const perFrame = pixels / l.frames;
  const pins = useMemo(() => Object.keys(l.shot.tracks.pins).map(Number), [l.shot.tracks.pins]);
  const bands = useMemo(
    () =>
      banded(
        runs.map((r) => ({
          run: r,
          from: r.from * perFrame,
          to: (r.to + 1) * perFrame,
          alone: pins.some((f) => f >= r.from && f <= r.to),
        })),
        LEAST_MOUTH,
      ),
    [runs, perFrame, pins],
  );
  // beside a tall bench there is no room for words
  const roomy = useDesk((s) => !isTall(s.bench));
  const scrub = (e: React.PointerEvent) => {
    const r = lane.current!.getBoundingClientRect();
    stepTo(Math.floor(((e.clientX - r.left) / r.width) * l.frames));
  };
  const [scrubbing, setScrubbing] = useState(false);
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const shapes = (id: string) => {
    const d = mouth?.drawings.find((m) => m.id === id);
    return d ? (artwork[d.art as unknown as string] ?? []) : [];
  };
  return (
    <section
      aria-label="Line"
      className="flex h-full min-w-0 flex-col border-t border-line bg-paper px-4 py-2"
      style={{ minHeight: HEIGHT + LANE * more }}
    >
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <button
          className="btn-do px-3"
          onClick={toggle}
          aria-label={playing ? 'Stop' : 'Play'}
          title={playing ? 'Stop (Space)' : 'Play (Space)'}
        >
          {playing ? <Pause size={15} aria-hidden /> : <Play size={15} aria-hidden />}
        </button>
        <button className="btn px-1.5" onClick={() => stepTo(0)} aria-label="To the first frame" title="Home">
          <SkipBack size={14} aria-hidden />
        </button>
        <Clock rate={rules.frameRate} frames={l.frames} />
        <h2 className="ml-2 min-w-12 flex-[1_1_3rem] truncate text-[15px] font-semibold">{l.shot.name}</h2>
        <div className="ml-auto flex items-center gap-1" role="group" aria-label="Zoom">
          <button
            className="btn px-1.5"
            aria-label="Show more of it"
            title="Show more of the line (Ctrl and the wheel)"
            disabled={zoom <= 1}
            onClick={() => zoomTo(zoom / 2)}
          >
            <ZoomOut size={14} aria-hidden />
          </button>
          {roomy && (
            <button
              className="btn px-2 text-[12.5px] whitespace-nowrap"
              aria-pressed={zoom === 1}
              onClick={() => zoomTo(1)}
            >
              whole line
            </button>
          )}
          <button
            className="btn px-1.5"
            aria-label="Show it closer"
            title="Show it closer (Ctrl and the wheel)"
            disabled={zoom >= MOST_ZOOM}
            onClick={() => zoomTo(zoom * 2)}
          >
            <ZoomIn size={14} aria-hidden />
          </button>
        </div>
        <div className="ml-2 flex gap-1" role="group" aria-label="Exposure">
          {[1, 2].map((n) => (
            <button
              key={n}
              className="btn whitespace-nowrap"
              aria-pressed={rules.exposure === n}
              onClick={() =>
                rules.exposure !== n &&
                void editLine({
                  kind: 'expose',
                  exposure: n,
                  lead: rules.lead,
                  minimumHold: rules.minimumHold,
                })
              }
            >
              on {n === 1 ? 'ones' : 'twos'}
            </button>
          ))}
        </div>
      </div>
      <div className="mt-1.5" style={{ paddingLeft: LABELS }}>
        <StripWindow from={shown.from} to={shown.to} show={show} />
      </div>
      <div className="mt-1 flex min-h-0 flex-1">
        <div className="shrink-0 text-[11.5px] leading-none text-faint" style={{ width: LABELS }}>
          <div className="flex items-center" style={{ height: heard }} aria-hidden>
            sound
          </div>
          <div className="flex h-[20px] items-center" aria-hidden>
            words
          </div>
          <div className="flex h-[20px] items-center" aria-hidden>
            sounds
          </div>
          <div className="flex items-center" style={{ height: mouths }} aria-hidden>
            mouths
          </div>
          {moods.length > 0 && (
            <div className="flex h-[18px] items-center" aria-hidden>
              mood
            </div>
          )}
          {timings.length > 0 && (
            <div className="flex h-[18px] items-center" aria-hidden>
              timing
            </div>
          )}
          <div className="flex h-[18px] items-center">
            <Blinks />
          </div>
          <div className="flex h-[18px] items-center">
            <Gestures />
          </div>
        </div>
        <div
          ref={scroller}
          className="min-w-0 flex-1 overflow-x-auto overflow-y-hidden [scrollbar-width:none]"
          data-testid="strip"
          data-frames={l.frames}
        >
          <div
            ref={lane}
            data-testid="lane"
            className="relative cursor-text touch-none overflow-x-clip select-none"
            style={{ width: `${zoom * 100}%` }}
            onPointerDown={(e) => {
              if ((e.target as Element).closest('button, input')) return;
              e.currentTarget.setPointerCapture(e.pointerId);
              setScrubbing(true);
              useDesk.getState().play(false);
              scrub(e);
            }}
            onPointerMove={(e) => scrubbing && scrub(e)}
            onPointerUp={() => setScrubbing(false)}
            onPointerCancel={() => setScrubbing(false)}
          >
            <svg
              className="block w-full"
              style={{ height: heard }}
              viewBox={`0 -1.05 ${Math.max(1, (peaks.data?.length ?? 1) - 1)} 2.1`}
              preserveAspectRatio="none"
              aria-hidden
            >
              <path d={wave} fill="var(--faint)" />
            </svg>
            <WordLane line={l} seconds={seconds} sight={sight} pixels={pixels} />
            <SoundLane line={l} seconds={seconds} sight={sight} pixels={pixels} />
            <div className="relative" style={{ height: mouths }}>
              {bands
                .filter(
                  (b) => b.to >= (sight.from / seconds) * pixels && b.from <= (sight.to / seconds) * pixels,
                )
                .map((b) =>
                  b.items.length === 1 ? (
                    <MouthRun
                      key={b.items[0]!.run.from}
                      run={b.items[0]!.run}
                      frames={l.frames}
                      shapes={shapes}
                      lane={lane}
                    />
                  ) : (
                    <MouthCrowd
                      key={b.items[0]!.run.from}
                      band={b}
                      pixels={pixels}
                      frames={l.frames}
                      show={show}
                    />
                  ),
                )}
            </div>
            <DeliveryLanes frames={l.frames} />
            <BlinkLane frames={l.frames} />
            <GestureLane frames={l.frames} />
            <PlayHead frames={l.frames} />
          </div>
        </div>
      </div>
    </section>
  );
}

function Clock({ rate, frames }: { rate: number; frames: number }) {
  const frame = useDesk((s) => s.frame);
  return (
    <output
      className="w-44 text-[13px] whitespace-nowrap text-faint will-change-transform"
      aria-label="Frame"
      data-testid="clock"
    >
      frame <b className="text-ink">{frame + 1}</b> of {frames} · {(frame / rate).toFixed(2)} s
    </output>
  );
}

function PlayHead({ frames }: { frames: number }) {
  const frame = useDesk((s) => s.frame);
  return (
    // moved by a transform on a layer of its own: the mouths it passes over are not painted anew
    <div
      className="pointer-events-none absolute inset-0 will-change-transform"
      style={{ transform: `translateX(${((frame + 0.5) / frames) * 100}%)` }}
    >
      <div className="absolute inset-y-0 left-0 w-px bg-doing">
        <div className="absolute -top-0.5 -left-[4px] h-2 w-[9px] rounded-sm bg-doing" />
      </div>
    </div>
  );
}

/** Several mouths that are too narrow to be seen, as one with their number: a click goes near enough to see them. */
function MouthCrowd({
  band,
  pixels,
  frames,
  show,
}: {
  band: Band<{ run: Span; from: number; to: number }>;
  pixels: number;
  frames: number;
  show: (from: number, to: number) => void;
}) {
  const { stepTo } = usePlayer();
  const first = band.items[0]!.run.from;
  const last = band.items.at(-1)!.run.to;
  const wide = band.to - band.from;
  return (
    <button
      className="absolute top-0.5 bottom-0.5 overflow-hidden rounded-[5px] bg-tide/70 text-[11.5px] hover:bg-tide"
      style={{
        left: `calc(${(band.from / pixels) * 100}% + 0.5px)`,
        width: `calc(${(wide / pixels) * 100}% - 1px)`,
      }}
      aria-label={`${band.items.length} mouths, frames ${first + 1} to ${last + 1}: closer`}
      title={`${band.items.length} mouths – click to see them closer`}
      onClick={(e) => {
        // the frame under the pointer stays the one that is meant
        const r = e.currentTarget.getBoundingClientRect();
        const share = e.clientX === 0 ? 0 : (e.clientX - r.left) / r.width;
        const frame = first + Math.min(last - first, Math.floor(share * (last - first + 1)));
        stepTo(frame);
        const shown = Math.max(6, CLOSE / LEAST_MOUTH);
        const from = Math.max(0, Math.min(frames - shown, frame - shown / 2));
        show(from / frames, (from + shown) / frames);
      }}
    >
      {wide > 15 ? band.items.length : ''}
    </button>
  );
}

/** A run of one mouth: click for another mouth, mood or timing on these frames, or to release what was set. */
function MouthRun({
  run,
  frames,
  shapes,
  lane,
}: {
  run: Span;
  frames: number;
  shapes: (id: string) => Shape[];
  lane: React.RefObject<HTMLDivElement | null>;
}) {
  const { line, view } = useStudio();
  const { stepTo } = usePlayer();
  const [open, setOpen] = useState(false);
  const [wide, setWide] = useState(true);
  const box = useRef<HTMLButtonElement>(null);
  const length = run.to - run.from + 1;
  useEffect(() => {
    const measure = () => setWide((box.current?.getBoundingClientRect().width ?? 0) > 15);
    measure();
    const seen = new ResizeObserver(measure);
    if (lane.current) seen.observe(lane.current);
    return () => seen.disconnect();
  }, [lane, length, frames]);
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const pinned = Object.keys(line!.shot.tracks.pins).some(
    (f) => Number(f) >= run.from && Number(f) <= run.to,
  );
  const name =
    run.what === 'nothing' ? 'none' : (mouth?.drawings.find((d) => d.id === run.what)?.name ?? run.what);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <button
          ref={box}
          className={`absolute top-0.5 bottom-0.5 overflow-hidden rounded-[5px] border bg-stage ${
            pinned ? 'border-2 border-doing' : 'border-line hover:border-faint'
          }`}
          style={{
            left: `calc(${(run.from / frames) * 100}% + 0.5px)`,
            width: `calc(${(length / frames) * 100}% - 1px)`,
          }}
          aria-label={`Mouth ${name}, frames ${run.from + 1} to ${run.to + 1}${pinned ? ', pinned' : ''}`}
          title={`${name}${pinned ? ' (pinned)' : ''}`}
          onClick={() => stepTo(run.from)}
        >
          {wide && <DrawingThumb shapes={shapes(run.what)} label={name} className="h-full w-full px-px" />}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={6}
          collisionPadding={12}
          className="z-40 w-[332px] rounded-xl border border-line bg-paper p-3 shadow-xl"
        >
          <MouthPicker run={run} done={() => setOpen(false)} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
