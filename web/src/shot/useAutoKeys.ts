import { useEffect } from 'react';
import type { Shot } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { useSheet } from './sheetState';
import { handedOver, writing } from './writing';

/** How long a dial stands still before it is keyed, milliseconds: arrow keys and typing come in steps. */
const STILL = 250;

/** With keying on, every dial that is moved is a key at the frame on the stage, once the hand is off it. */
export function useAutoKeys(shot: Shot | null): void {
  const keying = useSheet((s) => s.keying);
  const { view, director, editLine } = useStudio();
  useEffect(() => {
    if (!keying || !shot) return;
    let timer = 0;
    const write = () => {
      if (director.grabbed) {
        timer = window.setTimeout(write, STILL / 4);
        return;
      }
      const { frame } = useDesk.getState();
      const written = writing(view.character, shot, frame, null);
      if (Object.keys(useDesk.getState().dials).length === 0) return;
      void Promise.all(written.edits.map((edit) => editLine(edit)));
      handedOver(written);
    };
    const stop = useDesk.subscribe((now, before) => {
      if (now.dials === before.dials || Object.keys(now.dials).length === 0) return;
      window.clearTimeout(timer);
      timer = window.setTimeout(write, STILL);
    });
    return () => {
      window.clearTimeout(timer);
      stop();
    };
  }, [keying, shot, view.character, director, editLine]);
}
