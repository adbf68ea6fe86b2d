import { useRef, useState } from 'react';
import type { Dial } from '../../api/client';
import { shown } from '../../shelf/values';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';

/** The drawings a dial shows of one part, or where it lies in the stack, as stretches whose edges are dragged. */
export function BandStrip({ dial, part, layer = false }: { dial: Dial; part: string; layer?: boolean }) {
  const { view, artwork, edit } = useStudio();
  const track = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<{ edge: number; to: number } | null>(null);
  const value = useDesk((s) => s.dials[dial.id] ?? dial.rest);
  const owner = view.character.rig.parts.find((p) => p.id === part);
  const bands = (layer ? dial.layers : dial.bands).find((b) => b.part === part)?.bands ?? [];
  const over = (id: string) =>
    id === '' ? 'behind everything' : `over ${view.character.rig.parts.find((p) => p.id === id)?.name ?? id}`;
  const share = (v: number) => ((v - dial.from) / (dial.to - dial.from)) * 100;
  const moved = (v: number) => (held && v === held.edge ? held.to : v);
  const edges = [...new Set(bands.flatMap((b) => [b.from, b.to]))].filter(
    (e) => e > dial.from && e < dial.to,
  );
  const tidy = (v: number) => Math.round(v * 100) / 100;
  const at = (e: React.PointerEvent) => {
    const r = track.current!.getBoundingClientRect();
    const v = dial.from + ((e.clientX - r.left) / r.width) * (dial.to - dial.from);
    return tidy(Math.max(dial.from, Math.min(dial.to, v)));
  };
  const move = (edge: number, to: number) =>
    void edit({ kind: 'move-band-edge', dial: dial.id, part, edge, to, layer });
  const step = (dial.to - dial.from) / 100;
  return (
    <div className="flex items-center gap-2">
      <span className="w-16 shrink-0 truncate text-right text-[12px] text-faint">{owner?.name ?? part}</span>
      <div ref={track} className="relative h-10 flex-1 rounded-md border border-line bg-card">
        {bands.map((b) => {
          const d = layer ? undefined : owner?.drawings.find((x) => x.id === b.drawing);
          const from = moved(b.from);
          const to = moved(b.to);
          return (
            <div
              key={b.from}
              className="absolute inset-y-0 grid place-items-center overflow-hidden bg-tide/70"
              style={{ left: `${share(from)}%`, width: `${Math.max(0, share(to) - share(from))}%` }}
              title={`${layer ? over(b.drawing) : (d?.name ?? b.drawing)} from ${shown(dial, from)} to ${shown(dial, to)}`}
            >
              {d ? (
                <DrawingThumb shapes={artwork[d.art] ?? []} label={d.name} className="h-8 w-8" />
              ) : (
                <span className="truncate px-1 text-[11px]">
                  {layer ? over(b.drawing) : b.drawing === 'nothing' ? 'nothing' : '?'}
                </span>
              )}
            </div>
          );
        })}
        {edges.map((edge) => (
          <div
            key={edge}
            role="slider"
            tabIndex={0}
            aria-label={`Edge of ${owner?.name ?? part}${layer ? ' in the stack' : ''}`}
            aria-valuemin={dial.from}
            aria-valuemax={dial.to}
            aria-valuenow={moved(edge)}
            aria-valuetext={shown(dial, moved(edge))}
            title="Drag the edge, or step it with the arrow keys"
            className="absolute inset-y-0 -ml-[5px] w-[10px] cursor-col-resize touch-none before:absolute before:inset-y-0 before:left-[4px] before:w-[2px] before:bg-ink"
            style={{ left: `${share(moved(edge))}%` }}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId);
              setHeld({ edge, to: edge });
            }}
            onPointerMove={(e) => held?.edge === edge && setHeld({ edge, to: at(e) })}
            onPointerUp={() => {
              if (held && held.to !== edge) move(edge, held.to);
              setHeld(null);
            }}
            onPointerCancel={() => setHeld(null)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') setHeld(null);
              const by = e.key === 'ArrowRight' ? step : e.key === 'ArrowLeft' ? -step : 0;
              if (by === 0) return;
              e.preventDefault();
              e.stopPropagation();
              move(edge, tidy(edge + by));
            }}
          />
        ))}
        <div
          className="pointer-events-none absolute inset-y-0 w-[2px] bg-doing"
          style={{ left: `${share(value)}%` }}
        />
      </div>
    </div>
  );
}
