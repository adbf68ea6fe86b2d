import { Circle, Layers, Trash2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { Shot } from '../api/client';
import { useSheet } from '../shot/sheetState';
import { useStudio } from '../state/studio';
import { type Smoothing, useLive } from './liveState';
import { useLivePlay } from './useLivePlay';
import type { KeptTake } from './liveTakes';

/** Acts in the shot while it runs: rulers, pads and drawings moved by hand are written as keys. */
export function LiveControls({ shot }: { shot: Shot }) {
  const phase = useLive((s) => s.phase);
  const { takes, start, finish, put, drop } = useLivePlay(shot);
  const running = phase.is !== 'idle';
  return (
    <>
      <button
        className={`btn px-2 ${running ? 'bg-recording text-on-doing' : ''}`}
        aria-pressed={running}
        aria-label={running ? 'Stop the take' : 'Play live'}
        title="Counts in, plays, and writes what your hands do to rulers, pads and drawings. The loop, or from this frame on"
        onClick={() => (running ? void finish(phase.is === 'recording') : start())}
      >
        <Circle
          size={13}
          className={running ? 'fill-current' : 'fill-recording text-recording'}
          aria-hidden
        />
        {running ? 'Stop' : 'Live'}
      </button>
      <Popover.Root>
        <Popover.Trigger className="btn px-2" disabled={running} aria-label={`Takes: ${takes.length}`}>
          <Layers size={13} aria-hidden /> {takes.length > 0 ? takes.length : ''}
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            align="start"
            collisionPadding={12}
            aria-label="Takes played live"
            className="z-40 w-[380px] rounded-xl border border-line bg-paper p-3 shadow-xl"
          >
            <Takes takes={takes} put={put} drop={drop} />
            <Settings />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </>
  );
}

function Takes({
  takes,
  put,
  drop,
}: {
  takes: KeptTake[];
  put: (take: KeptTake['take'], from?: number, to?: number) => Promise<void>;
  drop: (id: string) => void;
}) {
  const { view } = useStudio();
  const chosen = useSheet((s) => s.chosen);
  const name = (id: string) =>
    view.character.controls.dials.find((d) => d.id === id)?.name ??
    view.character.rig.parts.find((p) => p.id === id)?.name ??
    view.character.library.looks.find((l) => l.id === id)?.name ??
    id;
  if (takes.length === 0)
    return (
      <p className="text-[13px] text-faint">
        No take yet. <b>Play live</b> counts in and plays the shot; what you move is written as keys when it
        ends. Takes are kept here, and the best stretch of each can be put in.
      </p>
    );
  return (
    <ul className="grid max-h-64 gap-1 overflow-y-auto" aria-label="Takes">
      {takes.map((t, i) => {
        const { from, to, dials, drawings, looks } = t.take;
        const a = Math.max(from, chosen?.from ?? from);
        const b = Math.min(to, chosen?.to ?? to);
        const part = chosen !== null && a < b && (a > from || b < to);
        return (
          <li
            key={t.id}
            className="flex items-center gap-1.5 rounded-lg border border-line px-2 py-1 text-[13px]"
          >
            <span className="min-w-0 flex-1">
              <b>Take {i + 1}</b>{' '}
              <span className="text-faint">
                {from + 1}–{to}
                {t.ended ? '' : ', broke off'}
              </span>
              <span className="block truncate text-[12px] text-faint">
                {[...Object.keys(dials), ...Object.keys(drawings), ...Object.keys(looks)]
                  .map(name)
                  .join(', ')}
              </span>
            </span>
            {part && (
              <button
                className="btn px-2 py-0"
                title="Only the frames that are chosen on the sheet"
                onClick={() => void put(t.take, a, b)}
              >
                Put in {a + 1}–{b}
              </button>
            )}
            <button className="btn px-2 py-0" onClick={() => void put(t.take)}>
              Put in
            </button>
            <button
              className="btn px-1.5 py-0"
              aria-label={`Throw take ${i + 1} away`}
              onClick={() => drop(t.id)}
            >
              <Trash2 size={13} aria-hidden />
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function Settings() {
  const { count, smoothing, latency, tolerance } = useLive();
  const number = (label: string, unit: string, value: number, most: number, set: (v: number) => void) => (
    <label className="flex items-center gap-1.5">
      <span className="text-faint">{label}</span>
      <input
        type="number"
        className="field w-16 px-1.5 py-0"
        min={0}
        max={most}
        value={value}
        onChange={(e) => set(Math.max(0, Math.min(most, e.target.valueAsNumber || 0)))}
        onKeyDown={(e) => e.key !== 'Escape' && e.stopPropagation()}
      />
      <span className="text-faint">{unit}</span>
    </label>
  );
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1.5 border-t border-line pt-2.5 text-[13px]">
      {number('counted in by', 'seconds', count, 8, (v) => useLive.setState({ count: Math.round(v) }))}
      {number('keys within', '% of a dial', tolerance, 20, (v) => useLive.setState({ tolerance: v }))}
      {number('hands are behind by', 'ms', latency, 1000, (v) => useLive.setState({ latency: v }))}
      <label className="flex items-center gap-1.5">
        <span className="text-faint">smoothing</span>
        <select
          className="field py-0"
          value={smoothing}
          onChange={(e) => useLive.setState({ smoothing: e.target.value as Smoothing })}
        >
          <option value="off">none</option>
          <option value="some">a little</option>
          <option value="much">much</option>
        </select>
      </label>
    </div>
  );
}
