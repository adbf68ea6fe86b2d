import { useState } from 'react';
import type { Edit, SolidPiece } from '../../api/client';
import { saying } from '../../benches/turn/saying';
import { useStudio } from '../../state/studio';
import { usePresses } from '../../state/usePresses';
import { round, type XY } from './geometry';
import { drag } from './pointer';
import { steppedBy } from './steppedBy';

/** Where a plate grows out of the head, dragged or stepped with the arrow keys while the head is as it was drawn. */
export function RootHandle({
  piece,
  svg,
  unit,
}: {
  piece: SolidPiece;
  svg: () => SVGSVGElement | null;
  unit: number;
}) {
  const { view, edit } = useStudio();
  const [going, setGoing] = useState<XY | null>(null);
  const part = view.character.rig.parts.find((p) => p.id === piece.part);
  const [x, y] = going ?? [piece.root![0]!, piece.root![1]!];
  const press = usePresses();
  const rooted = (to: XY): Edit => {
    const m = new DOMMatrix(piece.rest).inverse();
    const p = new DOMPoint(to[0], to[1]).matrixTransform(m);
    return saying(piece, part?.solid, { root: [round(p.x), round(p.y)] });
  };
  const keep = async (to: XY) => {
    await edit(rooted(to));
    setGoing(null);
  };
  const r = 7 * unit;
  return (
    <path
      data-testid="root"
      d={`M${x} ${y - r}L${x + r} ${y}L${x} ${y + r}L${x - r} ${y}Z`}
      fill="var(--color-stage)"
      stroke="var(--doing)"
      strokeWidth={2}
      vectorEffect="non-scaling-stroke"
      className="cursor-move"
      {...steppedBy(`Root of ${part?.name ?? piece.part}`, (dx, dy) =>
        press({ into: `root ${piece.part}`, dx, dy, make: (bx, by) => rooted([x + bx, y + by]) }),
      )}
      onPointerDown={(e) => {
        const sheet = svg();
        if (!sheet) return;
        e.stopPropagation();
        e.preventDefault();
        let to: XY = [x, y];
        drag(
          sheet,
          e,
          (at, from) => {
            to = [x + at[0] - from[0], y + at[1] - from[1]];
            setGoing(to);
          },
          (kept, moved) => {
            if (kept && moved) void keep(to);
            else setGoing(null);
          },
        );
      }}
    >
      <title>{`Where ${part?.name ?? piece.part} grows out of the head`}</title>
    </path>
  );
}
