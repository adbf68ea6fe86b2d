import { create } from 'zustand';
import { keep, kept } from '../state/kept';

interface Pinned {
  /** By character: the dials that always come first. */
  dials: Record<string, string[]>;
  /** Groups that show no more than their name. */
  folded: string[];
  /** @param now those that come first at the moment, be they chosen or usual */
  toggle: (character: string, dial: string, now: string[]) => void;
  fold: (group: string) => void;
}

const KEPT = 'shelf';
/** Characters whose pins are remembered; the longest unused go first. */
const MOST = 200;

function load(): Pick<Pinned, 'dials' | 'folded'> {
  try {
    const read = JSON.parse(kept(KEPT) ?? '{}') as Partial<Pinned>;
    return {
      dials: typeof read.dials === 'object' && read.dials !== null ? read.dials : {},
      // action units are many, and looks are where they are mixed
      folded: Array.isArray(read.folded) ? read.folded : ['face'],
    };
  } catch {
    return { dials: {}, folded: ['face'] };
  }
}

export const usePinned = create<Pinned>((set) => ({
  ...load(),
  toggle: (character, dial, now) =>
    set((s) => {
      const next = now.includes(dial) ? now.filter((d) => d !== dial) : [...now, dial];
      const others = Object.entries(s.dials).filter(([c]) => c !== character);
      return { dials: Object.fromEntries([...others, [character, next]].slice(-MOST)) };
    }),
  fold: (group) =>
    set((s) => ({
      folded: s.folded.includes(group) ? s.folded.filter((g) => g !== group) : [...s.folded, group],
    })),
}));

usePinned.subscribe(({ dials, folded }) => keep(KEPT, { dials, folded }));
