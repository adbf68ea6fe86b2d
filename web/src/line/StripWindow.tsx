import { useRef } from 'react';
import { MOST_ZOOM } from './soundDesk';

/** The least of the line that is shown, as a share of it. */
const LEAST = 1 / MOST_ZOOM;

/**
 * The whole line as a bar, and on it what the strip shows: dragged along, or by its ends to show more or less.
 *
 * @param from share of the line, 0 to 1
 * @param show called with the shares that are to be shown
 */
export function StripWindow({
  from,
  to,
  show,
}: {
  from: number;
  to: number;
  show: (from: number, to: number) => void;
}) {
  const bar = useRef<HTMLDivElement>(null);
  const drag = useRef<{ what: 'all' | 'from' | 'to'; x: number; from: number; to: number } | null>(null);
  const begin = (what: 'all' | 'from' | 'to', e: React.PointerEvent) => {
    e.stopPropagation();
    bar.current!.setPointerCapture(e.pointerId);
    drag.current = { what, x: e.clientX, from, to };
  };
  const move = (e: React.PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    const by = (e.clientX - d.x) / bar.current!.getBoundingClientRect().width;
    if (d.what === 'all') {
      const start = Math.max(0, Math.min(1 - (d.to - d.from), d.from + by));
      show(start, start + d.to - d.from);
    } else if (d.what === 'from') show(Math.max(0, Math.min(d.to - LEAST, d.from + by)), d.to);
    else show(d.from, Math.min(1, Math.max(d.from + LEAST, d.to + by)));
  };
  const end = () => {
    drag.current = null;
  };
  const width = to - from;
  const press = (e: React.KeyboardEvent) => {
    const by = e.key === 'ArrowLeft' ? -width / 4 : e.key === 'ArrowRight' ? width / 4 : 0;
    if (by === 0) return;
    e.preventDefault();
    e.stopPropagation();
    const start = Math.max(0, Math.min(1 - width, from + by));
    show(start, start + width);
  };
  return (
    <div
      ref={bar}
      className="relative h-[8px] touch-none rounded-full bg-tide"
      onPointerDown={(e) => {
        const r = bar.current!.getBoundingClientRect();
        const start = Math.max(0, Math.min(1 - width, (e.clientX - r.left) / r.width - width / 2));
        show(start, start + width);
      }}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
    >
      <div
        role="slider"
        tabIndex={0}
        aria-label="What the strip shows of the line"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(from * 100)}
        aria-valuetext={`from ${Math.round(from * 100)} to ${Math.round(to * 100)} %`}
        title="Drag it along the line; drag its ends to show more or less"
        className="absolute inset-y-0 min-w-4 cursor-grab rounded-full bg-faint"
        style={{ left: `${from * 100}%`, width: `${width * 100}%` }}
        onPointerDown={(e) => begin('all', e)}
        onKeyDown={press}
      >
        <span
          className="absolute inset-y-[-2px] left-0 w-2 cursor-ew-resize rounded-full bg-ink"
          onPointerDown={(e) => begin('from', e)}
        />
        <span
          className="absolute inset-y-[-2px] right-0 w-2 cursor-ew-resize rounded-full bg-ink"
          onPointerDown={(e) => begin('to', e)}
        />
      </div>
    </div>
  );
}
