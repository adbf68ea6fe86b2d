import { typing } from '../ui/typing';
import { useDesk } from './desk';

let held = false;
let played = false;

/** Whether the Space bar is down outside a field: a drag on the stage moves the picture then. */
export const spaceHeld = () => held;

/** Space was pressed to move the picture after all: what it began or ended is as before. */
export const spaceMeantToMove = () => useDesk.getState().play(played);

/** Follows the Space bar. */
export function watchSpace(): () => void {
  const down = (e: KeyboardEvent) => {
    if (e.key !== ' ' || e.repeat || typing(e)) return;
    held = true;
    played = useDesk.getState().playing;
  };
  const up = (e: KeyboardEvent) => {
    if (e.key === ' ') held = false;
  };
  const away = () => {
    held = false;
  };
  window.addEventListener('keydown', down, true);
  window.addEventListener('keyup', up, true);
  window.addEventListener('blur', away);
  return () => {
    window.removeEventListener('keydown', down, true);
    window.removeEventListener('keyup', up, true);
    window.removeEventListener('blur', away);
  };
}
