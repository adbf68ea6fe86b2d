import { useState } from 'react';
import type { Dial } from '../api/client';
import { useValue, valueNow } from '../shelf/standing';
import { hold, shown } from '../shelf/values';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { EDGE } from './lanes';

/** A small ruler: its handle stands where the dial does, and can be dragged. */
export function HeadRuler({ dial, across, size }: { dial: Dial; across: boolean; size: number }) {
  const value = useValue(dial);
  const { director } = useStudio();
  const long = size - 2 * EDGE;
  const share = (v: number) => (v - dial.from) / (dial.to - dial.from || 1);
  const place = (v: number) => (across ? (1 - share(v)) * long : share(v) * long);
  const [grabbed, setGrabbed] = useState(false);
  const set = (e: React.PointerEvent) => {
    const r = e.currentTarget.getBoundingClientRect();
    const t = across ? 1 - (e.clientY - r.top - EDGE) / long : (e.clientX - r.left - EDGE) / long;
    useDesk.getState().turn(dial.id, hold(dial, dial.from + t * (dial.to - dial.from)));
  };
  const key = (e: React.KeyboardEvent) => {
    const by = ((dial.to - dial.from) / 100) * (e.shiftKey ? 10 : 1);
    const way = { ArrowRight: by, ArrowUp: by, ArrowLeft: -by, ArrowDown: -by }[e.key];
    if (way === undefined) return;
    e.preventDefault();
    e.stopPropagation();
    useDesk.getState().turn(dial.id, hold(dial, valueNow(dial) + way));
  };
  const marks = [...new Set([dial.from, dial.rest, dial.to, ...dial.stops.map((s) => s.at)])];
  return (
    <>
      <span className="text-[11.5px] text-faint">{shown(dial, value)}</span>
      <div
        role="slider"
        tabIndex={-1}
        aria-label={`${dial.name} at this frame`}
        aria-valuemin={dial.from}
        aria-valuemax={dial.to}
        aria-valuenow={Math.round(value * 100) / 100}
        className={`touch-none outline-offset-[-2px] ${across ? 'absolute top-0 right-1 h-full w-6 cursor-ns-resize' : 'absolute bottom-0 left-0 h-6 w-full cursor-ew-resize'}`}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          setGrabbed(true);
          set(e);
          director.grab(dial.id);
        }}
        onPointerMove={(e) => grabbed && set(e)}
        onPointerUp={() => {
          setGrabbed(false);
          director.release();
        }}
        onPointerCancel={() => {
          setGrabbed(false);
          director.release();
        }}
        onKeyDown={key}
      >
        <div
          className="absolute rounded bg-line"
          style={
            across
              ? { top: EDGE, bottom: EDGE, left: 11, width: 3 }
              : { left: EDGE, right: EDGE, top: 11, height: 3 }
          }
        />
        {marks.map((m) => (
          <div
            key={m}
            className={`absolute rounded ${m === dial.rest ? 'bg-ink' : 'bg-faint'}`}
            style={
              across
                ? { top: EDGE + place(m) - 1, left: 7, width: 11, height: 2 }
                : { left: EDGE + place(m) - 1, top: 7, width: 2, height: 11 }
            }
          />
        ))}
        <div
          className="absolute rounded-[3px] bg-doing"
          style={
            across
              ? { top: EDGE + place(value) - 4, left: 4, width: 17, height: 8 }
              : { left: EDGE + place(value) - 4, top: 4, width: 8, height: 17 }
          }
        />
      </div>
    </>
  );
}
