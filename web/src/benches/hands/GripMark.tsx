import { useRef, useState } from 'react';
import { stepOf } from '../../state/usePresses';
import { useRow } from '../../state/useRow';
import type { At } from './HandPicture';

/** Where a drawing holds things: a ring to drag, and a stem that shows which way up a thing is held. */
export function GripMark({
  grip,
  angle,
  width,
  put,
}: {
  grip: At;
  angle: number;
  width: number;
  put: (to: At) => void;
}) {
  const [held, setHeld] = useState<At | null>(null);
  const mark = useRef<SVGGElement>(null);
  const row = useRow<At>((_, to) => put(to));
  const p = held ?? row.held('grip') ?? grip;
  const at = (e: React.PointerEvent): At => {
    // in the coordinates of the drawing, which the mark itself is shifted within
    const drawing = mark.current?.parentNode;
    if (!(drawing instanceof SVGGraphicsElement)) return p;
    const to = new DOMPoint(e.clientX, e.clientY).matrixTransform(drawing.getScreenCTM()!.inverse());
    return { x: to.x, y: to.y };
  };
  return (
    <g ref={mark} transform={`translate(${p.x} ${p.y})`}>
      <g transform={`rotate(${angle})`} stroke="var(--color-doing)" strokeWidth={width * 0.035} fill="none">
        <line y1={-0.14 * width} y2={-0.75 * width} />
        <path
          d={`M${-0.09 * width} ${-0.64 * width}L0 ${-0.78 * width}L${0.09 * width} ${-0.64 * width}`}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </g>
      <circle
        r={0.13 * width}
        fill="var(--color-card)"
        fillOpacity={0.75}
        stroke="var(--color-doing)"
        strokeWidth={width * 0.035}
        className="cursor-move touch-none"
        role="button"
        tabIndex={0}
        aria-label="Grip"
        onPointerDown={(e) => {
          e.stopPropagation();
          e.currentTarget.setPointerCapture(e.pointerId);
          setHeld(grip);
        }}
        onPointerMove={(e) => held && setHeld(at(e))}
        onPointerUp={() => {
          if (held && (held.x !== grip.x || held.y !== grip.y)) put(held);
          setHeld(null);
        }}
        onPointerCancel={() => setHeld(null)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') setHeld(null);
          const d = stepOf(e);
          if (!d) return;
          e.preventDefault();
          e.stopPropagation();
          row.press('grip', { x: p.x + d[0], y: p.y + d[1] });
        }}
      />
    </g>
  );
}
