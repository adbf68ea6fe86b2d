import { useRef, useState } from 'react';
import type { Character } from '../api/client';
import { useDesk } from '../state/desk';
import type { KeptTake } from './liveTakes';
import { useLive } from './liveState';
import { curveOf, type Moved, movedIn, reach, shownIn, stretchOf } from './comparedTakes';

/** Takes are told apart by how their line is drawn: colours mean something else here. */
const DASHES = ['', '7 4', '2 3', '12 4 2 4', '1 5', '16 5'];
const dashOf = (i: number) => DASHES[i % DASHES.length];

/**
 * What was moved, take by take on one scale: a stretch that is dragged over goes round, and can be put in of any take.
 */
export function TakesBeside({ takes, character }: { takes: KeptTake[]; character: Character }) {
  const [key, setKey] = useState('');
  const all = movedIn(takes, character);
  const moved = all.find((m) => m.key === key) ?? all[0];
  const loop = useDesk((s) => s.loop);
  if (!moved) return null;
  const range = reach(takes);
  return (
    <div
      className="mt-2 border-t border-line pt-2 text-[13px]"
      role="group"
      aria-label="Takes beside each other"
    >
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <label className="flex items-center gap-1.5">
          <span className="text-faint">Beside each other:</span>
          <select
            className="field py-0"
            aria-label="What is compared"
            value={moved.key}
            onChange={(e) => setKey(e.target.value)}
          >
            {all.map((m) => (
              <option key={m.key} value={m.key}>
                {m.name}
              </option>
            ))}
          </select>
        </label>
        <span className="ml-auto text-[12.5px] text-faint">
          {loop ? `${loop[0] + 1}–${loop[1]} goes round` : 'drag over the best stretch'}
        </span>
        {loop && (
          <button className="btn px-2 py-0" onClick={() => useDesk.setState({ loop: null })}>
            All of it
          </button>
        )}
      </div>
      <Ground range={range} tall={moved.kind === 'value' ? 92 : takes.length * 22}>
        {moved.kind === 'value' ? (
          <Curves takes={takes} moved={moved} range={range} />
        ) : (
          <Lanes takes={takes} moved={moved} range={range} character={character} />
        )}
      </Ground>
      {moved.kind === 'value' && (
        <ul className="mt-1 flex flex-wrap gap-x-3 text-[12px]">
          {takes.map(
            (t, i) =>
              curveOf(t.take, moved) && (
                <li key={t.id} className="flex items-center gap-1.5">
                  <svg width="30" height="8" aria-hidden>
                    <path d="M0 4H30" stroke="currentColor" strokeWidth="2" strokeDasharray={dashOf(i)} />
                  </svg>
                  take {i + 1}
                </li>
              ),
          )}
        </ul>
      )}
    </div>
  );
}

/** Frames across: the stretch that goes round, and the frame on the stage. */
function Ground({
  range: [from, to],
  tall,
  children,
}: {
  range: [number, number];
  tall: number;
  children: React.ReactNode;
}) {
  const ground = useRef<HTMLDivElement>(null);
  const begun = useRef<number | null>(null);
  const loop = useDesk((s) => s.loop);
  const frame = useDesk((s) => s.frame);
  const part = (f: number) => `${(100 * (Math.max(from, Math.min(to, f)) - from)) / (to - from)}%`;
  const at = (x: number) => {
    const box = ground.current!.getBoundingClientRect();
    return from + ((x - box.left) / box.width) * (to - from);
  };
  return (
    <div
      ref={ground}
      className="relative mt-1.5 touch-none overflow-hidden rounded-md border border-line bg-card"
      style={{ height: tall }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        begun.current = at(e.clientX);
      }}
      onPointerMove={(e) => {
        if (begun.current === null) return;
        useDesk.setState({ loop: stretchOf(begun.current, at(e.clientX), [from, to]) });
      }}
      onPointerUp={() => (begun.current = null)}
      onPointerCancel={() => (begun.current = null)}
    >
      {loop && (
        <span
          className="absolute inset-y-0 border-x border-chosen bg-chosen-soft"
          style={{ left: part(loop[0]), width: `calc(${part(loop[1])} - ${part(loop[0])})` }}
        />
      )}
      {children}
      <span className="absolute inset-y-0 w-px bg-doing" style={{ left: part(frame) }} />
    </div>
  );
}

function Curves({
  takes,
  moved,
  range: [from, to],
}: {
  takes: KeptTake[];
  moved: Moved;
  range: [number, number];
}) {
  const watched = useLive((s) => s.watched);
  const zero = (moved.to - 0) / (moved.to - moved.from || 1);
  return (
    <svg
      className="absolute inset-0 h-full w-full"
      viewBox={`${from} -0.06 ${to - from} 1.12`}
      preserveAspectRatio="none"
      role="img"
      aria-label={`${moved.name} in ${takes.length === 1 ? 'one take' : `${takes.length} takes`}`}
    >
      {zero > 0 && zero < 1 && (
        <path d={`M${from} ${zero}H${to}`} stroke="var(--line)" vectorEffect="non-scaling-stroke" />
      )}
      {takes.map((t, i) => (
        <path
          key={t.id}
          d={curveOf(t.take, moved)}
          fill="none"
          stroke={watched === t.id ? 'var(--chosen)' : 'currentColor'}
          strokeWidth={watched === t.id ? 3 : 1.5}
          strokeDasharray={dashOf(i)}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}

function Lanes({
  takes,
  moved,
  range: [from, to],
  character,
}: {
  takes: KeptTake[];
  moved: Moved;
  range: [number, number];
  character: Character;
}) {
  const drawings = character.rig.parts.find((p) => p.id === moved.id)?.drawings ?? [];
  const part = (f: number) => `${(100 * (f - from)) / (to - from)}%`;
  return (
    <>
      {takes.map((t, i) => (
        <span key={t.id} className="absolute left-0 h-[22px] w-full" style={{ top: 22 * i }}>
          <b className="absolute left-1 z-10 text-[11px] leading-[22px] text-faint">{i + 1}</b>
          {shownIn(t.take, moved.id).map((s) => (
            <span
              key={s.from}
              className="absolute inset-y-0.5 truncate rounded-[3px] border border-line bg-paper pl-4 text-[11.5px] leading-[16px]"
              style={{ left: part(s.from), width: `calc(${part(s.to)} - ${part(s.from)})` }}
            >
              {drawings.find((d) => d.id === s.drawing)?.name ?? s.drawing}
            </span>
          ))}
        </span>
      ))}
    </>
  );
}
