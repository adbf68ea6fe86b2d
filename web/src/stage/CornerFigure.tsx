import { X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { Frame } from '../api/client';
import { useStudio } from '../state/studio';
import { onCanvas } from './overlay/pointer';
import { Painter } from './painter';
import { showCorner } from './sight';
import type { ViewBox } from './view';

/**
 * The whole figure, small, while the stage is near: what the hands do while one works at the face. A frame in it is what the stage
 * shows, and goes where it is pointed at.
 */
export function CornerFigure({
  whole,
  seen,
  last,
  show,
}: {
  whole: ViewBox;
  /** What the stage shows. */
  seen: ViewBox;
  /** What was posed last. */
  last: React.RefObject<Frame | null>;
  show: (box: ViewBox) => void;
}) {
  const { view, artwork, director } = useStudio();
  const svg = useRef<SVGSVGElement>(null);
  const root = useRef<SVGGElement>(null);
  useEffect(() => {
    const p = new Painter(root.current!, view.character, artwork);
    if (last.current) p.show(last.current);
    const stopRedrawing = director.watchRedrawn((all) => p.redraw(all));
    const stopWatching = director.watch((frame) => p.show(frame));
    return () => {
      stopRedrawing();
      stopWatching();
    };
  }, [view.character, artwork, director, last]);
  const aim = (e: React.PointerEvent) => {
    if (e.buttons !== 1) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    const [x, y] = onCanvas(svg.current!, e);
    show({ ...seen, x: x - seen.w / 2, y: y - seen.h / 2 });
  };
  return (
    <div
      className="absolute bottom-2.5 left-3 w-[clamp(92px,26%,240px)] overflow-hidden rounded-lg border border-line bg-stage shadow-sm @max-[260px]/stage:hidden"
      data-testid="corner"
    >
      <svg
        ref={svg}
        className="block max-h-[38vh] w-full cursor-move touch-none"
        viewBox={`${whole.x} ${whole.y} ${whole.w} ${whole.h}`}
        role="img"
        aria-label={`${view.character.name}, the whole figure`}
        onPointerDown={aim}
        onPointerMove={aim}
      >
        <g ref={root} pointerEvents="none" />
        <rect
          x={seen.x}
          y={seen.y}
          width={seen.w}
          height={seen.h}
          fill="none"
          stroke="var(--chosen)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      </svg>
      <button
        className="absolute top-0.5 right-0.5 grid h-6 w-6 place-items-center rounded bg-card/80"
        aria-label="Close the whole figure"
        onClick={() => showCorner(false)}
      >
        <X size={13} aria-hidden />
      </button>
    </div>
  );
}
