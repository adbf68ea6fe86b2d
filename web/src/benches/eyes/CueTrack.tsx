import { useState } from 'react';
import type { Dial } from '../../api/client';
import { addKey, type Keys, moveKey } from './cueTracks';

const W = 420;
const H = 44;

/** One dial's way through a cue: keys to drag, double-click for one more, Delete for one less. */
export function CueTrack({
  dial,
  name,
  keys,
  frames,
  keep,
}: {
  dial: Dial | undefined;
  name: string;
  keys: Keys;
  frames: number;
  keep: (keys: Keys) => void;
}) {
  const [draft, setDraft] = useState<{ index: number; keys: Keys } | null>(null);
  const shown = draft?.keys ?? keys;
  const most = dial ? Math.max(dial.to - dial.rest, dial.rest - dial.from) : 1;
  const length = Math.max(frames + 3, 12);
  const x = (f: number) => 8 + (f / length) * (W - 16);
  const y = (by: number) => H / 2 - (by / most) * (H / 2 - 6);
  const at = (e: React.MouseEvent<SVGElement>) => {
    const svg = e.currentTarget instanceof SVGSVGElement ? e.currentTarget : e.currentTarget.ownerSVGElement!;
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
    const by = Math.max(-most, Math.min(most, (-(p.y - H / 2) / (H / 2 - 6)) * most));
    return { frame: ((p.x - 8) / (W - 16)) * length, by: Math.round((by / most) * 100) * (most / 100) };
  };
  const line = shown.map((k) => `${x(k.frame)},${y(k.by)}`).join(' ');
  return (
    <div className="flex items-center gap-2">
      <span className={`w-[84px] shrink-0 truncate text-[12px] ${dial ? '' : 'text-wrong'}`} title={name}>
        {dial ? dial.name : `${name} (gone)`}
      </span>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="min-w-0 flex-1 touch-none rounded bg-card"
        role="group"
        aria-label={`Keys of ${name}`}
        onDoubleClick={(e) => {
          const p = at(e);
          const more = addKey(keys, p.frame);
          if (more !== keys) keep(more);
        }}
      >
        <line x1={0} x2={W} y1={H / 2} y2={H / 2} stroke="var(--line)" />
        <polyline points={line} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
        {shown.map((k, i) => (
          <circle
            key={i}
            cx={x(k.frame)}
            cy={y(k.by)}
            r={5}
            role="button"
            tabIndex={0}
            aria-label={`Key at frame ${k.frame}, ${Math.round(k.by * 100) / 100}`}
            className="cursor-move fill-card stroke-doing focus-visible:fill-doing"
            strokeWidth={2}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId);
              e.currentTarget.focus();
              setDraft({ index: i, keys });
            }}
            onPointerMove={(e) => {
              if (!draft) return;
              const p = at(e);
              setDraft({ ...draft, keys: moveKey(keys, draft.index, p.frame, p.by, 240) });
            }}
            onPointerUp={() => {
              if (draft && draft.keys !== keys) keep(draft.keys);
              setDraft(null);
            }}
            onPointerCancel={() => setDraft(null)}
            onKeyDown={(e) => {
              const by = {
                ArrowLeft: [-1, 0],
                ArrowRight: [1, 0],
                ArrowUp: [0, 0.05],
                ArrowDown: [0, -0.05],
              }[e.key];
              if (by) {
                e.preventDefault();
                e.stopPropagation();
                keep(moveKey(keys, i, k.frame + by[0]!, k.by + by[1]! * most, 240));
              }
              if ((e.key === 'Delete' || e.key === 'Backspace') && keys.length > 1)
                keep(keys.filter((_, n) => n !== i));
              if (e.key === 'Escape') setDraft(null);
            }}
          >
            <title>{`frame ${k.frame}`}</title>
          </circle>
        ))}
      </svg>
    </div>
  );
}
