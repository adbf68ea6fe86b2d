import { useQuery } from '@tanstack/react-query';
import { AudioLines } from 'lucide-react';
import { useMemo, useRef } from 'react';
import { api } from '../api/client';
import { useDrop } from '../app/drop';
import { useRoom } from '../room/room';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { soundOf, usePlayer } from './player';
import { banded } from './bands';
import { BlinkLane } from './BlinkLane';
import { DeliveryLanes } from './DeliveryLanes';
import { GestureLane } from './GestureLane';
import { LEAST_MOUTH, MouthCrowd, MouthRun } from './MouthRuns';
import { SoundLane } from './SoundLane';
import { WordLane } from './WordLane';
import { useSoundDesk } from './soundDesk';
import { spans, wavePath } from './spans';
import { StripHead } from './StripHead';
import { LABELS, StripLabels } from './StripLabels';
import { StripWindow } from './StripWindow';
import { useSilent } from './useSilent';
import { useStripHands } from './useStripHands';
import { useZoom } from './useZoom';

/** Pixels the strip is high, and each lane more that only some lines have. */
const HEIGHT = 218;
const LANE = 18;

/** The line from end to end: wave form, words, sounds, and the mouth of every frame. */
export function LineStrip() {
  const { line } = useStudio();
  const { chooseSound } = useDrop();
  const silent = useSilent();
  if (!line && !silent)
    return (
      <section
        aria-label="Line"
        className="h-full border-t border-line bg-paper"
        style={{ minHeight: HEIGHT }}
      />
    );
  if (!line)
    return (
      <section
        aria-label="Line"
        className="grid h-full place-items-center border-t border-line bg-paper px-4 py-3 text-faint"
      >
        <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
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
  const { line, artwork, view } = useStudio();
  const { scrub } = usePlayer();
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
  const hands = useStripHands(lane, l.frames, scrub);
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const shapes = (id: string) => {
    const d = mouth?.drawings.find((m) => m.id === id);
    return d ? (artwork[d.art] ?? []) : [];
  };
  return (
    <section
      aria-label="Line"
      className="flex h-full min-w-0 flex-col border-t border-line bg-paper px-4 py-2"
      style={{ minHeight: HEIGHT + LANE * more }}
    >
      <StripHead line={l} zoomTo={zoomTo} show={show} />
      <div className="mt-1.5" style={{ paddingLeft: LABELS }}>
        <StripWindow from={shown.from} to={shown.to} show={show} />
      </div>
      <div className="mt-1 flex min-h-0 flex-1">
        <StripLabels heard={heard} mouths={mouths} moods={moods.length > 0} timings={timings.length > 0} />
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
            {...hands}
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
            <Looped frames={l.frames} />
            <PlayHead frames={l.frames} />
          </div>
        </div>
      </div>
    </section>
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

/** What is played over and over. */
function Looped({ frames }: { frames: number }) {
  const loop = useDesk((s) => s.loop);
  if (!loop || (loop[0] === 0 && loop[1] >= frames)) return null;
  return (
    <div
      data-testid="looped"
      className="pointer-events-none absolute inset-y-0 border-x-2 border-chosen bg-chosen/10"
      style={{
        left: `${(loop[0] / frames) * 100}%`,
        width: `${((loop[1] - loop[0]) / frames) * 100}%`,
      }}
    />
  );
}
