import type { Dial, Edit } from '../api/client';
import { hold } from '../shelf/values';
import { type Desk, useDesk } from './desk';

type Held = Pick<Desk, 'recording' | 'dial' | 'together' | 'dials'>;

/** The dial being recorded and where it stands; null while nothing is. */
export function recordingAt(desk: Held, dials: Dial[]): { dial: Dial; at: number } | null {
  const dial = desk.recording ? dials.find((d) => d.id === desk.dial) : undefined;
  return dial ? { dial, at: valueOf(desk, dial) } : null;
}

export function valueOf(desk: Pick<Desk, 'dials'>, dial: Dial): number {
  return Math.round(hold(dial, desk.dials[dial.id] ?? dial.rest) * 1000) / 1000;
}

/**
 * What an edit that poses a part becomes while a dial is recorded: a change of the stop where the dial stands, or a
 * correction for two dials together. Any other edit stays what it is.
 */
export function recorded(edit: Edit, dials: Dial[], desk: Held = useDesk.getState()): Edit {
  const now = recordingAt(desk, dials);
  if (!now) return edit;
  if (edit.kind === 'stack') return { kind: 'record', dial: now.dial.id, at: now.at, pose: edit };
  if (edit.kind !== 'nudge' && edit.kind !== 'place' && edit.kind !== 'show') return edit;
  const other = dials.find((d) => d.id === desk.together);
  return other && edit.kind !== 'show'
    ? {
        kind: 'record-corner',
        a: now.dial.id,
        atA: now.at,
        b: other.id,
        atB: valueOf(desk, other),
        pose: edit,
      }
    : { kind: 'record', dial: now.dial.id, at: now.at, pose: edit };
}
