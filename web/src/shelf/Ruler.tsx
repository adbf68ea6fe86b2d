import { Pin } from 'lucide-react';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import type { Dial } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { DrawingThumb } from '../ui/DrawingThumb';
import { hold, nextNotch, shown, typed } from './values';
import { useValue, valueNow } from './standing';

/** A dial as a ruler: its stops are pins, its bands coloured stretches with the drawings they show. */
export function Ruler({
  dial,
  pin,
}: {
  dial: Dial;
  /** Whether it always comes first, and what changes that; nothing where there is no order. */
  pin?: { pinned: boolean; toggle: () => void };
}) {
  const { director } = useStudio();
  const value = useValue(dial);
  const track = useRef<HTMLDivElement>(null);
  const [draft, setDraft] = useState<string | null>(null);
  const [grabbed, setGrabbed] = useState(false);
  const started = useRef(value);
  const set = useCallback((v: number) => useDesk.getState().turn(dial.id, hold(dial, v)), [dial]);
  const share = (v: number) => ((v - dial.from) / (dial.to - dial.from)) * 100;

  const at = (e: React.PointerEvent) => {
    const r = track.current!.getBoundingClientRect();
    return dial.from + ((e.clientX - r.left) / r.width) * (dial.to - dial.from);
  };

  useEffect(() => {
    const e = track.current!;
    const wheel = (event: WheelEvent) => {
      // whoever means to scroll the shelf does not mean the dial that happens to lie there
      if (!event.altKey && document.activeElement !== e) return;
      event.preventDefault();
      const now = valueNow(dial);
      set(nextNotch(dial, now, event.deltaY < 0));
    };
    e.addEventListener('wheel', wheel, { passive: false });
    return () => e.removeEventListener('wheel', wheel);
  }, [dial, set]);

  const letGo = () => {
    setGrabbed(false);
    director.release();
  };

  const key = (e: React.KeyboardEvent) => {
    const step = (dial.to - dial.from) / 100;
    const by = e.shiftKey ? 10 : 1;
    const moves: Record<string, () => number> = {
      ArrowRight: () => value + step * by,
      ArrowUp: () => value + step * by,
      ArrowLeft: () => value - step * by,
      ArrowDown: () => value - step * by,
      PageUp: () => nextNotch(dial, value, true),
      PageDown: () => nextNotch(dial, value, false),
      Home: () => dial.from,
      End: () => dial.to,
      Delete: () => dial.rest,
      Backspace: () => dial.rest,
    };
    if (e.key === 'Escape' && grabbed) {
      set(started.current);
      letGo();
      return;
    }
    const move = moves[e.key];
    if (move) {
      e.preventDefault();
      set(move());
    }
  };

  const keep = () => {
    if (draft !== null) {
      const v = typed(draft);
      if (v !== null) set(v);
      setDraft(null);
    }
  };

  return (
    <div className="group/ruler flex items-center gap-2.5">
      <div className="relative w-[84px] shrink-0">
        <div className="truncate text-[12.5px] font-bold" title={dial.name}>
          {dial.name}
        </div>
        {pin && (
          <button
            aria-label={`${dial.name}: always first`}
            aria-pressed={pin.pinned}
            title={pin.pinned ? 'No longer first' : 'Always first'}
            className={`absolute right-0 bottom-0 grid h-6 w-6 place-items-center rounded hover:bg-tide/60 ${
              pin.pinned
                ? 'text-chosen'
                : 'text-faint opacity-0 group-hover/ruler:opacity-100 focus-visible:opacity-100'
            }`}
            onClick={pin.toggle}
          >
            <Pin size={12} aria-hidden fill={pin.pinned ? 'currentColor' : 'none'} />
          </button>
        )}
        <input
          aria-label={`${dial.name}, value`}
          className="w-full rounded border border-transparent bg-transparent text-[12.5px] text-faint hover:border-line"
          value={draft ?? shown(dial, value)}
          onFocus={(e) => {
            setDraft(shown(dial, value));
            // selecting takes the focus too, which may have gone on by then
            requestAnimationFrame(() => document.activeElement === e.target && e.target.select());
          }}
          onChange={(e) => setDraft(e.target.value)}
          onBlur={keep}
          onKeyDown={(e) => {
            e.stopPropagation();
            if (e.key === 'Enter') e.currentTarget.blur();
            if (e.key === 'Escape') {
              setDraft(null);
              requestAnimationFrame(() => (e.target as HTMLInputElement).blur());
            }
          }}
        />
      </div>
      <div
        ref={track}
        role="slider"
        tabIndex={0}
        aria-label={dial.name}
        aria-valuemin={dial.from}
        aria-valuemax={dial.to}
        aria-valuenow={Math.round(value * 100) / 100}
        aria-valuetext={shown(dial, value)}
        data-testid={`ruler-${dial.id}`}
        title="Drag; with focus or Alt the wheel goes from stop to stop; double-click for rest"
        className="relative h-9 flex-1 cursor-ew-resize touch-none select-none"
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          started.current = value;
          setGrabbed(true);
          set(at(e));
          director.grab(dial.id);
        }}
        onPointerMove={(e) => grabbed && set(at(e))}
        onPointerUp={() => grabbed && letGo()}
        onPointerCancel={() => grabbed && letGo()}
        onDoubleClick={() => set(dial.rest)}
        onKeyDown={key}
      >
        <Marks dial={dial} />
        {/* moved by a transform on a layer of its own, so that nothing around it is painted anew */}
        <div
          className="pointer-events-none absolute inset-0 will-change-transform"
          style={{ transform: `translateX(${share(value)}%)` }}
        >
          <div className="absolute top-[5px] -left-[6.5px] h-[26px] w-[13px] rounded-[5px] border-2 border-card bg-doing shadow" />
        </div>
      </div>
    </div>
  );
}

/** What stays where it is while the dial is dragged: its stops, and its bands with the drawings they show. */
const Marks = memo(function Marks({ dial }: { dial: Dial }) {
  const { view, artwork } = useStudio();
  const share = (v: number) => ((v - dial.from) / (dial.to - dial.from)) * 100;
  const bands = dial.bands.flatMap((b) => b.bands.map((band) => ({ ...band, part: b.part })));
  return (
    <>
      <div className="absolute inset-x-0 top-[13px] h-2.5 rounded-full border border-line bg-card" />
      {bands.map((b) => (
        <div
          key={`${b.part}${b.from}`}
          className="absolute top-[13px] h-2.5 bg-tide"
          style={{ left: `${share(b.from)}%`, width: `${share(b.to) - share(b.from)}%` }}
        />
      ))}
      {bands
        .filter((b) => b.part === bands.at(-1)?.part)
        .map((b) => {
          const drawing = view.character.rig.parts
            .find((p) => p.id === b.part)
            ?.drawings.find((d) => d.id === b.drawing);
          return drawing ? (
            <div
              key={`thumb${b.from}`}
              className="pointer-events-none absolute top-[5px] -ml-[13px] rounded-full border border-line bg-stage"
              style={{ left: `${share((b.from + b.to) / 2)}%` }}
            >
              <DrawingThumb
                shapes={artwork[drawing.art] ?? []}
                label={drawing.name}
                className="h-6 w-6 p-0.5"
              />
            </div>
          ) : null;
        })}
      {[...dial.stops.map((s) => s.at), dial.rest].map((s) => (
        <div
          key={s}
          className={`absolute top-[9px] h-[18px] w-[3px] -ml-[1.5px] rounded ${s === dial.rest ? 'bg-ink' : 'bg-faint'}`}
          style={{ left: `${share(s)}%` }}
        />
      ))}
    </>
  );
});
