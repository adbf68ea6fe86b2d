import type { KeyboardEvent } from 'react';
import { stepOf } from '../../state/usePresses';

/** What makes a handle on the stage one that Tab reaches and arrow keys move: by 1, with Shift by 10, with Alt by a tenth. */
export function steppedBy(label: string, step: (dx: number, dy: number) => void) {
  return {
    tabIndex: 0,
    role: 'button',
    'aria-label': `${label}: arrow keys move it`,
    onKeyDown: (e: KeyboardEvent) => {
      const by = e.ctrlKey || e.metaKey ? null : stepOf(e);
      if (!by) return;
      e.preventDefault();
      // the part itself stays where it is
      e.stopPropagation();
      step(...by);
    },
  };
}
