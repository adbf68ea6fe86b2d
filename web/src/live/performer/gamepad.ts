import type { Told } from 'page-live';
import type { Listener, Source } from './source';

/** Sticks are never quite in their middle. */
const DEAD = 0.08;

const stick = (v: number | undefined) => {
  const off = Math.abs(v ?? 0);
  return off < DEAD ? 0 : Math.sign(v!) * Math.min(1, (off - DEAD) / (1 - DEAD));
};

/** What a gamepad of the standard layout (W3C Gamepad) says. */
export function told(pad: Pick<Gamepad, 'axes' | 'buttons'>): Told {
  return {
    'stick.left.across': stick(pad.axes[0]),
    'stick.left.down': stick(pad.axes[1]),
    'stick.right.across': stick(pad.axes[2]),
    'stick.right.down': stick(pad.axes[3]),
    'trigger.left': pad.buttons[6]?.value ?? 0,
    'trigger.right': pad.buttons[7]?.value ?? 0,
    'button.1': pad.buttons[0]?.value ?? 0,
    'button.2': pad.buttons[1]?.value ?? 0,
  };
}

/** The first gamepad there is; one that is pulled out is waited for. */
export function listenToGamepad(to: Listener): Source {
  let there: number | null = null;
  return {
    poll: () => {
      const pad = navigator.getGamepads().find((p) => p?.connected) ?? null;
      if (pad && there !== pad.index) {
        there = pad.index;
        to.comes(pad.id.replace(/\s*\(.*$/, '') || 'Gamepad', 0);
      } else if (!pad && there !== null) {
        there = null;
        to.leaves('it was pulled out');
      }
      if (pad) to.tells(told(pad));
    },
    close: () => undefined,
  };
}
