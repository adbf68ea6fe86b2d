import type { Painter } from '../painter';
import type { XY } from './geometry';

interface ShownBox {
  /** In the drawing's coordinates. */
  box: DOMRect;
  matrix: DOMMatrix;
  /** From there to the canvas. */
  at: (x: number, y: number) => XY;
}

/** Where what a part shows is painted; null when it shows nothing. */
export function shownBox(painter: Painter | null, part: string): ShownBox | null {
  const g = painter?.groupOf(part);
  if (!g) return null;
  const box = g.getBBox();
  if (box.width === 0 && box.height === 0) return null;
  const matrix = new DOMMatrix(
    (g.getAttribute('transform') ?? 'matrix(1 0 0 1 0 0)').replace(/ /g, ',').replace('matrix,', 'matrix'),
  );
  const at = (x: number, y: number): XY => {
    const p = new DOMPoint(x, y).matrixTransform(matrix);
    return [p.x, p.y];
  };
  return { box, matrix, at };
}
