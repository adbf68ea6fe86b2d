import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { api, type BrowsView } from '../../api/client';
import { hold } from '../../shelf/values';
import { Painter } from '../../stage/painter';
import { boundsOf } from '../../stage/view';
import { useDesk } from '../../state/desk';
import { useSettled } from '../../state/settled';
import { useStudio } from '../../state/studio';

type Brow = BrowsView['brows'][number];
const POINTS = ['inner', 'middle', 'outer'] as const;

/** Both brows, large and live, each with three points to pull up and down. */
export function BrowCloseUp({ apart, lacking }: { apart: boolean; lacking: boolean }) {
  const { view, artwork, director } = useStudio();
  const { character } = view;
  const root = useRef<SVGGElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  useEffect(() => {
    const painter = new Painter(root.current!, character, artwork);
    return director.watch((frame) => painter.show(frame));
  }, [character, artwork, director]);
  const dials = useSettled((s) => s.dials, 40);
  const looks = useSettled((s) => s.looks, 40);
  const brows = useQuery({
    queryKey: ['brows', view.id, view.revision, dials, looks],
    queryFn: () => api.brows(view.id, { ...director.pose() }),
    placeholderData: keepPreviousData,
  });
  const box = useMemo(() => {
    const b = boundsOf(
      character,
      artwork,
      character.rig.parts
        .filter((p) => p.role === 'BROW' || p.role === 'WHITE' || p.role === 'EYE_OUTLINE')
        .map((p) => p.id),
    );
    if (!b) return null;
    const w = b.w * 1.24;
    const h = w * 0.42;
    return { x: b.x + b.w / 2 - w / 2, y: b.y + b.h * 0.32 - h / 2, w, h };
  }, [character, artwork]);
  if (!box) return null;
  const px = box.w / 520;
  return (
    <figure className="mt-3 overflow-hidden rounded-xl border border-line bg-drawn">
      <svg
        ref={svg}
        viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
        className="block w-full touch-none"
        role="group"
        aria-label="Brows"
      >
        <g ref={root} />
        {!lacking &&
          brows.data?.brows.map((b) =>
            POINTS.map((point) => (
              <Grip key={b.id + point} brow={b} point={point} apart={apart} px={px} svg={svg} />
            )),
          )}
      </svg>
      <figcaption className="bg-paper px-2.5 py-1 text-[12px] text-faint">
        {lacking
          ? 'Brows that can be raised, tilted and bent need their dials first.'
          : 'Pull a point up or down. What is done here adds to whatever look is on.'}
      </figcaption>
    </figure>
  );
}

/** One point of a brow: pulled, it turns the dial that bends the brow there. */
function Grip({
  brow,
  point,
  apart,
  px,
  svg,
}: {
  brow: Brow;
  point: (typeof POINTS)[number];
  apart: boolean;
  px: number;
  svg: React.RefObject<SVGSVGElement | null>;
}) {
  const { view, director } = useStudio();
  const dial = view.character.controls.dials.find(
    (d) =>
      d.id === `brow-${point}` ||
      (apart && d.id === `brow-${point}-${brow.side === 'LEFT' ? 'left' : 'right'}`),
  );
  const value = useDesk((s) => (dial ? hold(dial, s.dials[dial.id] ?? dial.rest) : 0));
  const [from, setFrom] = useState<{ y: number; value: number } | null>(null);
  if (!dial) return null;
  const [x, y] = brow[point] as [number, number];
  // how far the dial's whole upper half takes the point
  const stop = dial.stops.at(-1)?.offsets[brow.id];
  const bends = [stop?.bendLeft ?? 0, stop?.bendMiddle ?? 0, stop?.bendRight ?? 0].map(Math.abs);
  const reach = Math.max(...bends) || 1;
  const at = (e: React.PointerEvent) =>
    new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse()).y;
  const set = (v: number) => useDesk.getState().turn(dial.id, hold(dial, v));
  const done = () => {
    setFrom(null);
    director.release();
  };
  return (
    <circle
      cx={x}
      cy={y}
      r={7 * px}
      role="slider"
      tabIndex={0}
      aria-label={`${brow.name}, ${point} point`}
      aria-valuemin={dial.from}
      aria-valuemax={dial.to}
      aria-valuenow={Math.round(value * 100) / 100}
      data-testid={`grip-${brow.id}-${point}`}
      className="cursor-ns-resize fill-card stroke-doing focus-visible:fill-doing"
      strokeWidth={2.5 * px}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        e.currentTarget.focus();
        setFrom({ y: at(e), value });
        director.grab(dial.id);
      }}
      onPointerMove={(e) => from && set(from.value + (from.y - at(e)) / Math.max(reach, 1e-6))}
      onPointerUp={() => from && done()}
      onPointerCancel={() => from && done()}
      onKeyDown={(e) => {
        const by = e.shiftKey ? 0.25 : 0.05;
        if (e.key === 'Escape' && from) {
          set(from.value);
          done();
        } else if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
          e.preventDefault();
          set(value + (e.key === 'ArrowUp' ? by : -by));
        } else if (e.key === 'Delete' || e.key === 'Backspace') set(dial.rest);
      }}
    >
      <title>{`${dial.name}: drag up or down`}</title>
    </circle>
  );
}
