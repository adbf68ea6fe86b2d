import { create } from 'zustand';
import type { Refusal } from './refusal';

/** Whether a refusal says nothing about what was asked, only that nobody could see to it. */
export const isAway = (e: Refusal) =>
  e.status === 0 ||
  e.status === 502 ||
  e.status === 504 ||
  e.code === 'database-away' ||
  e.code === 'database-busy' ||
  e.code === 'disk-full';

interface Connection {
  /** Why nothing can be done at the moment; null while all is well. */
  away: string | null;
  /** How many changes are on their way. */
  sending: number;
  /** How many changes wait for the server to be back. */
  waiting: number;
  answered: () => void;
  refused: (e: Refusal) => void;
  /** Holds a change until the server answers again; false when it is to be dropped. */
  back: () => Promise<boolean>;
  /** Gives the changes up that wait. */
  drop: () => void;
}

/** Whether the server is there. One for the whole page, fed by every call. */
export const useConnection = create<Connection>((set, get) => {
  let held: ((again: boolean) => void)[] = [];
  const release = (again: boolean) => {
    const all = held;
    held = [];
    set({ waiting: 0 });
    for (const go of all) go(again);
  };
  return {
    away: null,
    waiting: 0,
    sending: 0,
    answered: () => {
      if (get().away === null) return;
      set({ away: null });
      release(true);
    },
    refused: (e) => {
      if (isAway(e)) set({ away: e.message });
      else if (e.status > 0) get().answered();
    },
    back: () =>
      new Promise((go) => {
        held.push(go);
        set({ waiting: held.length });
      }),
    drop: () => release(false),
  };
});

/** Does something once the server can see to it; false when it was dropped in the meantime. */
export async function whenThere<T>(
  work: () => Promise<T>,
  isRefusal: (e: unknown) => e is Refusal,
): Promise<{ done: T } | null> {
  for (;;) {
    try {
      return { done: await work() };
    } catch (e) {
      if (!isRefusal(e) || !isAway(e)) throw e;
      if (!(await useConnection.getState().back())) return null;
    }
  }
}
