import { useRef, useState } from 'react';
import { LEAST, type Panel, useRoom } from './room';

/** Pixels an arrow moves it. */
const STEP = 8;
/** Which arrows make the panel larger, and which smaller. */
const WAYS: Record<'left' | 'right' | 'up', Record<string, number>> = {
  right: { ArrowRight: 1, ArrowLeft: -1 },
  left: { ArrowLeft: 1, ArrowRight: -1 },
  up: { ArrowUp: 1, ArrowDown: -1 },
};

/**
 * The edge of a panel: dragged, or moved by arrows; a double click or Enter folds the panel away. As the authoring practices of the
 * W3C have it for a window splitter.
 *
 * @param grows the way it is pulled to make the panel larger
 */
export function Divider({
  panel,
  label,
  grows,
  className,
}: {
  panel: Panel;
  label: string;
  grows: 'left' | 'right' | 'up';
  className: string;
}) {
  const size = useRoom((s) => s.size[panel]);
  const folded = useRoom((s) => s.folded.includes(panel));
  const grip = useRef<HTMLDivElement>(null);
  const start = useRef<{ at: number; size: number; was: number | undefined } | null>(null);
  const [held, setHeld] = useState(false);
  const upright = grows !== 'up';
  const room = useRoom.getState;
  const element = () =>
    grip.current?.closest('.workspace')?.querySelector<HTMLElement>(`[data-panel=${panel}]`);
  const measured = () => {
    const r = element()?.getBoundingClientRect();
    return r ? (upright ? r.width : r.height) : (size ?? LEAST[panel]);
  };
  const most = () => (upright ? window.innerWidth : window.innerHeight) - 220;
  const set = (pixels: number) => room().resize(panel, Math.min(most(), pixels));
  const end = () => {
    start.current = null;
    setHeld(false);
  };
  return (
    <div
      ref={grip}
      role="separator"
      tabIndex={0}
      aria-orientation={upright ? 'vertical' : 'horizontal'}
      aria-label={label}
      aria-valuenow={folded ? 0 : Math.round(size ?? LEAST[panel])}
      aria-valuemin={0}
      aria-valuemax={4000}
      aria-valuetext={folded ? 'folded away' : size === undefined ? 'as usual' : `${size} pixels`}
      title={folded ? 'Double-click: bring it back' : 'Drag; double-click: fold it away'}
      className={`group/divider z-20 grid touch-none place-items-center select-none ${upright ? 'w-3 cursor-col-resize' : 'h-3 cursor-row-resize'} ${className}`}
      onPointerDown={(e) => {
        if (e.button !== 0) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        start.current = { at: upright ? e.clientX : e.clientY, size: folded ? 0 : measured(), was: size };
        setHeld(true);
      }}
      onPointerMove={(e) => {
        const s = start.current;
        if (!s) return;
        const by = ((upright ? e.clientX : e.clientY) - s.at) * (grows === 'right' ? 1 : -1);
        if (Math.abs(by) < 3 && size === s.was) return;
        // what is pulled to less than half of the least it can be is meant to go
        const to = s.size + by;
        room().fold(panel, to < LEAST[panel] / 2);
        if (to >= LEAST[panel] / 2) set(to);
      }}
      onPointerUp={end}
      onPointerCancel={end}
      onDoubleClick={() => room().fold(panel, !folded)}
      onKeyDown={(e) => {
        const s = start.current;
        if (e.key === 'Escape' && s) {
          e.stopPropagation();
          room().resize(panel, s.was);
          end();
          return;
        }
        const by = WAYS[grows][e.key] ?? 0;
        if (by !== 0) {
          if (folded) room().fold(panel, false);
          set(measured() + by * STEP * (e.shiftKey ? 5 : 1));
        } else if (e.key === 'Enter') room().fold(panel, !folded);
        else if (e.key === 'Delete' || e.key === 'Backspace') room().resize(panel, undefined);
        else return;
        e.preventDefault();
        e.stopPropagation();
      }}
    >
      <span
        className={`rounded-full transition-colors ${upright ? 'h-10 w-1' : 'h-1 w-10'} ${
          held
            ? 'bg-chosen'
            : 'bg-faint/35 group-hover/divider:bg-chosen group-focus-visible/divider:bg-chosen'
        }`}
      />
    </div>
  );
}
