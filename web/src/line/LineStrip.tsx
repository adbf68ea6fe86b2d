import { useQuery } from '@tanstack/react-query';
import { AudioLines, Pause, Play, SkipBack } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import { api, type Shape } from '../api/client';
import { useDrop } from '../app/drop';
import { isTall, useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { DrawingThumb } from '../ui/DrawingThumb';
import { soundOf, usePlayer } from './player';
import { BlinkLane, Blinks } from './BlinkLane';
import { GestureLane, Gestures } from './GestureLane';
import { MouthPicker } from './MouthPicker';
import { type Span, spans, wavePath } from './spans';

const LABELS = 84;

/** Benches with much to show reach down beside the strip. */
const useSpan = () => useDesk((s) => (isTall(s.bench) ? '' : 'col-span-2'));

/** The line from end to end: wave form, words, sounds, and the mouth of every frame. */
export function LineStrip() {
  const { line } = useStudio();
  const { chooseSound } = useDrop();
  const span = useSpan();
  if (!line)
    return (
      <section
        aria-label="Line"
        className={`${span} col-start-2 grid place-items-center border-t border-r border-line bg-paper text-faint`}
      >
        <p className="flex items-center gap-3">
          <AudioLines aria-hidden /> Drop a WAV of a spoken line here, or
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
  const peaks = useQuery({
    queryKey: ['peaks', line!.id, soundOf(line!)],
    queryFn: () => api.peaks(line!.id, 700),
    staleTime: Infinity,
  });
  const l = line!;
  const { rules } = l.shot;
  const seconds = l.frames / rules.frameRate;
  const runs = useMemo(() => spans(l.drawings), [l.drawings]);
  const wave = useMemo(() => wavePath(peaks.data ?? []), [peaks.data]);
  const x = (t: number) => `${(t / seconds) * 100}%`;
  const scrub = (e: React.PointerEvent) => {
    const r = lane.current!.getBoundingClientRect();
    stepTo(Math.floor(((e.clientX - r.left) / r.width) * l.frames));
  };
  const placed = l.shot.lines.map((p, n) => ({ ...p, by: p.at / rules.frameRate, first: n === 0 }));
  const words = placed.flatMap((p) => p.line.words.map((w, i) => ({ w, i, by: p.by, first: p.first })));
  const phones = placed.flatMap((q) => q.line.phones.map((p, i) => ({ p, i, by: q.by })));
  const [scrubbing, setScrubbing] = useState(false);
  const span = useSpan();
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const shapes = (id: string) => {
    const d = mouth?.drawings.find((m) => m.id === id);
    return d ? (artwork[d.art as unknown as string] ?? []) : [];
  };
  return (
    <section
      aria-label="Line"
      className={`${span} col-start-2 flex min-w-0 flex-col border-t border-r border-line bg-paper px-4 py-2`}
    >
      <div className="flex items-center gap-2">
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
        <h2 className="ml-2 truncate text-[15px] font-semibold">{l.shot.name}</h2>
        <div className="ml-auto flex gap-1" role="group" aria-label="Exposure">
          {[1, 2].map((n) => (
            <button
              key={n}
              className="btn"
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
      <div className="mt-1.5 flex min-h-0 flex-1">
        <div className="shrink-0 text-[11.5px] leading-none text-faint" style={{ width: LABELS }}>
          <div className="flex h-[38px] items-center" aria-hidden>
            sound
          </div>
          <div className="flex h-[19px] items-center" aria-hidden>
            words
          </div>
          <div className="flex h-[18px] items-center" aria-hidden>
            sounds
          </div>
          <div className="flex h-[46px] items-center" aria-hidden>
            mouths
          </div>
          <div className="flex h-[18px] items-center">
            <Blinks />
          </div>
          <div className="flex h-[18px] items-center">
            <Gestures />
          </div>
        </div>
        <div
          ref={lane}
          data-testid="lane"
          className="relative min-w-0 flex-1 cursor-text touch-none select-none"
          onPointerDown={(e) => {
            if ((e.target as Element).closest('button')) return;
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
            className="block h-[38px] w-full"
            viewBox={`0 -1.05 ${Math.max(1, (peaks.data?.length ?? 1) - 1)} 2.1`}
            preserveAspectRatio="none"
            aria-hidden
          >
            <path d={wave} fill="var(--faint)" />
          </svg>
          <div className="relative h-[19px] overflow-hidden">
            {words.map(({ w, i, by, first }) => (
              <span
                key={`${by} ${i}`}
                className={`absolute top-0 flex h-full items-center overflow-hidden border-l border-line px-0.5 text-[12px] whitespace-nowrap ${
                  first && l.doubtful.includes(i) ? 'bg-wrong-soft text-wrong' : ''
                }`}
                style={{ left: x(by + w.start), width: x(w.end - w.start) }}
                title={
                  first && l.doubtful.includes(i) ? `${w.text}: something else seems to be said here` : w.text
                }
              >
                {w.text}
              </span>
            ))}
          </div>
          <div className="relative h-[18px] overflow-hidden">
            {phones.map(({ p, i, by }) => (
              <span
                key={`${by} ${i}`}
                className="absolute top-0 h-full overflow-hidden border-l border-line text-center text-[10.5px] leading-[18px] text-faint"
                style={{ left: x(by + p.start), width: x(p.end - p.start) }}
              >
                {p.phone}
              </span>
            ))}
          </div>
          <div className="relative h-[46px]">
            {runs.map((r) => (
              <MouthRun key={r.from} run={r} frames={l.frames} shapes={shapes} lane={lane} />
            ))}
          </div>
          <BlinkLane frames={l.frames} />
          <GestureLane frames={l.frames} />
          <PlayHead frames={l.frames} />
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

/** A run of one mouth: click for another mouth on these frames, which pins it, or to release the pin. */
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
  const name = mouth?.drawings.find((d) => d.id === run.what)?.name ?? run.what;
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
