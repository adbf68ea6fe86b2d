import { ChevronFirst, ChevronLeft, ChevronRight, Pause, Play, Repeat } from 'lucide-react';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import type { Character, Shot } from '../api/client';
import { usePlayer } from '../line/player';
import { SoundWave } from '../line/SoundWave';
import { LiveControls } from '../live/LiveControls';
import { useLive } from '../live/liveState';
import { LiveTracks } from '../live/LiveTracks';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { NumberField } from '../ui/NumberField';
import { lanesOf } from './lanes';
import { FrameRate } from './FrameRate';
import { beginnings } from './sheetKeys';
import { useSheet } from './sheetState';

/** Plays the shot, steps through it, and shows the whole of it at a glance. */
export function Transport({ shot }: { shot: Shot }) {
  const { editLine, view, line } = useStudio();
  const { toggle, stepTo } = usePlayer();
  const playing = useDesk((s) => s.playing);
  const loop = useDesk((s) => s.loop);
  const speed = useDesk((s) => s.speed);
  const frame = useDesk((s) => s.frame);
  const chosen = useSheet((s) => s.chosen);
  const live = useLive((s) => s.panel);
  const { rules, frames } = shot;
  const marks = useMarks(shot, view.character);
  const expose = (exposure: number) =>
    exposure !== rules.exposure &&
    void editLine({ kind: 'expose', exposure, lead: rules.lead, minimumHold: rules.minimumHold });
  const round = loop ?? (chosen && chosen.to - chosen.from > 1 ? [chosen.from, chosen.to] : [0, frames]);
  return (
    <section
      aria-label="Shot"
      className={`flex h-full min-w-0 flex-col gap-2 border-t border-line bg-paper px-3.5 py-2.5 ${live ? 'min-h-[min(336px,46vh)]' : 'min-h-[218px]'}`}
    >
      <div className="flex flex-wrap items-center gap-1.5">
        <button
          className="btn-do px-3.5"
          onClick={toggle}
          aria-label={playing ? 'Stop' : 'Play'}
          title={playing ? 'Stop (Space)' : 'Play (Space)'}
        >
          {playing ? <Pause size={15} aria-hidden /> : <Play size={15} aria-hidden />}
        </button>
        <button
          className="btn px-1.5"
          onClick={() => stepTo(marks.filter((m) => m < frame).at(-1) ?? 0)}
          aria-label="To the key before"
          title="To the key before (Ctrl+Up on the sheet)"
        >
          <ChevronFirst size={15} aria-hidden />
        </button>
        <button
          className="btn px-1.5"
          onClick={() => stepTo(frame - 1)}
          aria-label="One frame back"
          title="One frame back (,)"
        >
          <ChevronLeft size={15} aria-hidden />
        </button>
        <button
          className="btn px-1.5"
          onClick={() => stepTo(frame + 1)}
          aria-label="One frame on"
          title="One frame on (.)"
        >
          <ChevronRight size={15} aria-hidden />
        </button>
        <button
          className="btn px-1.5"
          onClick={() => stepTo(marks.find((m) => m > frame) ?? frames - 1)}
          aria-label="To the next key"
          title="To the next key (Ctrl+Down on the sheet)"
        >
          <ChevronFirst size={15} className="rotate-180" aria-hidden />
        </button>
        <output className="ml-1 text-[13px] whitespace-nowrap" aria-label="Frame" data-testid="clock">
          <span className="sr-only">frame </span>
          <b>{frame + 1}</b> of
        </output>
        <ShotLength frames={frames} keep={(n) => void editLine({ kind: 'set-length', frames: n })} />
        <FrameRate shot={shot} frame={frame} />
      </div>
      <div className="flex flex-wrap items-center gap-1">
        <LiveControls key={line?.id} shot={shot} />
        <button
          className="btn px-1.5"
          aria-pressed={loop !== null}
          onClick={() => useDesk.setState({ loop: loop ? null : (round as [number, number]) })}
          title="Plays the chosen frames, or the whole shot, over and over"
        >
          <Repeat size={13} aria-hidden /> loop {loop ? `${loop[0] + 1}–${loop[1]}` : ''}
        </button>
        <div className="flex gap-0.5" role="group" aria-label="Exposure">
          {[1, 2, 3].map((n) => (
            <button
              key={n}
              className="btn px-1"
              aria-pressed={rules.exposure === n}
              onClick={() => expose(n)}
            >
              {['', 'ones', 'twos', 'threes'][n]}
            </button>
          ))}
        </div>
        <div className="flex gap-0.5" role="group" aria-label="Speed">
          {(
            [
              [0.25, '¼'],
              [0.5, '½'],
              [1, '1×'],
            ] as const
          ).map(([s, words]) => (
            <button
              key={s}
              className="btn px-1"
              aria-pressed={speed === s}
              aria-label={`Speed ${words}`}
              onClick={() => useDesk.setState({ speed: s })}
            >
              {words}
            </button>
          ))}
        </div>
      </div>
      {line && (live ? <LiveTracks shot={shot} /> : <Whole key={line.id} shot={shot} marks={marks} />)}
    </section>
  );
}

