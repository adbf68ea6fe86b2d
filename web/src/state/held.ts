/** A key that is down for longer is being held: letting go of it lets go of what it shows. */
export const HELD = 300;

interface Down {
  part: string;
  at: number;
}

/** Which drawings are shown by keys that are down, and when each went down, in milliseconds. */
export function heldKeys() {
  const down = new Map<string, Down>();
  return {
    press: (key: string, part: string, at: number) => void down.set(key, { part, at }),
    /** The part to let go of, when the key was held; a short press keeps its drawing until the next one. */
    release(key: string, at: number): string | null {
      const was = down.get(key);
      down.delete(key);
      return was && at - was.at >= HELD ? was.part : null;
    },
    /** The parts of all keys that are down: the window went away, and will not hear of them again. */
    releaseAll(): string[] {
      const parts = [...down.values()].map((d) => d.part);
      down.clear();
      return parts;
    },
  };
}
