import { useCallback, useEffect, useRef } from 'react';
import type { Edit } from '../api/client';
import { PAUSE } from '../ui/pause';
import { useStudio } from './studio';

/** Presses of arrow keys that are one edit so far. */
export interface Presses {
  /** What they go into: something else begins another edit. */
  into: string;
  dx: number;
  dy: number;
  /** The edit for so far across and down, from where it stood when they began. */
  make: (dx: number, dy: number) => Edit | null;
}

/** One press more: on top of those before it, where it goes into the same. */
export function pressedOn(before: Presses | null, press: Presses): Presses {
  if (before?.into !== press.into) return press;
  const sum = (a: number, b: number) => Math.round((a + b) * 1000) / 1000;
  return { ...before, dx: sum(before.dx, press.dx), dy: sum(before.dy, press.dy) };
}

/** How far a press of an arrow key goes, across and down: 1, with Shift 10, with Alt 0.1; null for another key. */
export function stepOf(e: { key: string; shiftKey: boolean; altKey: boolean }): [number, number] | null {
  const by = e.shiftKey ? 10 : e.altKey ? 0.1 : 1;
  const steps: Record<string, [number, number]> = {
    ArrowLeft: [-by, 0],
    ArrowRight: [by, 0],
    ArrowUp: [0, -by],
    ArrowDown: [0, by],
  };
  return steps[e.key] ?? null;
}

/**
 * Arrow presses that move something on the stage: each is seen at once, and a row of them is one edit, made after a pause or before
 * anything else is done.
 */
export function usePresses(): (press: Presses) => void {
  const { edit, director } = useStudio();
  const held = useRef<{ presses: Presses; edit: Edit } | null>(null);
  const timer = useRef(0);
  const now = useRef({ edit, director });
  useEffect(() => {
    now.current = { edit, director };
    // another revision came while a row of presses goes on: it is seen on top of that
    if (held.current) director.drafting(held.current.edit);
  }, [edit, director]);
  const keep = useCallback(() => {
    window.clearTimeout(timer.current);
    const h = held.current;
    held.current = null;
    if (!h) return;
    const { edit: make, director: shows } = now.current;
    void make(h.edit);
    // it is ahead now, and needs no draft any more
    shows.drafting(null);
  }, []);
  const press = useCallback(
    (p: Presses) => {
      if (held.current && held.current.presses.into !== p.into) keep();
      const presses = pressedOn(held.current?.presses ?? null, p);
      const made = presses.make(presses.dx, presses.dy);
      if (!made) return;
      held.current = { presses, edit: made };
      now.current.director.drafting(made);
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(keep, PAUSE);
    },
    [keep],
  );
  useBeforeOthers(keep);
  return press;
}

/** Has a row of arrow presses kept before anything else is done: undo takes back the row, and not what was before it. */
export function useBeforeOthers(keep: () => void): void {
  useEffect(() => {
    const other = (e: KeyboardEvent) => {
      if (!e.key.startsWith('Arrow') && e.key !== 'Shift' && e.key !== 'Alt') keep();
    };
    window.addEventListener('keydown', other, true);
    window.addEventListener('pointerdown', keep, true);
    window.addEventListener('blur', keep);
    window.addEventListener('pagehide', keep);
    return () => {
      window.removeEventListener('keydown', other, true);
      window.removeEventListener('pointerdown', keep, true);
      window.removeEventListener('blur', keep);
      window.removeEventListener('pagehide', keep);
      keep();
    };
  }, [keep]);
}
