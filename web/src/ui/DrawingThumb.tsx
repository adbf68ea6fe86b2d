import { useLayoutEffect, useRef } from 'react';
import type { Shape } from '../api/client';
import { paintDrawing } from '../stage/alone';
import { measured, viewBoxOf } from './measured';

const NONE: Shape[] = [];

/** One drawing alone, filling its box; `around` leaves room for another one, which is not shown. */
export function DrawingThumb({
  shapes,
  label,
  around = NONE,
  className = '',
}: {
  shapes: Shape[];
  label: string;
  around?: Shape[];
  className?: string;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const g = useRef<SVGGElement>(null);
  const room = useRef<SVGGElement>(null);
  const all = useRef<SVGGElement>(null);
  useLayoutEffect(() => {
    paintDrawing(g.current!, shapes);
    paintDrawing(room.current!, around);
    const shown = svg.current!;
    measured(all.current!, (b) => shown.setAttribute('viewBox', viewBoxOf(b, 0.09)));
  }, [shapes, around]);
  return (
    <svg
      ref={svg}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      className={className}
    >
      <g ref={all}>
        <g ref={room} visibility="hidden" />
        <g ref={g} />
      </g>
    </svg>
  );
}
