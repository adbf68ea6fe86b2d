import { useEffect, useRef } from 'react';
import { spaceHeld, spaceMeantToMove } from '../state/space';
import { zoomedAt } from './sight';
import type { ViewBox } from './view';

/**
 * Moves what the stage shows by hand: the wheel zooms at the pointer, Shift and the wheel goes sideways; the middle button, or
 * Space and a drag, moves the picture; two fingers move and stretch it.
 *
 * @param seen what is shown now, for the first step to begin from
 */
export function useSightHands(
  svg: React.RefObject<SVGSVGElement | null>,
  seen: ViewBox,
  usual: ViewBox,
  show: (box: ViewBox) => void,
): void {
  const now = useRef({ seen, usual, show });
  useEffect(() => {
    now.current = { seen, usual, show };
  });
  useEffect(() => {
    const e = svg.current!;
    const put = (box: ViewBox) => {
      // several events may come before the next picture
      now.current.seen = box;
      now.current.show(box);
    };
    const unit = () => 1 / (e.getScreenCTM()?.a || 1);
    const onCanvas = (x: number, y: number): [number, number] => {
      const p = new DOMPoint(x, y).matrixTransform(e.getScreenCTM()!.inverse());
      return [p.x, p.y];
    };
    const moved = (dx: number, dy: number) => {
      const b = now.current.seen;
      put({ ...b, x: b.x - dx * unit(), y: b.y - dy * unit() });
    };
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      if (event.shiftKey || (Math.abs(event.deltaX) > Math.abs(event.deltaY) && !event.ctrlKey)) {
        moved(-(event.deltaX || event.deltaY), event.deltaX === 0 ? 0 : -event.deltaY);
        return;
      }
      const by = Math.exp(Math.max(-60, Math.min(60, event.deltaY)) * (event.ctrlKey ? 0.012 : 0.004));
      put(zoomedAt(now.current.seen, by, onCanvas(event.clientX, event.clientY), now.current.usual));
    };
    /** What is down, by pointer; one of them pans, two fingers stretch as well. */
    const down = new Map<number, [number, number]>();
    let panned = false;
    const press = (event: PointerEvent) => {
      const touches = event.pointerType === 'touch';
      if (!(event.button === 1 || (event.button === 0 && spaceHeld()) || touches)) return;
      down.set(event.pointerId, [event.clientX, event.clientY]);
      panned = false;
      if (event.button === 0 && !touches) spaceMeantToMove();
      if (!touches) {
        event.preventDefault();
        event.stopPropagation();
        e.setPointerCapture(event.pointerId);
      }
    };
    const move = (event: PointerEvent) => {
      const was = down.get(event.pointerId);
      if (!was) return;
      const at: [number, number] = [event.clientX, event.clientY];
      // one finger chooses and drags what it lies on, as a mouse does
      if (event.pointerType === 'touch' && down.size < 2) {
        down.set(event.pointerId, at);
        return;
      }
      event.stopPropagation();
      panned = true;
      const other = [...down.entries()].find(([id]) => id !== event.pointerId)?.[1];
      if (other) {
        const apart = (p: [number, number]) => Math.max(1, Math.hypot(p[0] - other[0], p[1] - other[1]));
        const mid: [number, number] = [(at[0] + other[0]) / 2, (at[1] + other[1]) / 2];
        moved((at[0] - was[0]) / 2, (at[1] - was[1]) / 2);
        put(zoomedAt(now.current.seen, apart(was) / apart(at), onCanvas(...mid), now.current.usual));
      } else moved(at[0] - was[0], at[1] - was[1]);
      down.set(event.pointerId, at);
    };
    const release = (event: PointerEvent) => down.delete(event.pointerId);
    // the click that ends a pan chooses nothing
    const click = (event: MouseEvent) => {
      if (panned || spaceHeld()) event.stopPropagation();
      panned = false;
    };
    // the middle button's own way of scrolling
    const noScroll = (event: MouseEvent) => event.button === 1 && event.preventDefault();
    e.addEventListener('wheel', wheel, { passive: false });
    e.addEventListener('pointerdown', press, true);
    e.addEventListener('pointermove', move, true);
    e.addEventListener('pointerup', release, true);
    e.addEventListener('pointercancel', release, true);
    e.addEventListener('click', click, true);
    e.addEventListener('mousedown', noScroll);
    return () => {
      e.removeEventListener('wheel', wheel);
      e.removeEventListener('pointerdown', press, true);
      e.removeEventListener('pointermove', move, true);
      e.removeEventListener('pointerup', release, true);
      e.removeEventListener('pointercancel', release, true);
      e.removeEventListener('click', click, true);
      e.removeEventListener('mousedown', noScroll);
    };
  }, [svg]);
}