/** How long the shot is, typed. */
function ShotLength({ frames, keep }: { frames: number; keep: (n: number) => void }) {
  return (
    <div className="w-[58px]">
      <NumberField
        bare
        label="Frames of the shot"
        value={frames}
        keep={(v) => keep(Math.max(1, Math.round(v)))}
      />
    </div>
  );
}

/** The frames at which something begins, mouths aside. Large shots have thousands: what was edited is painted first. */
function useMarks(shot: Shot, character: Character): number[] {
  const later = useDeferredValue(shot);
  return useMemo(() => {
    const { kept, keptOpen } = useActed.getState();
    const tracks = lanesOf(character, later, [], [], false).flatMap((l) =>
      l.track && l.kind !== 'MOUTHS' ? [l.track] : [],
    );
    if (kept !== later || !keptOpen) return beginnings(later, character, tracks);
    const others = beginnings(
      later,
      character,
      tracks.filter((t) => t.sort !== 'DIAL'),
    );
    return [...new Set([...keptOpen.keyFrames(), ...others])].sort((a, b) => a - b);
  }, [later, character]);
}

/** The whole shot in one strip: its sound, its words and where something begins; a press goes there. */
function Whole({ shot, marks }: { shot: Shot; marks: number[] }) {
  const { line } = useStudio();
  const player = usePlayer();
  const box = useRef<HTMLDivElement>(null);
  const [scrubbing, setScrubbing] = useState(false);
  const frame = useDesk((s) => s.frame);
  const loop = useDesk((s) => s.loop);
  const { frames } = shot;
  const scrub = (e: React.PointerEvent) => {
    const r = box.current!.getBoundingClientRect();
    player.scrub(Math.floor(((e.clientX - r.left) / r.width) * frames));
  };
  const share = (f: number) => `${(f / frames) * 100}%`;
  const words = useMemo(() => roomyWords(shot), [shot]);
  return (
    <div
      ref={box}
      data-testid="whole"
      className="relative min-h-[58px] flex-1 cursor-text touch-none overflow-hidden rounded-md border border-line bg-card select-none"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setScrubbing(true);
        useDesk.getState().play(false);
        scrub(e);
      }}
      onPointerMove={(e) => scrubbing && scrub(e)}
      onPointerUp={() => setScrubbing(false)}
      onPointerCancel={() => setScrubbing(false)}
    >
      <SoundWave line={line!} className="absolute inset-x-0 top-1 h-[46%] w-full" />
      {words.map((w) => (
        <span
          key={w.at}
          className="absolute top-[52%] text-[11.5px] leading-none whitespace-nowrap text-ink"
          style={{ left: share(w.at) }}
        >
          {w.text}
        </span>
      ))}
      <svg
        className="absolute bottom-0 h-2.5 w-full"
        viewBox={`0 0 ${frames} 10`}
        preserveAspectRatio="none"
        aria-hidden
      >
        {toldApart(marks, frames).map((m) => (
          <path
            key={m}
            d={`M${m + 0.5} 1V10`}
            stroke="var(--ink)"
            strokeWidth="2"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      {loop && (
        <div
          className="absolute inset-y-0 border-2 border-chosen bg-chosen-soft/50"
          style={{ left: share(loop[0]), width: share(loop[1] - loop[0]) }}
        />
      )}
      <div
        className="pointer-events-none absolute inset-0 will-change-transform"
        style={{ transform: `translateX(${((frame + 0.5) / frames) * 100}%)` }}
      >
        <div className="absolute inset-y-0 left-0 w-[1.5px] bg-doing" />
      </div>
    </div>
  );
}

/** Marks the whole shot has room for beside each other. */
function toldApart(marks: number[], frames: number): number[] {
  const least = frames / 260;
  let last = -Infinity;
  return marks.filter((m) => m - last >= least && ((last = m), true));
}

/** The words that have room to be written beside each other over the whole shot, and the frames they begin at. */
function roomyWords(shot: Shot): { text: string; at: number }[] {
  const { frameRate } = shot.rules;
  const all = shot.lines.flatMap((p) =>
    p.line.words.map((w) => ({ text: w.text, at: p.at + w.start * frameRate })),
  );
  return all.reduce<{ text: string; at: number }[]>((kept, w) => {
    const before = kept.at(-1);
    const free = before ? before.at + ((before.text.length + 2) / 52) * shot.frames : -1;
    return w.at >= free ? [...kept, w] : kept;
  }, []);
}
