import type { XY } from './geometry';

/** Where a pointer is, in the coordinates of the drawing. */
export function onCanvas(svg: SVGSVGElement, e: { clientX: number; clientY: number }): XY {
  const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
  return [p.x, p.y];
}

/** A drag ends with a click on whatever lies under the pointer, which nobody meant. */
function swallowClick(): void {
  const swallow = (e: MouseEvent) => e.stopPropagation();
  window.addEventListener('click', swallow, { capture: true, once: true });
  window.setTimeout(() => window.removeEventListener('click', swallow, { capture: true }), 0);
}

/**
 * Follows one drag from pointer down to pointer up. Escape lets go without keeping anything. Ends by itself when the
 * pointer comes up anywhere.
 */
export function drag(
  svg: SVGSVGElement,
  start: { clientX: number; clientY: number },
  move: (to: XY, from: XY, e: PointerEvent) => void,
  end: (kept: boolean, moved: boolean, at: PointerEvent | null) => void,
): void {
  const from = onCanvas(svg, start);
  let travelled = false;
  const moving = (e: PointerEvent) => {
    if (!travelled && Math.hypot(e.clientX - start.clientX, e.clientY - start.clientY) < 3) return;
    travelled = true;
    move(onCanvas(svg, e), from, e);
  };
  const stop = () => {
    window.removeEventListener('pointermove', moving);
    window.removeEventListener('pointerup', up);
    window.removeEventListener('keydown', key, true);
  };
  const up = (e: PointerEvent) => {
    stop();
    if (travelled) swallowClick();
    end(true, travelled, e);
  };
  const key = (e: KeyboardEvent) => {
    if (e.key !== 'Escape') return;
    e.preventDefault();
    e.stopPropagation();
    stop();
    window.addEventListener('pointerup', swallowClick, { once: true });
    end(false, travelled, null);
  };
  window.addEventListener('pointermove', moving);
  window.addEventListener('pointerup', up);
  window.addEventListener('keydown', key, true);
}
