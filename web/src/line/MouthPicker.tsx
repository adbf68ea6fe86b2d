import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { useStudio } from '../state/studio';
import { DrawingThumb } from '../ui/DrawingThumb';
import { MoodPicker } from './MoodPicker';
import type { Span } from './spans';
import { TimingPicker } from './TimingPicker';
import { ComesOver } from '../shot/ComesOver';
import { Cells } from '../ui/Cells';

/** Which mouths a range of frames shows: one that is pinned, another row of them, or otherwise timed. */
export function MouthPicker({ run, done }: { run: Span; done: () => void }) {
  const { line, view, artwork, editLine } = useStudio();
  const [from, setFrom] = useState(run.from);
  const [to, setTo] = useState(run.to);
  const wordAt = useWordRange();
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const last = (line?.frames ?? 1) - 1;
  const pins = Object.keys(line?.shot.tracks.pins ?? {}).map(Number);
  const pinned = pins.some((f) => f >= from && f <= to);
  const elsewhere = pins.some((f) => f < from || f > to);
  const name = run.what === 'nothing' ? 'no mouth' : mouth?.drawings.find((d) => d.id === run.what)?.name;
  const good = from >= 0 && from <= to && to <= last;
  const shapes = (id: string) => {
    const d = mouth?.drawings.find((m) => m.id === id);
    return d ? (artwork[d.art] ?? []) : [];
  };
  const pin = async (drawing: string) => {
    done();
    await editLine({ kind: 'pin-mouth', from, to, drawing });
  };
  const release = async (first: number, end: number) => {
    done();
    await editLine({ kind: 'release-mouth', from: first, to: end });
  };
  const tile = (id: string) =>
    `rounded-md border p-0.5 ${id === run.what ? 'border-doing bg-doing-soft' : 'border-line bg-stage hover:border-faint'}`;
  return (
    <>
      <div className="mb-2 flex flex-wrap items-center gap-1.5 text-[13px]">
        <span>
          <b>{name ?? run.what}</b> now. On frames
        </span>
        <FrameField label="from frame" frame={from} last={last} set={setFrom} />
        <span>to</span>
        <FrameField label="to frame" frame={to} last={last} set={setTo} />
        {wordAt(run.from) && (
          <button
            className="btn px-2 py-0"
            title="The frames of the whole word"
            onClick={() => {
              const word = wordAt(run.from)!;
              setFrom(word.from);
              setTo(word.to);
            }}
          >
            “{wordAt(run.from)!.text}”
          </button>
        )}
      </div>
      {!good && (
        <p className="mb-2 text-[12.5px] text-wrong">
          The frames of the line are 1 to {last + 1}, the first not behind the last.
        </p>
      )}
      <Tabs.Root defaultValue="mouth">
        <Tabs.List aria-label="What to set on these frames" className="mb-2 flex gap-1">
          {[
            ['mouth', 'pin a mouth'],
            ['mood', 'mood'],
            ['timing', 'timing'],
          ].map(([value, words]) => (
            <Tabs.Trigger
              key={value}
              value={value!}
              className="rounded-md px-2 py-0.5 text-[13px] data-[state=active]:bg-tide data-[state=active]:font-bold"
            >
              {words}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="mouth">
          {pins.length > 0 && (
            <div className="mb-2 flex flex-wrap items-center gap-1.5">
              {pinned && (
                <button className="btn" disabled={!good} onClick={() => void release(from, to)}>
                  Unpin: the sound decides
                </button>
              )}
              {mouth && pins.includes(run.from) && run.what !== 'nothing' && (
                <ComesOver
                  part={mouth.id}
                  drawing={run.what}
                  frame={run.from}
                  most={run.to - run.from + 1}
                  value={line?.shot.tracks.pinsOver[run.from] ?? 0}
                  keep={(frames) => void editLine({ kind: 'come-over', frame: run.from, in: frames })}
                />
              )}
              {elsewhere && (
                <button className="btn" onClick={() => void release(0, last)}>
                  Unpin every frame of the line
                </button>
              )}
            </div>
          )}
          <Cells className="grid grid-cols-6 gap-1">
            {mouth?.drawings.map((d) => (
              <button
                key={d.id}
                className={tile(d.id)}
                title={d.name}
                aria-label={`Pin ${d.name}`}
                disabled={!good}
                onClick={() => void pin(d.id)}
              >
                <DrawingThumb shapes={shapes(d.id)} label="" className="h-8 w-full rounded bg-stage" />
                <span className="block truncate text-[10px] leading-3">{d.name}</span>
              </button>
            ))}
            <button
              className={tile('nothing')}
              title="No mouth at all on these frames"
              aria-label="Pin no mouth"
              disabled={!good}
              onClick={() => void pin('nothing')}
            >
              <span className="grid h-8 place-items-center text-[12px] text-faint">–</span>
              <span className="block truncate text-[10px] leading-3">no mouth</span>
            </button>
          </Cells>
        </Tabs.Content>
        <Tabs.Content value="mood">
          <MoodPicker from={from} to={to} good={good} done={done} />
        </Tabs.Content>
        <Tabs.Content value="timing">
          <TimingPicker key={from} from={from} to={to} good={good} done={done} />
        </Tabs.Content>
      </Tabs.Root>
    </>
  );
}

/** The first and the last frame of the word that is heard at a frame, lead included. */
function useWordRange() {
  const { line } = useStudio();
  const { shot } = line!;
  return (frame: number) => {
    const timing = shot.tracks.timings.find((t) => t.from <= frame && frame < t.to);
    const lead = timing?.lead ?? shot.rules.lead;
    for (const placed of shot.lines)
      for (const w of placed.line.words) {
        const at = (seconds: number) => placed.at + seconds * shot.rules.frameRate - lead;
        const from = Math.max(0, Math.floor(at(w.start)));
        const to = Math.min(line!.frames, Math.ceil(at(w.end))) - 1;
        if (frame >= from && frame <= to) return { from, to, text: w.text };
      }
    return null;
  };
}

/** A frame by its number from 1. */
function FrameField({
  label,
  frame,
  last,
  set,
}: {
  label: string;
  frame: number;
  last: number;
  set: (frame: number) => void;
}) {
  return (
    <input
      type="number"
      aria-label={label}
      className="field w-16 px-1.5 py-0"
      min={1}
      max={last + 1}
      value={frame + 1}
      onChange={(e) => set(Math.round(e.target.valueAsNumber || 0) - 1)}
      onKeyDown={(e) => e.stopPropagation()}
    />
  );
}
