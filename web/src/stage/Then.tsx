import type { OpenLine } from 'page-core';
import { useEffect, useRef } from 'react';
import { frameThen, useCompared } from '../shot/compared';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { Painter } from './painter';
import type { ViewBox } from './view';

/** An earlier state of the shot on the stage, at the same moment: over all of it, or over its left half. */
export function Then({ box }: { box: ViewBox }) {
  const { view, artwork } = useStudio();
  const then = useCompared((s) => s.with);
  const shows = useCompared((s) => s.shows);
  const now = useActed((s) => s.shot);
  const frame = useDesk((s) => s.frame);
  const root = useRef<SVGGElement>(null);
  const painter = useRef<Painter | null>(null);
  const opened = useRef<OpenLine | null>(null);
  // a state of the shot is opened once, however often the present one changes
  const ready = useActed((s) => s.open !== null);
  useEffect(() => {
    const rules = useActed.getState().open;
    opened.current = then && ready && rules ? rules.of(then.shot) : null;
  }, [then, ready, view.character]);
  useEffect(() => {
    painter.current = root.current && new Painter(root.current, view.character, artwork);
  }, [then, view.character, artwork, shows]);
  useEffect(() => {
    const open = opened.current;
    if (open && then && now) painter.current?.show(open.frame(frameThen(frame, now, then.shot), {}));
  }, [ready, then, now, frame, view.character, artwork, shows]);
  if (!then || shows === 'now') return null;
  const half = shows === 'beside';
  return (
    <div
      className={`absolute inset-y-0 left-0 border-line graticule ${half ? 'w-1/2 border-r-2' : 'w-full'}`}
      data-testid="then"
    >
      <svg
        className="h-full w-full"
        viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
        preserveAspectRatio="xMidYMid meet"
        role="img"
        aria-label={`${view.character.name}, as acted in revision ${then.revision}`}
      >
        <g ref={root} />
      </svg>
      <span
        className="pointer-events-none absolute right-2 bottom-14 left-2 truncate rounded-full border border-line bg-card px-2.5 py-0.5 text-center text-[12px]"
        title={then.message}
      >
        <b>then</b>, revision {then.revision}: {then.message}
      </span>
    </div>
  );
}
