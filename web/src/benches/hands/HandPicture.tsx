import { useLayoutEffect, useRef, useState } from 'react';
import type { Shape, Wrist } from '../../api/client';
import { stepOf } from '../../state/usePresses';
import { useRow } from '../../state/useRow';
import { paintDrawing, reshapeDrawing } from '../../stage/alone';

export type At = { x: number; y: number };
const asAt = (p: number[]): At => ({ x: p[0] ?? 0, y: p[1] ?? 0 });

/** Widths of the wrist the picture is wide: fingers, the joint, and enough of the arm to see it swing. */
const WIDE = 5.4;
const HIGH = 3.9;

/**
 * One hand drawing on its arm, cropped about the wrist all drawings should have; its own wrist as two points.
 */
export function HandPicture({
  hand,
  arm,
  place,
  armOver,
  wanted,
  own,
  swing,
  under,
  put,
  bent,
  overlay,
  gap,
  high = 'h-[118px]',
}: {
  hand: Shape[];
  arm: Shape[];
  /** From the arm's coordinates to the hand's. */
  place: number[];
  armOver: boolean;
  wanted?: Wrist;
  own?: Wrist;
  /** Degrees the arm is swung away by. */
  swing: number;
  /** Another drawing, shown through. */
  under?: Shape[];
  /** Told where the points of the wrist are dragged to; left out while they stay. */
  put?: (first: number[], second: number[]) => void;
  /** Its outlines where the wrist bends; left out where the hand turns as one piece. */
  bent?: string[];
  /** What lies over the drawing and turns with it. */
  overlay?: (width: number) => React.ReactNode;
  /** Where the joint opens widest, and at which swing: marked as far as the swing goes there. */
  gap?: { width: number; at: number[]; by: number };
  high?: string;
}) {
  const h = useRef<SVGGElement>(null);
  const a = useRef<SVGGElement>(null);
  const u = useRef<SVGGElement>(null);
  const points = useRef<SVGGElement>(null);
  const [held, setHeld] = useState<{ which: 0 | 1; at: At } | null>(null);
  const row = useRow<{ first: At; second: At }>((_, to) =>
    put?.([to.first.x, to.first.y], [to.second.x, to.second.y]),
  );
  useLayoutEffect(() => paintDrawing(h.current!, hand), [hand]);
  useLayoutEffect(() => {
    reshapeDrawing(h.current!, bent ?? hand.map((s) => s.path));
  }, [hand, bent]);
  useLayoutEffect(() => paintDrawing(a.current!, arm), [arm]);
  useLayoutEffect(() => paintDrawing(u.current!, under ?? []), [under]);
  const known = wanted ?? own;
  if (!known)
    return (
      <svg className="block h-[104px] w-full bg-drawn" aria-hidden>
        <g ref={a} />
        <g ref={h} />
        <g ref={u} />
      </svg>
    );
  const w = { first: asAt(known.first), second: asAt(known.second) };
  const middle = { x: (w.first.x + w.second.x) / 2, y: (w.first.y + w.second.y) / 2 };
  const width = Math.hypot(w.second.x - w.first.x, w.second.y - w.first.y);
  // towards the fingers from the arm: the first point is the left one
  const ahead = { x: (w.second.y - w.first.y) / width, y: -(w.second.x - w.first.x) / width };
  const centre = { x: middle.x + ahead.x * width * 0.9, y: middle.y + ahead.y * width * 0.9 };
  const box = [centre.x - (WIDE / 2) * width, centre.y - (HIGH / 2) * width, WIDE * width, HIGH * width];
  const pressed = row.held('wrist');
  const two = pressed
    ? [pressed.first, pressed.second]
    : own
      ? [asAt(own.first), asAt(own.second)]
      : [w.first, w.second];
  const shown = two.map((p, i) => (held?.which === i ? held.at : p));
  const at = (e: React.PointerEvent): At => {
    const m = points.current!.getScreenCTM()!.inverse();
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m);
    return { x: p.x, y: p.y };
  };
  const moved = (which: 0 | 1, to: At) => {
    const other = two[1 - which]!;
    return which === 0 ? { first: to, second: other } : { first: other, second: to };
  };
  const armGroup = <g key="arm" ref={a} transform={`matrix(${place.join(' ')})`} />;
  const handGroup = (
    <g key="hand" transform={`rotate(${swing} ${middle.x} ${middle.y})`}>
      <g ref={u} opacity={0.35} />
      <g ref={h} />
    </g>
  );
  const line = 0.7 * width;
  const along = { x: (w.second.x - w.first.x) / width, y: (w.second.y - w.first.y) / width };
  return (
    <svg
      viewBox={box.join(' ')}
      className={`block ${high} w-full bg-drawn`}
      preserveAspectRatio="xMidYMid meet"
      aria-hidden={put || overlay ? undefined : true}
    >
      {armOver ? [handGroup, armGroup] : [armGroup, handGroup]}
      <line
        x1={w.first.x - along.x * line}
        y1={w.first.y - along.y * line}
        x2={w.second.x + along.x * line}
        y2={w.second.y + along.y * line}
        stroke="var(--color-doing)"
        strokeWidth={width * 0.035}
        strokeDasharray={`${width * 0.1} ${width * 0.07}`}
      />
      {gap && gap.width > 0.02 * width && swing * gap.by > 0 && (
        <circle
          data-testid="gap"
          cx={gap.at[0]}
          cy={gap.at[1]}
          r={gap.width / 2}
          fill="var(--color-wrong)"
          fillOpacity={(0.5 * Math.abs(swing)) / 60}
          stroke="var(--color-wrong)"
          strokeOpacity={Math.abs(swing) / 60}
          strokeWidth={width * 0.025}
        />
      )}
      <g ref={points} transform={`rotate(${swing} ${middle.x} ${middle.y})`}>
        {overlay?.(width)}
        {shown.map((p, i) => (
          <circle
            key={i}
            cx={p.x}
            cy={p.y}
            r={width * (put ? 0.11 : 0.06)}
            fill="var(--color-card)"
            stroke="var(--color-doing)"
            strokeWidth={width * 0.035}
            {...(put
              ? {
                  role: 'button',
                  tabIndex: 0,
                  'aria-label': i === 0 ? 'Left point of the wrist' : 'Right point of the wrist',
                  className: 'cursor-move touch-none',
                  onPointerDown: (e: React.PointerEvent<SVGCircleElement>) => {
                    e.stopPropagation();
                    e.currentTarget.setPointerCapture(e.pointerId);
                    setHeld({ which: i as 0 | 1, at: p });
                  },
                  onPointerMove: (e: React.PointerEvent) =>
                    held?.which === i && setHeld({ which: i as 0 | 1, at: at(e) }),
                  onPointerUp: () => {
                    if (held) {
                      const { first, second } = moved(i as 0 | 1, held.at);
                      put([first.x, first.y], [second.x, second.y]);
                    }
                    setHeld(null);
                  },
                  onPointerCancel: () => setHeld(null),
                  onKeyDown: (e: React.KeyboardEvent) => {
                    if (e.key === 'Escape') setHeld(null);
                    const d = stepOf(e);
                    if (!d) return;
                    e.preventDefault();
                    e.stopPropagation();
                    row.press('wrist', moved(i as 0 | 1, { x: p.x + d[0], y: p.y + d[1] }));
                  },
                }
              : {})}
          />
        ))}
      </g>
    </svg>
  );
}
