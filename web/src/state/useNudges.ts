import { useCallback, useEffect, useRef } from 'react';
import type { Edit } from '../api/client';
import { useDesk } from './desk';
import { recorded, recordingAt } from './recording';
import { useStudio } from './studio';

/** Milliseconds without a further press after which what was nudged is kept, as one edit. */
const PAUSE = 450;

/** Presses that are one edit so far. */
export interface Nudged {
  part: string;
  dx: number;
  dy: number;
  /** What they go into: another part, or another stop that is recorded, begins another edit. */
  into: string;
}

/** One press more: on top of those before it, where it goes into the same. */
export function nudgedOn(before: Nudged | null, press: Nudged): Nudged {
  if (before?.into !== press.into) return press;
  const sum = (a: number, b: number) => Math.round((a + b) * 1000) / 1000;
  return { ...press, dx: sum(before.dx, press.dx), dy: sum(before.dy, press.dy) };
}

/**
 * Arrow presses on a part: each is seen at once, and a row of them is one edit, made after a pause or before anything else is done.
 */
export function useNudges(): { nudge: (part: string, dx: number, dy: number) => void; keep: () => void } {
  const { edit, director, view } = useStudio();
  const { dials } = view.character.controls;
  const held = useRef<{ nudged: Nudged; edit: Edit } | null>(null);
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
  const nudge = useCallback(
    (part: string, dx: number, dy: number) => {
      const at = recordingAt(useDesk.getState(), dials);
      const press = { part, dx, dy, into: JSON.stringify([part, at && [at.dial.id, at.at]]) };
      if (held.current && held.current.nudged.into !== press.into) keep();
      const nudged = nudgedOn(held.current?.nudged ?? null, press);
      const made = recorded({ kind: 'nudge', part, dx: nudged.dx, dy: nudged.dy }, dials);
      held.current = { nudged, edit: made };
      now.current.director.drafting(made);
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(keep, PAUSE);
    },
    [dials, keep],
  );
  useEffect(() => {
    window.addEventListener('pointerdown', keep, true);
    window.addEventListener('blur', keep);
    window.addEventListener('pagehide', keep);
    return () => {
      window.removeEventListener('pointerdown', keep, true);
      window.removeEventListener('blur', keep);
      window.removeEventListener('pagehide', keep);
      keep();
    };
  }, [keep]);
  return { nudge, keep };
}
