import { useState } from 'react';
import { usePlayer } from './player';

/**
 * A stretch on the strip: dragged along, and by its end. Arrows move it, with Shift its end; Delete takes it out.
 *
 * @param over called with the frames it is to lie over, the second one behind it
 */
export function SpanBar({
  from,
  to,
  frames,
  label,
  text,
  gone = false,
  over,
  drop,
}: {
  from: number;
  to: number;
  frames: number;
  label: string;
  text: string;
  /** What it belongs to is not there any more. */
  gone?: boolean;
  over: (from: number, to: number) => void;
  drop: () => void;
}) {
  const { stepTo } = usePlayer();
  const [drag, setDrag] = useState<{ x: number; by: number; end: boolean } | null>(null);
  const changed = (by: number, end: boolean): [number, number] => {
    if (end) return [from, Math.max(from + 1, Math.min(frames, to + by))];
    const held = Math.max(-from, Math.min(frames - to, by));
    return [from + held, to + held];
  };
  const [first, behind] = drag ? changed(drag.by, drag.end) : [from, to];
  const set = ([a, b]: [number, number]) => (a !== from || b !== to) && over(a, b);
  const take = (end: boolean) => (e: React.PointerEvent) => {
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    setDrag({ x: e.clientX, by: 0, end });
  };
  const move = (e: React.PointerEvent) => {
    if (!drag) return;
    const lane = e.currentTarget.closest('[data-spans]')!.getBoundingClientRect().width;
    setDrag({ ...drag, by: Math.round(((e.clientX - drag.x) / lane) * frames) });
  };
  const release = (e: React.PointerEvent) => {
    e.stopPropagation();
    if (drag && drag.by !== 0) set([first, behind]);
    else if (drag) stepTo(from);
    setDrag(null);
  };
  return (
    <div
      className={`absolute top-[2px] flex h-[14px] overflow-hidden rounded-sm ${gone ? 'bg-wrong-soft text-wrong' : 'bg-tide'}`}
      style={{ left: `${(first / frames) * 100}%`, width: `${((behind - first) / frames) * 100}%` }}
    >
      <button
        className="min-w-0 flex-1 cursor-grab touch-none truncate px-1 text-left text-[10px] leading-[14px]"
        aria-label={`${label} from frame ${from + 1} to ${to}`}
        title={
          gone
            ? `${text} is not there any more; Delete takes it out`
            : 'Drag along; its right end is where it is let go. Arrows move it, with Shift its end; Delete takes it out'
        }
        onPointerDown={take(false)}
        onPointerMove={move}
        onPointerUp={release}
        onPointerCancel={() => setDrag(null)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') setDrag(null);
          if (e.key === 'Delete' || e.key === 'Backspace') drop();
          const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
          if (!by) return;
          e.preventDefault();
          e.stopPropagation();
          set(changed(by, e.shiftKey));
        }}
      >
        {text}
      </button>
      <span
        aria-hidden
        className="w-[7px] shrink-0 cursor-ew-resize touch-none border-r-2 border-ink/60"
        onPointerDown={take(true)}
        onPointerMove={move}
        onPointerUp={release}
        onPointerCancel={() => setDrag(null)}
      />
    </div>
  );
}
