import { useLayoutEffect, useRef } from 'react';
import type { Shape } from '../api/client';
import { paintDrawing } from '../stage/painter';

/** One drawing alone, filling its box. */
export function DrawingThumb({
  shapes,
  label,
  className = '',
}: {
  shapes: Shape[];
  label: string;
  className?: string;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const g = useRef<SVGGElement>(null);
  useLayoutEffect(() => {
    paintDrawing(g.current!, shapes);
    const b = g.current!.getBBox();
    const pad = Math.max(b.width, b.height, 1) * 0.09;
    svg.current!.setAttribute(
      'viewBox',
      `${b.x - pad} ${b.y - pad} ${Math.max(1, b.width) + 2 * pad} ${Math.max(1, b.height) + 2 * pad}`,
    );
  }, [shapes]);
  return (
    <svg
      ref={svg}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      className={className}
    >
      <g ref={g} />
    </svg>
  );
}
