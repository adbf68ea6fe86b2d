import { useState } from 'react';
import type { IntakeReport, Part, Slot } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';
import type { Side } from '../roles';
import { Cells } from '../../ui/Cells';

const PART = 'application/x-leeward-part';

/** Everything a talking head has a place for; layers are dragged onto the place they belong to. */
export function SlotBoard({ report }: { report: IntakeReport }) {
  const { view } = useStudio();
  const { character } = view;
  const others = character.rig.parts.filter((p) => p.role === 'OTHER' && p.drawings.length > 0);
  return (
    <>
      {report.slots.map((group) => (
        <section key={group.name} className="mt-3">
          <h2 className="text-[15px] font-semibold">{group.name}</h2>
          <Cells className="mt-1.5 grid grid-cols-[repeat(auto-fill,minmax(76px,1fr))] gap-1.5">
            {group.slots.map((s) => (
              <Place key={s.role} slot={s} />
            ))}
          </Cells>
        </section>
      ))}
      <section className="mt-4">
        <h2 className="text-[15px] font-semibold">
          Without a place{' '}
          <span className="font-sans text-[12.5px] font-normal text-faint">
            drag one onto its slot; on a filled slot it becomes one more drawing
          </span>
        </h2>
        {others.length === 0 ? (
          <p className="text-[13px] text-faint">Nothing: every layer has its place.</p>
        ) : (
          <Cells as="ul" className="mt-1.5 flex flex-wrap gap-1.5">
            {others.map((p) => (
              <li key={p.id}>
                <button
                  className="btn cursor-grab"
                  draggable
                  onDragStart={(e) => {
                    e.dataTransfer.setData(PART, p.id);
                    e.dataTransfer.effectAllowed = 'move';
                  }}
                  onClick={() => useDesk.getState().select(p.id)}
                >
                  <Thumb part={p} className="h-6 w-6" />
                  {p.name}
                </button>
              </li>
            ))}
          </Cells>
        )}
      </section>
    </>
  );
}

function Thumb({ part, className }: { part: Part; className: string }) {
  const { artwork } = useStudio();
  const d = part.drawings.find((x) => x.id === part.shown) ?? part.drawings[0];
  return <DrawingThumb shapes={d ? (artwork[d.art] ?? []) : []} label="" className={className} />;
}

/** A part and what its layers are called in the file. */
const inFile = (p: Part) =>
  `${p.name}, in the file “${p.drawings
    .map((d) => d.name)
    .slice(0, 3)
    .join('”, “')}”${p.drawings.length > 3 ? ' …' : ''}`;

function Place({ slot }: { slot: Slot }) {
  const { view, edit } = useStudio();
  const chosen = useDesk((s) => s.part);
  const [over, setOver] = useState<Side | null>(null);
  const { character } = view;
  const parts = slot.parts.flatMap((id) => character.rig.parts.find((p) => p.id === id) ?? []);

  const views = slot.role === 'VIEW';

  /** The side a drop means: by the half of the slot it fell on, as the character faces us. */
  const sideAt = (e: React.DragEvent): Side => {
    if (!slot.paired) return 'NONE';
    const b = e.currentTarget.getBoundingClientRect();
    return e.clientX < b.x + b.width / 2 ? 'RIGHT' : 'LEFT';
  };
  const drop = (e: React.DragEvent) => {
    const id = e.dataTransfer.getData(PART);
    setOver(null);
    if (!id) return;
    e.preventDefault();
    e.stopPropagation();
    const side = sideAt(e);
    const there = parts.find((p) => p.side === side);
    // views stand beside each other; drawings of one part replace each other
    if (there && !views) void edit({ kind: 'join-set', part: id, into: there.id });
    else void edit({ kind: 'read-as', offers: [{ part: id, role: slot.role, side }] });
  };

  const most = views ? parts.length : Math.max(0, ...parts.map((p) => p.drawings.length));
  return (
    <button
      onClick={() => parts[0] && useDesk.getState().select(parts[0].id)}
      onDragOver={(e) => {
        if (!e.dataTransfer.types.includes(PART)) return;
        e.preventDefault();
        setOver(sideAt(e));
      }}
      onDragLeave={() => setOver(null)}
      onDrop={drop}
      data-slot={slot.role}
      title={slot.missing || parts.map(inFile).join('\n') || 'not in this art; not needed'}
      className={`rounded-lg border p-1 text-center ${
        over
          ? 'border-doing ring-2 ring-doing'
          : parts.some((p) => p.id === chosen)
            ? 'border-doing bg-doing-soft'
            : slot.missing
              ? 'border-dashed border-wrong'
              : parts.length
                ? 'border-line bg-card hover:border-faint'
                : 'border-dashed border-line'
      }`}
    >
      <span className="flex h-10 items-center justify-center gap-1 rounded bg-drawn p-0.5">
        {views && parts.length > 0 ? (
          <span className="line-clamp-2 px-0.5 text-[10.5px] leading-[13px] text-[#3f545b]">
            {parts.map((p) => p.name.replace(/ view$/i, '')).join(', ')}
          </span>
        ) : (
          parts.slice(0, 2).map((p) => <Thumb key={p.id} part={p} className="h-9 w-1/2" />)
        )}
        {parts.length === 0 && (
          <span className="text-[12px] text-[#3f545b]">
            {over ? (over === 'NONE' ? 'here' : over === 'LEFT' ? 'its left' : 'its right') : '–'}
          </span>
        )}
      </span>
      <span className="block truncate text-[11.5px] leading-4">
        {slot.name}
        {most > 1 && <b> ×{most}</b>}
      </span>
      {slot.missing && <span className="block text-[10.5px] leading-3 text-wrong">{slot.missing}</span>}
    </button>
  );
}
