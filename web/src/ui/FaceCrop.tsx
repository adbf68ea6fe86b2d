import { useLayoutEffect, useRef } from 'react';
import type { Artwork, Character, Frame } from '../api/client';
import { Painter } from '../stage/painter';
import type { ViewBox } from '../stage/view';

/** A crop of the real face in some frame. */
export function FaceCrop({
  character,
  artwork,
  frame,
  box,
  label,
  className = '',
}: {
  character: Character;
  artwork: Artwork;
  /** Nothing while it is on its way. */
  frame: Frame | undefined;
  box: ViewBox;
  label: string;
  className?: string;
}) {
  const g = useRef<SVGGElement>(null);
  const painter = useRef<Painter | null>(null);
  useLayoutEffect(() => {
    painter.current = new Painter(g.current!, character, artwork);
  }, [character, artwork]);
  useLayoutEffect(() => {
    if (frame) painter.current?.show(frame);
  }, [character, artwork, frame]);
  return (
    <svg
      role={label ? 'img' : undefined}
      aria-label={label || undefined}
      aria-hidden={label ? undefined : true}
      viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
      preserveAspectRatio="xMidYMid slice"
      className={className}
    >
      <g ref={g} />
    </svg>
  );
}
