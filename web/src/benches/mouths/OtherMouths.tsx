import { useState } from 'react';
import type { Drawing, Part, Shape, WallView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { MouthPicture } from './Cell';
import type { Placing } from './WallFace';
import { Cells } from '../../ui/Cells';

/** A drawing of the mouth that serves no sound, and what it is there for, as far as the wall knows. */
export interface OtherMouth {
  drawing: Drawing;
  /** The sounds it leads into, in words; empty when it leads into none. */
  into: string;
}

/** What no cell of the wall shows: mouths drawn for something else, and in-betweens. */
export function otherMouths(wall: WallView, drawings: Drawing[]): OtherMouth[] {
  const cells = wall.rows.flatMap((r) => r.cells);
  const shown = new Set(cells.map((c) => c.drawing));
  const words = (viseme: string) => wall.sounds.find((s) => s.viseme === viseme)?.sounds ?? viseme;
  return drawings
    .filter((d) => !shown.has(d.id))
    .map((drawing) => ({
      drawing,
      into: [...new Set(cells.filter((c) => c.between === drawing.id).map((c) => words(c.viseme)))].join(
        ', ',
      ),
    }));
}

/** Mouths beside the sounds: looked at on the face, and dragged onto a sound to serve it. */
export function OtherMouths({
  part,
  all,
  art,
  placing,
  columns,
  drag,
}: {
  part: Part;
  all: OtherMouth[];
  art: (drawing: string) => Shape[];
  placing: Placing;
  columns: number;
  drag: (drawing: string | null) => void;
}) {
  const pinned = useDesk((s) => s.pins[part.id]);
  const [whole, setWhole] = useState(false);
  if (all.length === 0) return null;
  const shown = whole ? all : all.slice(0, 12);
  return (
    <section aria-label="Mouths that serve no sound" className="mt-3">
      <h2 className="text-[15px] font-semibold">
        Beside the sounds{' '}
        <span className="text-[12.5px] font-normal text-faint">
          {all.length} · drag one onto a sound, and it serves it
        </span>
      </h2>
      <Cells
        className="mt-1.5 grid gap-1"
        style={{ gridTemplateColumns: `repeat(${columns}, minmax(0,1fr))` }}
      >
        {shown.map(({ drawing: d, into }) => (
          <button
            key={d.id}
            draggable
            onDragStart={(e) => {
              e.dataTransfer.setData('text/plain', d.id);
              e.dataTransfer.effectAllowed = 'copy';
              drag(d.id);
            }}
            onDragEnd={() => drag(null)}
            aria-pressed={pinned === d.id}
            title={into ? `${d.name}: on the way into ${into}` : `${d.name}: serves no sound`}
            className={`overflow-hidden rounded-lg border bg-card text-left ${
              pinned === d.id ? 'border-doing ring-2 ring-doing' : 'border-line hover:border-faint'
            }`}
            onClick={() => useDesk.getState().pin(part.id, pinned === d.id ? null : d.id)}
          >
            <MouthPicture
              shapes={art(d.id)}
              placing={placing}
              className="block aspect-[100/78] w-full bg-drawn"
            />
            <span className="block truncate px-1.5 text-[11px] leading-[17px]">
              {into ? <span className="text-faint">into {into}</span> : d.name}
            </span>
          </button>
        ))}
      </Cells>
      {all.length > shown.length && (
        <button className="btn mt-1.5" onClick={() => setWhole(true)}>
          Show the other {all.length - shown.length}
        </button>
      )}
    </section>
  );
}
