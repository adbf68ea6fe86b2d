import { memo, useEffect, useLayoutEffect, useRef } from 'react';
import type { Shape } from '../../api/client';
import { paintDrawing, reshapeDrawing } from '../../stage/alone';
import type { Preview } from './preview';
import type { Placing } from './WallFace';

/**
 * The face of the wall with one mouth in it, cropped to it.
 */
export const MouthPicture = memo(function MouthPicture({
  shapes,
  ghost,
  placing,
  preview,
  previewed,
  live = false,
  className = '',
}: {
  shapes: Shape[];
  /** Another mouth, shown through. */
  ghost?: Shape[];
  placing: Placing;
  preview?: Preview;
  /** Which mouth of the preview it is; none for one that is kept. */
  previewed?: string | null;
  /** Whether it is told of every step of a ruler; the wall paints those itself. */
  live?: boolean;
  className?: string;
}) {
  const g = useRef<SVGGElement>(null);
  const over = useRef<SVGGElement>(null);
  useLayoutEffect(() => paintDrawing(g.current!, shapes), [shapes]);
  useLayoutEffect(() => paintDrawing(over.current!, ghost ?? []), [ghost]);
  useEffect(() => {
    if (!preview || !previewed) return;
    const shows = (outlines: string[] | null) => {
      if (!outlines || !reshapeDrawing(g.current!, outlines)) paintDrawing(g.current!, shapes);
    };
    return preview.watch(previewed, shows, live);
  }, [preview, previewed, shapes, live]);
  const mouth = placing.clips.reduceRight(
    (inner, clip) => <g clipPath={clip}>{inner}</g>,
    <g transform={`matrix(${placing.matrix.join(' ')})`}>
      <g ref={g} data-testid="mouth" />
      <g ref={over} opacity={0.35} />
    </g>,
  );
  const { box } = placing;
  const layer = 'pointer-events-none absolute inset-0 h-full w-full object-cover';
  return (
    <span className={`relative block overflow-hidden ${className}`} data-mouth={previewed} aria-hidden>
      {placing.behind && <img src={placing.behind} alt="" className={layer} />}
      <svg
        viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
        preserveAspectRatio="xMidYMid slice"
        className={layer}
      >
        {mouth}
      </svg>
      {placing.before && <img src={placing.before} alt="" className={layer} />}
    </span>
  );
});
