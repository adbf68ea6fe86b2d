import { useRef, useState } from 'react';
import type { Dial } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { PadPath } from './PadPath';
import { useValue } from './standing';
import { hold, shown, within } from './values';

/** Two dials as one square: where the eyes look, or how the head is held. Right is the right of the screen. */
export function GazePad({
  name,
  across,
  down,
  field,
  large = false,
}: {
  name: string;
  across: Dial;
  down: Dial;
  field: number[][];
  large?: boolean;
}) {
  const x = useValue(across);
  const y = useValue(down);
  const { director } = useStudio();
  const square = useRef<HTMLDivElement>(null);
  const [grabbed, setGrabbed] = useState(false);
  const started = useRef<[number, number]>([x, y]);
  const set = (nx: number, ny: number) => {
    const desk = useDesk.getState();
    const [hx, hy] = within(field, [hold(across, nx), hold(down, ny)], [across.rest, down.rest]);
    desk.turnAll({ [across.id]: hx, [down.id]: hy });
  };
  const share = (d: Dial, v: number) => ((v - d.from) / (d.to - d.from)) * 100;
  const move = (e: React.PointerEvent) => {
    const r = square.current!.getBoundingClientRect();
    set(
      across.from + ((e.clientX - r.left) / r.width) * (across.to - across.from),
      down.from + ((e.clientY - r.top) / r.height) * (down.to - down.from),
    );
  };
  const letGo = () => {
    setGrabbed(false);
    director.release();
  };
  const key = (e: React.KeyboardEvent) => {
    const by = e.shiftKey ? 1 / 8 : 1 / 40;
    const [bx, by_] = [by * (across.to - across.from), by * (down.to - down.from)];
    const moves: Record<string, [number, number]> = {
      ArrowLeft: [x - bx, y],
      ArrowRight: [x + bx, y],
      ArrowUp: [x, y - by_],
      ArrowDown: [x, y + by_],
      Delete: [across.rest, down.rest],
      Backspace: [across.rest, down.rest],
    };
    if (e.key === 'Escape' && grabbed) {
      set(...started.current);
      letGo();
    }
    const to = moves[e.key];
    if (to) {
      e.preventDefault();
      set(...to);
    }
  };
  return (
    <div className="shrink-0">
      <div className="relative">
        <div
          ref={square}
          role="slider"
          tabIndex={0}
          aria-label={name}
          aria-roledescription="pad"
          aria-valuemin={across.from}
          aria-valuemax={across.to}
          aria-valuenow={Math.round(x * 100) / 100}
          aria-valuetext={`across ${shown(across, x)}, down ${shown(down, y)}`}
          data-testid={`pad-${name.toLowerCase()}`}
          title="Drag; double-click for straight ahead"
          className={`relative cursor-crosshair touch-none overflow-hidden rounded-xl border border-line bg-card ${
            large ? 'h-[132px] w-[160px]' : 'h-[76px] w-[92px]'
          }`}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            started.current = [x, y];
            setGrabbed(true);
            move(e);
            director.grab(across.id, down.id);
          }}
          onPointerMove={(e) => grabbed && move(e)}
          onPointerUp={() => grabbed && letGo()}
          onPointerCancel={() => grabbed && letGo()}
          onDoubleClick={() => set(across.rest, down.rest)}
          onKeyDown={key}
        >
          {field.length > 0 && (
            <svg
              className="absolute inset-0 h-full w-full"
              viewBox="0 0 100 100"
              preserveAspectRatio="none"
              aria-hidden
            >
              <rect width="100" height="100" className="fill-chart" />
              <path
                d={'M' + field.map((p) => `${share(across, p[0]!)} ${share(down, p[1]!)}`).join('L') + 'Z'}
                className="fill-card stroke-doing"
                strokeWidth="1.5"
                vectorEffect="non-scaling-stroke"
              />
            </svg>
          )}
          <div className="absolute inset-y-0 left-1/2 w-px bg-line" />
          <div className="absolute inset-x-0 top-1/2 h-px bg-line" />
          <div
            className="pointer-events-none absolute inset-0 will-change-transform"
            style={{ transform: `translate(${share(across, x)}%, ${share(down, y)}%)` }}
          >
            <div className="absolute -top-2 -left-2 h-4 w-4 rounded-full border-2 border-card bg-doing shadow" />
          </div>
        </div>
        {/* over the pad and not in it, since a handle within a slider is not found */}
        <PadPath name={name} across={across} down={down} />
      </div>
      <div className="mt-0.5 text-center text-[12px] font-bold">{name}</div>
    </div>
  );
}
