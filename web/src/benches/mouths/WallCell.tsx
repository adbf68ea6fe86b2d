import { Hand, TriangleAlert } from 'lucide-react';
import type { Shape, WallView } from '../../api/client';
import { MouthPicture } from './Cell';
import type { Preview } from './preview';
import type { Placing } from './WallFace';

type Row = WallView['rows'][number];

/** What is done with a cell of the wall. */
export interface CellHands {
  choose: () => void;
  /** To the cell so many further along its row. */
  step: (by: number) => void;
  /** A mouth is taken hold of, to be put on a sound; null when it is let go of. */
  drag: (drawing: string | null) => void;
  /** What is held is put here. */
  drop: () => void;
  /** The pointer rests on it, or no longer does. */
  linger: (word: string | undefined) => void;
}

/** One sound of one row: the mouth that serves it, whose it is, and what is wrong with it. */
export function WallCell({
  row,
  cell,
  sounds,
  shapes,
  faults,
  chosen,
  held,
  placing,
  preview,
  previewed,
  columns,
  hands,
}: {
  row: Row;
  cell: Row['cells'][number];
  sounds: WallView['sounds'];
  shapes: Shape[];
  faults: { message: string }[];
  chosen: boolean;
  /** Whether some mouth is being dragged. */
  held: boolean;
  placing: Placing | null;
  preview: Preview;
  previewed: string | null;
  /** How many stand side by side. */
  columns: number;
  hands: CellHands;
}) {
  const sound = sounds.find((s) => s.viseme === cell.viseme)!;
  return (
    <button
      data-testid={`mouth-${row.mood || 'neutral'}-${cell.viseme}`}
      draggable
      onDragStart={(e) => {
        e.dataTransfer.setData('text/plain', cell.drawing);
        e.dataTransfer.effectAllowed = 'copy';
        hands.drag(cell.drawing);
      }}
      onPointerEnter={() => hands.linger(sound.examples[0])}
      onPointerLeave={() => hands.linger(undefined)}
      onPointerDown={() => hands.linger(undefined)}
      onDragEnd={() => hands.drag(null)}
      onDragOver={(e) => held && e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        e.stopPropagation();
        hands.drop();
      }}
      aria-pressed={chosen}
      aria-label={`${sound.sounds}${row.mood ? `, ${row.name}` : ''}: ${cell.why}${faults.map((f) => `. ${f.message}`).join('')}`}
      title={`${cell.why}${sound.examples.length ? ` – ${sound.examples.join(', ')}` : ''}`}
      className={`relative overflow-hidden rounded-lg border bg-card text-left ${
        chosen
          ? 'border-doing ring-2 ring-doing'
          : cell.own
            ? 'border-line hover:border-faint'
            : 'border-dashed border-faint'
      }`}
      onClick={hands.choose}
      onKeyDown={(e) => {
        const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: columns, ArrowUp: -columns }[e.key];
        if (!by) return;
        e.preventDefault();
        e.stopPropagation();
        hands.step(by);
      }}
    >
      {placing ? (
        <MouthPicture
          shapes={shapes}
          preview={preview}
          previewed={previewed}
          placing={placing}
          className={`block aspect-[100/78] w-full bg-drawn ${cell.own ? '' : 'opacity-60'}`}
        />
      ) : (
        <span className="block aspect-[100/78]" />
      )}
      <span className="flex items-center gap-1 px-1.5 text-[11px] leading-[17px]">
        <b className="truncate">{sound.sounds}</b>
        {!cell.own && (
          <span className="truncate text-faint">{sounds.find((s) => s.viseme === cell.from)?.sounds}</span>
        )}
        {cell.own && cell.origin === 'SHAPED' && (
          <Hand size={10} className="ml-auto shrink-0 text-faint" aria-label="shaped by hand" />
        )}
      </span>
      {faults.length > 0 && (
        <span className="absolute top-1 right-1 z-20 rounded-full bg-wrong-soft p-0.5 text-wrong">
          <TriangleAlert size={11} aria-hidden />
        </span>
      )}
    </button>
  );
}
