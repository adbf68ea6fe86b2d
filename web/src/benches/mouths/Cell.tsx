import { memo, useLayoutEffect, useRef } from 'react';
import type { Shape } from '../../api/client';
import { paintDrawing } from '../../stage/painter';
import type { ViewBox } from '../../stage/view';
import type { Placing } from './WallFace';

/** The face of the wall with one mouth in it, cropped to it. */
export const MouthPicture = memo(function MouthPicture({
  shapes,
  ghost,
  box,
  placing,
  className = '',
}: {
  shapes: Shape[];
  /** Another mouth, shown through. */
  ghost?: Shape[];
  box: ViewBox;
  placing: Placing;
  className?: string;
}) {
  const g = useRef<SVGGElement>(null);
  const over = useRef<SVGGElement>(null);
  useLayoutEffect(() => paintDrawing(g.current!, shapes), [shapes]);
  useLayoutEffect(() => paintDrawing(over.current!, ghost ?? []), [ghost]);
  const mouth = placing.clips.reduceRight(
    (inner, clip) => <g clipPath={clip}>{inner}</g>,
    <g transform={placing.matrix}>
      <g ref={g} />
      <g ref={over} opacity={0.35} />
    </g>,
  );
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
      preserveAspectRatio="xMidYMid slice"
      className={className}
      aria-hidden
    >
      <use href="#wall-behind" />
      {mouth}
      <use href="#wall-before" />
    </svg>
  );
});
