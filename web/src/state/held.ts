import { create } from 'zustand';

/** A key that is down for longer is being held: letting go of it lets go of what it shows. */
export const HELD = 300;

/** What keys do: held they show something as long as they are down, and pressed shortly until the next press; or only one of both. */
export type Hold = 'either' | 'held' | 'switch';

export const useHold = create<{ hold: Hold }>(() => ({ hold: 'either' }));

/** What is shown by keys that are down, and when each went down, in milliseconds. */
export function heldKeys() {
  const down = new Map<string, { letGo: () => void; at: number }>();
  return {
    /** @param letGo what ends that which the key has begun */
    press: (key: string, letGo: () => void, at: number) => void down.set(key, { letGo, at }),
    /** A key that was held lets go; one that was pressed shortly leaves it to the next press. */
    release(key: string, at: number): void {
      const was = down.get(key);
      down.delete(key);
      if (!was) return;
      const { hold } = useHold.getState();
      if (hold === 'held' || (hold === 'either' && at - was.at >= HELD)) was.letGo();
    },
    /** All keys let go: the window went away, and will not hear of them again. */
    releaseAll(): void {
      const all = [...down.values()];
      down.clear();
      if (useHold.getState().hold !== 'switch') all.forEach((d) => d.letGo());
    },
  };
}
