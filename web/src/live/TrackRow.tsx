import type { LiveTake } from 'page-core';
import { memo, type ReactNode, useMemo } from 'react';
import type { Dial, Shot } from '../api/client';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useLive } from './liveState';
import type { KeptTake } from './liveTakes';

/** Room for the names of the tracks, pixels. */
export const NAMES = 104;
const NO_SAMPLES: never[] = [];

const isWritten = (take: LiveTake | null, key: string) => {
  const [kind, ...id] = key.split(' ');
  const of = { dial: take?.dials, look: take?.looks, drawings: take?.drawings, cue: take?.cues }[
    kind as 'dial'
  ];
  return of !== undefined && id.join(' ') in of;
};

/** What has been written of a track since the take began. */
function Written({ track, from, frames }: { track: string; from: number; frames: number }) {
  // ten times a second, as the take is noted: stripes are dear to paint
  const writing = useLive((s) => s.writing);
  if (!isWritten(writing, track)) return null;
  const { frame } = useDesk.getState();
  return (
    <span
      className="live-written absolute inset-y-0"
      style={{ left: `${(from / frames) * 100}%`, width: `${((frame + 1 - from) / frames) * 100}%` }}
    />
  );
}

export function Row({
  name,
  frames,
  on,
  arm,
  writtenFrom = null,
  track = '',
  punch = null,
  children,
}: {
  name: string;
  frames: number;
  /** Whether it is armed; left out for one that cannot be. */
  on?: boolean;
  arm?: (() => void) | null;
  /** The first frame that is written, while it is. */
  writtenFrom?: number | null;
  track?: string;
  punch?: [number, number] | null;
  children: ReactNode;
}) {
  return (
    <div className="flex h-[24px] border-t border-line/60">
      {on === undefined ? (
        <span className="shrink-0 truncate pt-[3px] pl-[22px] text-faint" style={{ width: NAMES }}>
          {name}
        </span>
      ) : (
        <button
          role="switch"
          aria-checked={on}
          aria-label={`${name} is armed`}
          disabled={!arm}
          className={`flex shrink-0 items-center gap-1.5 pr-1 pl-1 text-left ${on ? 'bg-recording-soft font-bold' : 'text-faint'}`}
          style={{ width: NAMES }}
          onClick={arm ?? undefined}
        >
          <span
            className={`h-[10px] w-[10px] shrink-0 rounded-full border-2 border-recording ${on ? 'bg-recording' : ''}`}
          />
          <span className="truncate">{name}</span>
        </button>
      )}
      <div className="relative min-w-0 flex-1 overflow-hidden bg-card">
        {punch && (
          <span
            className="absolute inset-y-0 bg-recording-soft"
            style={{
              left: `${(punch[0] / frames) * 100}%`,
              width: `${((punch[1] - punch[0]) / frames) * 100}%`,
            }}
          />
        )}
        {writtenFrom !== null && <Written track={track} from={writtenFrom} frames={frames} />}
        {children}
      </div>
    </div>
  );
}

/** Frames between two samples that are taken as an even way; further apart it stood still. */
const NEAR = 6;

const way = (samples: { frame: number; value: number }[], y: (v: number) => number) =>
  samples
    .map((s, i) => {
      const at = `${s.frame.toFixed(1)} ${y(s.value).toFixed(1)}`;
      if (i === 0) return `M${at}`;
      return s.frame - samples[i - 1]!.frame > NEAR ? `H${s.frame.toFixed(1)}L${at}` : `L${at}`;
    })
    .join('');

const heightOf = (dial: Dial) => (v: number) => 2 + 20 * (1 - (v - dial.from) / (dial.to - dial.from || 1));

const LINE = { fill: 'none', vectorEffect: 'non-scaling-stroke' as const };

/** What is done to a dial in the take that is played. */
function Writing({ dial }: { dial: Dial }) {
  // the list itself grows and stays the same; the take around it is another one each time
  const samples = useLive((s) => s.writing)?.dials[dial.id];
  return samples ? (
    <path d={way(samples, heightOf(dial))} {...LINE} stroke="var(--recording)" strokeWidth="2.2" />
  ) : null;
}

/** Where a dial goes along the shot; what earlier takes did is faint, what is written now strong. */
export const Way = memo(function Way({ dial, shot, takes }: { dial: Dial; shot: Shot; takes: KeptTake[] }) {
  const open = useActed((s) => s.open);
  const { frames } = shot;
  const kept = useMemo(() => {
    const y = heightOf(dial);
    const values = open?.values(dial.id);
    return values?.length
      ? [...values].map((v, f) => `${f ? 'L' : 'M'}${f} ${y(v).toFixed(1)}`).join('')
      : `M0 ${y(dial.rest)}H${frames}`;
  }, [open, dial, frames]);
  const faint = useMemo(
    () => takes.map((t) => way(t.take.dials[dial.id] ?? NO_SAMPLES, heightOf(dial))),
    [takes, dial],
  );
  return (
    <svg
      className="absolute inset-0 h-full w-full"
      viewBox={`0 0 ${frames} 24`}
      preserveAspectRatio="none"
      aria-hidden
    >
      {faint.map((d, i) => (
        <path key={i} d={d} {...LINE} stroke="var(--faint)" strokeWidth="1" opacity="0.5" />
      ))}
      <path d={kept} {...LINE} stroke="var(--ink)" strokeWidth="1.4" />
      <Writing dial={dial} />
    </svg>
  );
});
