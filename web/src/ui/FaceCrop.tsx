import { type ReactNode, useLayoutEffect, useRef } from 'react';
import type { Artwork, Character, Frame, Redrawn } from '../api/client';
import { Painter } from '../stage/painter';
import type { ViewBox } from '../stage/view';

const NONE: Redrawn[] = [];

/** A crop of the real face in some frame. */
export function FaceCrop({
  character,
  artwork,
  frame,
  box,
  label,
  className = '',
  redrawn = NONE,
  children,
}: {
  character: Character;
  artwork: Artwork;
  /** Nothing while it is on its way. */
  frame: Frame | undefined;
  box: ViewBox;
  label: string;
  className?: string;
  /** Drawings that look otherwise in it. */
  redrawn?: Redrawn[];
  /** Marks over the face, in canvas units. */
  children?: ReactNode;
}) {
  const g = useRef<SVGGElement>(null);
  const painter = useRef<Painter | null>(null);
  useLayoutEffect(() => {
    painter.current = new Painter(g.current!, character, artwork);
  }, [character, artwork]);
  useLayoutEffect(() => {
    if (!frame) return;
    painter.current?.redraw(redrawn);
    painter.current?.show(frame);
  }, [character, artwork, frame, redrawn]);
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
      {children}
    </svg>
  );
}
