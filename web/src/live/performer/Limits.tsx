import { useState } from 'react';
import { limited, type Range } from './limited';

/** How far a link goes at most: the range of what it drives as a rail, with an end to drag at either limit. */
export function Limits({
  name,
  range,
  link,
  disabled,
  keep,
}: {
  name: string;
  /** The whole of what is driven. */
  range: Range;
  link: { least: number; most: number };
  disabled: boolean;
  keep: (limits: { least: number; most: number }) => void;
}) {
  const [draft, setDraft] = useState<Range | null>(null);
  const [least, most] = draft ?? [link.least, link.most];
  const [from, to] = range;
  const share = (v: number) => Math.max(0, Math.min(1, (v - from) / (to - from || 1))) * 100;
  const narrowed = least > from || most < to;
  const move = (end: 0 | 1, e: React.PointerEvent<HTMLElement>) => {
    const r = e.currentTarget.parentElement!.getBoundingClientRect();
    setDraft(limited(range, [least, most], end, from + ((e.clientX - r.left) / r.width) * (to - from)));
  };
  const done = (made: Range | null) => {
    setDraft(null);
    if (made && (made[0] !== link.least || made[1] !== link.most)) keep({ least: made[0], most: made[1] });
  };
  return (
    <span
      className={`relative mt-1 block h-1.5 ${narrowed ? '' : 'opacity-0 group-hover/row:opacity-100 focus-within:opacity-100'}`}
      title="Limits: drag an end"
    >
      <span className="absolute inset-x-0 top-[2px] h-[2px] rounded bg-line" />
      <span
        className="absolute top-[1px] h-1 rounded bg-chosen"
        style={{ left: `${share(least)}%`, width: `${share(most) - share(least)}%` }}
      />
      {([0, 1] as const).map((end) => (
        <span
          key={end}
          role="slider"
          tabIndex={disabled ? -1 : 0}
          aria-label={`${name}: no ${end === 0 ? 'lower' : 'higher'}`}
          aria-valuemin={from}
          aria-valuemax={to}
          aria-valuenow={Math.round((end === 0 ? least : most) * 100) / 100}
          aria-disabled={disabled}
          // as wide as a finger, as narrow as a mark
          className="absolute -top-2 grid h-[22px] w-6 -translate-x-1/2 cursor-ew-resize touch-none place-items-center rounded"
          style={{ left: `${share(end === 0 ? least : most)}%` }}
          onPointerDown={(e) => {
            if (disabled) return;
            e.currentTarget.setPointerCapture(e.pointerId);
            setDraft([least, most]);
          }}
          onPointerMove={(e) => draft && e.currentTarget.hasPointerCapture(e.pointerId) && move(end, e)}
          onPointerUp={() => done(draft)}
          onPointerCancel={() => setDraft(null)}
          onKeyDown={(e) => {
            if (e.key === 'Escape' && draft) {
              e.stopPropagation();
              return setDraft(null);
            }
            const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[e.key];
            if (disabled || by === undefined) return;
            e.preventDefault();
            e.stopPropagation();
            const step = ((to - from) / 100) * (e.shiftKey ? 10 : 1);
            done(limited(range, [least, most], end, (end === 0 ? least : most) + by * step));
          }}
        >
          <span className="h-2.5 w-[3px] rounded bg-chosen" />
        </span>
      ))}
    </span>
  );
}
