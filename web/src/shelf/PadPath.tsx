import { useRef, useState } from 'react';
import type { Dial, DialKey, ShotEdit } from '../api/client';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { type KeyedWay, keyedWay, bentTo, middleOf } from './padPaths';

/** The way a shot leads a pad's point from the keys before the frame to those behind it, with a tick a frame; its ring bends it. */
export function PadPath({ name, across, down }: { name: string; across: Dial; down: Dial }) {
  const bench = useDesk((s) => s.bench);
  const shot = useActed((s) => s.shot);
  const frame = useDesk((s) => s.frame);
  const way =
    bench === 'shot' && shot
      ? keyedWay(shot.tracks.dials[across.id] ?? [], shot.tracks.dials[down.id] ?? [], frame)
      : null;
  return way && <Path name={name} across={across} down={down} way={way} />;
}

function Path({ name, across, down, way }: { name: string; across: Dial; down: Dial; way: KeyedWay }) {
  const { draftLine, editLine } = useStudio();
  const open = useActed((s) => s.open);
  const [grabbed, setGrabbed] = useState(false);
  const made = useRef<ShotEdit | null>(null);
  const share = (d: Dial, v: number) => ((v - d.from) / (d.to - d.from)) * 100;
  const [x, y] = middleOf(way);
  const bend = (nx: number, ny: number): ShotEdit => {
    const [a, d] = bentTo(way, nx, ny);
    const key = (k: DialKey): DialKey[] => [{ ...k, laid: undefined }];
    return { kind: 'set-keys', keys: { [across.id]: key(a), [down.id]: key(d) } };
  };
  const drag = (e: React.PointerEvent<HTMLElement>) => {
    const r = e.currentTarget.parentElement!.getBoundingClientRect();
    made.current = bend(
      across.from + ((e.clientX - r.left) / r.width) * (across.to - across.from),
      down.from + ((e.clientY - r.top) / r.height) * (down.to - down.from),
    );
    draftLine(made.current);
  };
  const letGo = (keep: boolean) => {
    setGrabbed(false);
    draftLine(null);
    if (keep && made.current) void editLine(made.current);
    made.current = null;
  };
  const xs = open?.values(across.id);
  const ys = open?.values(down.id);
  const points: string[] = [];
  for (let f = way.from; f <= way.to; f++)
    if (xs && ys && xs[f] !== undefined) points.push(`${share(across, xs[f]!)} ${share(down, ys[f]!)}`);
  return (
    <>
      <svg className="pointer-events-none absolute inset-0 h-full w-full overflow-visible" aria-hidden>
        <svg
          viewBox="0 0 100 100"
          preserveAspectRatio="none"
          width="100%"
          height="100%"
          className="overflow-visible"
        >
          <path
            d={points.length > 0 ? 'M' + points.join('L') : ''}
            className="fill-none stroke-chosen"
            strokeWidth="1.5"
            vectorEffect="non-scaling-stroke"
          />
          {/* a tick a frame: lines of no length with round ends */}
          <path
            d={points.map((p) => `M${p}h0`).join('')}
            className="fill-none stroke-chosen"
            strokeWidth="4"
            strokeLinecap="round"
            vectorEffect="non-scaling-stroke"
          />
        </svg>
      </svg>
      <button
        type="button"
        aria-label={`Bend the way of ${name} from frame ${way.from + 1} to ${way.to + 1}`}
        title="Drag to bend the way; double-click makes it straight; arrows bend it a little"
        className="absolute grid h-6 w-6 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none place-items-center rounded-full"
        style={{ left: `${share(across, x)}%`, top: `${share(down, y)}%` }}
        onPointerDown={(e) => {
          e.stopPropagation();
          e.currentTarget.setPointerCapture(e.pointerId);
          setGrabbed(true);
        }}
        onPointerMove={(e) => grabbed && drag(e)}
        onPointerUp={() => grabbed && letGo(true)}
        onPointerCancel={() => letGo(false)}
        onDoubleClick={(e) => {
          e.stopPropagation();
          const [ax, dy] = [way.across, way.down];
          void editLine(bend((ax[0].value + ax[1].value) / 2, (dy[0].value + dy[1].value) / 2));
        }}
        onKeyDown={(e) => {
          if (e.key === 'Escape' && grabbed) return letGo(false);
          const by = e.shiftKey ? 1 / 8 : 1 / 40;
          const to = {
            ArrowLeft: [-by, 0],
            ArrowRight: [by, 0],
            ArrowUp: [0, -by],
            ArrowDown: [0, by],
          }[e.key];
          if (!to) return;
          e.preventDefault();
          e.stopPropagation();
          void editLine(bend(x + to[0]! * (across.to - across.from), y + to[1]! * (down.to - down.from)));
        }}
      >
        <span className="h-3 w-3 rounded-full border-2 border-chosen bg-card" />
      </button>
    </>
  );
}
