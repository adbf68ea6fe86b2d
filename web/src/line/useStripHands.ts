import { useRef } from 'react';
import { useDesk } from '../state/desk';

/** A stretch of frames between two that were pointed at, in either order: the first, and the one behind the last. */
export const stretch = (a: number, b: number): [number, number] => [Math.min(a, b), Math.max(a, b) + 1];

/**
 * What the pointer does on the strip: a drag scrubs, with the sound; with Shift it holds a stretch, which is played over and over. A
 * click with Shift lets go of it.
 */
export function useStripHands(
  lane: React.RefObject<HTMLDivElement | null>,
  frames: number,
  scrub: (frame: number) => void,
) {
  const held = useRef<{ last: number; from: number; loops: boolean } | null>(null);
  const frameAt = (e: React.PointerEvent) => {
    const r = lane.current!.getBoundingClientRect();
    const frame = Math.floor(((e.clientX - r.left) / r.width) * frames);
    return Math.max(0, Math.min(frames - 1, frame));
  };
  const letGo = () => {
    held.current = null;
  };
  return {
    onPointerDown: (e: React.PointerEvent) => {
      if ((e.target as Element).closest('button, input')) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      const frame = frameAt(e);
      held.current = { last: frame, from: frame, loops: e.shiftKey };
      if (e.shiftKey) {
        e.preventDefault();
        return;
      }
      useDesk.getState().play(false);
      scrub(frame);
    },
    onPointerMove: (e: React.PointerEvent) => {
      const h = held.current;
      const frame = frameAt(e);
      if (!h || h.last === frame) return;
      h.last = frame;
      if (h.loops) useDesk.setState({ loop: stretch(h.from, frame) });
      else scrub(frame);
    },
    onPointerUp: () => {
      const h = held.current;
      if (h?.loops && h.last === h.from) useDesk.setState({ loop: null });
      letGo();
    },
    onPointerCancel: letGo,
  };
}
