import { PenTool, Play, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { Shape, WallView } from '../../api/client';
import { useStudio } from '../../state/studio';
import { MouthPicture } from './Cell';
import type { Placing } from './WallFace';

type CellOf = WallView['rows'][number]['cells'][number];

/** Two frames into a mouth and two out of it, as a line shows them, and the drawing on the way in. */
export function WayIn({
  wall,
  cell,
  from,
  art,
  placing,
  play,
  shape,
}: {
  wall: WallView;
  cell: CellOf;
  /** The mouth it comes from and goes back to. */
  from: string;
  art: (drawing: string) => Shape[];
  placing: Placing;
  /** Shows one drawing after the other in the large picture. */
  play: (drawings: string[]) => void;
  shape: (drawing: string) => void;
}) {
  const { view, edit } = useStudio();
  const back = view.character.voice.mouths.betweens[from]?.drawing;
  const frames: [string, string][] = [
    [from, 'the mouth before'],
    [cell.between || from, cell.between ? 'on the way in' : 'still the mouth before'],
    [cell.drawing, 'the mouth'],
    [cell.drawing, 'the mouth'],
    [back ?? cell.drawing, back ? 'on the way out' : 'still the mouth'],
    [from, 'the mouth behind'],
  ];
  const begun = useRef(play);
  useEffect(() => {
    begun.current = play;
  });
  const drawings = frames.map(([d]) => d).join(' ');
  useEffect(() => begun.current(drawings.split(' ')), [drawings]);
  return (
    <div className="mt-1.5" role="group" aria-label="In and out">
      <div className="flex gap-1">
        {frames.map(([drawing, what], i) => (
          <span
            key={i}
            title={what}
            className={`relative overflow-hidden rounded border ${
              drawing === cell.between && i === 1 ? 'border-doing' : 'border-line'
            }`}
          >
            <MouthPicture shapes={art(drawing)} placing={placing} className="h-[44px] w-[56px] bg-drawn" />
          </span>
        ))}
      </div>
      <div className="mt-1 flex flex-wrap gap-1">
        <button className="btn px-1.5 py-0.5 text-[12px]" onClick={() => play(frames.map(([d]) => d))}>
          <Play size={12} aria-hidden /> Again
        </button>
        {cell.between === '' ? (
          <button
            className="btn px-1.5 py-0.5 text-[12px]"
            title="Halfway between the two, point by point; shape it as you like"
            onClick={() => void edit({ kind: 'lead-into', drawing: cell.drawing, from })}
          >
            Add an in-between
          </button>
        ) : (
          <>
            <button className="btn px-1.5 py-0.5 text-[12px]" onClick={() => shape(cell.between)}>
              <PenTool size={12} aria-hidden /> Shape it
            </button>
            <button
              className="btn px-1.5 py-0.5 text-[12px]"
              onClick={() => void edit({ kind: 'drop-drawing', part: wall.part, drawing: cell.between })}
            >
              <X size={12} aria-hidden /> Delete
            </button>
          </>
        )}
      </div>
    </div>
  );
}
