import { useState } from 'react';
import type { MouthRulers } from '../../api/client';

export const AS_ASKED: MouthRulers = { jaw: 1, width: 1, round: 1, tooth: 1, tongue: 1, flat: 0 };

const RULERS: { id: keyof MouthRulers; name: string; low: string; high: string; most: number }[] = [
  { id: 'jaw', name: 'Jaw', low: 'stays up', high: 'drops far', most: 2 },
  { id: 'width', name: 'Width', low: 'corners stay', high: 'corners go far', most: 2 },
  { id: 'round', name: 'Round', low: 'hardly purses', high: 'purses tight', most: 2 },
  { id: 'tooth', name: 'Teeth', low: 'lip hides them', high: 'bares them', most: 2 },
  { id: 'tongue', name: 'Tongue', low: 'lies low', high: 'comes up', most: 2 },
  { id: 'flat', name: 'Flat', low: 'curved as drawn', high: 'a straight line', most: 1 },
];

/** Ways of speaking, as rulers. */
export const MANNERS: { name: string; rulers: MouthRulers }[] = [
  { name: 'As each sound asks', rulers: AS_ASKED },
  { name: 'Mumbles', rulers: { jaw: 0.4, width: 0.5, round: 0.6, tooth: 0.4, tongue: 0.6, flat: 0 } },
  {
    name: 'Stiff upper lip',
    rulers: { jaw: 0.8, width: 0.7, round: 0.8, tooth: 0.05, tongue: 0.8, flat: 0.5 },
  },
  { name: 'Speaks up', rulers: { jaw: 1.35, width: 1.5, round: 1, tooth: 1.25, tongue: 1, flat: 0 } },
];

/** How a set, or one mouth of it, is made: dragged, seen on the wall at once, kept when let go. */
export function Rulers({
  value: kept,
  turning,
  keep,
}: {
  value: MouthRulers;
  /** @param which the ruler that is being turned, and how far it goes */
  turning: (r: MouthRulers, which: keyof MouthRulers, most: number) => void;
  keep: (r: MouthRulers) => Promise<unknown>;
}) {
  // while they are turned nothing but the rulers themselves and the mouths is drawn anew
  const [turned, setTurned] = useState<MouthRulers | null>(null);
  const value = turned ?? kept;
  const turn = (which: keyof MouthRulers, to: number, most: number) => {
    const r = { ...value, [which]: to };
    setTurned(r);
    turning(r, which, most);
  };
  const settle = (r: MouthRulers | null) => {
    if (r) void keep(r).then(() => setTurned(null));
  };
  return (
    <div className="grid grid-cols-2 gap-x-5 gap-y-1">
      {RULERS.map((r) => (
        <label key={r.id} className="flex items-center gap-2 text-[13px]" title={`${r.low} … ${r.high}`}>
          <span className="w-[52px] shrink-0 font-display font-semibold">{r.name}</span>
          <input
            type="range"
            className="min-w-0 flex-1 accent-(--doing)"
            min={0}
            max={r.most}
            step={0.01}
            value={value[r.id]}
            aria-valuetext={`${Math.round(value[r.id] * 100)} %: from ${r.low} to ${r.high}`}
            onChange={(e) => turn(r.id, Number(e.target.value), r.most)}
            onPointerUp={() => settle(turned)}
            onKeyUp={() => settle(turned)}
            onBlur={() => settle(turned)}
            onDoubleClick={() => settle({ ...value, [r.id]: AS_ASKED[r.id] })}
          />
          <span className="w-10 shrink-0 text-right text-[12px] text-faint tabular-nums">
            {Math.round(value[r.id] * 100)} %
          </span>
        </label>
      ))}
    </div>
  );
}
