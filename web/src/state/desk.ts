import { create } from 'zustand';
import { fromHash } from './address';
import type { Bench } from './benches';

/** What the rigger has on the desk: which bench, which pose, which line and frame. All of it lives in the address. */
export interface Desk {
  character: string | null;
  /** Whether all characters are shown instead of the one that is open. */
  home: boolean;
  /** Whether the address named a character that is not here. */
  lost: boolean;
  bench: Bench;
  dials: Record<string, number>;
  picks: Record<string, string>;
  pins: Record<string, string>;
  /** Looks mixed into the pose, with their strengths. */
  looks: Record<string, number>;
  line: string | null;
  frame: number;
  playing: boolean;
  /** First frame and the one behind the last of what is played over and over; null for the whole, once. */
  loop: [number, number] | null;
  /** How fast it is played: 1 as it is. */
  speed: number;
  /** Whether the shot plays without its sound. */
  muted: boolean;
  part: string | null;
  /** Further parts chosen together with `part`. */
  also: string[];
  /** Parts put out of sight, out of reach, or shown alone while working; the character itself does not change. */
  hidden: string[];
  locked: string[];
  solo: string[];
  whyMode: boolean;
  /** The drawing of the chosen part whose artwork is being changed; placement rests meanwhile. */
  shaping: string | null;
  /** Which of its shapes, 0 for the back. */
  shapeAt: number;
  /** Whether both sides of an outline are changed alike. */
  alike: boolean;
  /** Another drawing that shows through the one being changed. */
  through: string | null;
  /** The dial whose card is open on the Turn bench; null for the head turn as a whole. */
  dial: string | null;
  /** Whether what is posed by hand goes into a stop of that dial instead of the rest pose. */
  recording: boolean;
  /** Another dial away from rest that what is recorded is a correction for, together with the first. */
  together: string | null;
  /** Whether the pieces of the head can be pulled forward and back on the stage. */
  solids: boolean;
}

interface Actions {
  /** In one step with the bench that is gone to, so that one step back leaves both. */
  open: (character: string, bench?: Bench) => void;
  goHome: () => void;
  go: (bench: Bench) => void;
  turn: (dial: string, value: number) => void;
  /** Several dials in one step. */
  turnAll: (values: Record<string, number>) => void;
  pick: (part: string, drawing: string | null) => void;
  /** Picks drawings of several parts at once, or lets go of them when just those are picked. */
  wear: (choices: Record<string, string>) => void;
  pin: (part: string, drawing: string | null) => void;
  /** How strong a look is in the pose; 0 takes it out. */
  look: (look: string, strength: number) => void;
  rest: () => void;
  say: (line: string | null, bench?: Bench) => void;
  seek: (frame: number) => void;
  play: (playing: boolean) => void;
  select: (part: string | null) => void;
  addTo: (part: string) => void;
  /** Chooses several, the last one first among them; besides those that are chosen, or instead of them. */
  chooseAll: (parts: string[], besides: boolean) => void;
  toggle: (what: 'hidden' | 'locked' | 'solo', parts: string[]) => void;
  ask: (whyMode: boolean) => void;
  shape: (drawing: string | null) => void;
  /** Opens the card of a dial; what was being recorded ends. */
  openDial: (dial: string | null) => void;
  record: (recording: boolean, together?: string | null) => void;
}

/** Nothing that belongs to the bench that is left. */
const NO_HAND = { shaping: null, recording: false, together: null, solids: false };

const START: Desk = {
  character: null,
  home: false,
  lost: false,
  bench: 'lines',
  dials: {},
  picks: {},
  pins: {},
  looks: {},
  line: null,
  frame: 0,
  playing: false,
  loop: null,
  speed: 1,
  muted: false,
  part: null,
  also: [],
  hidden: [],
  locked: [],
  solo: [],
  whyMode: false,
  shaping: null,
  shapeAt: 0,
  alike: false,
  through: null,
  dial: null,
  recording: false,
  together: null,
  solids: false,
};

function put(map: Record<string, string>, key: string, value: string | null): Record<string, string> {
  const next = { ...map };
  if (value === null) delete next[key];
  else next[key] = value;
  return next;
}

export const useDesk = create<Desk & Actions>((set) => ({
  ...START,
  ...(typeof location === 'undefined' ? {} : fromHash(location.hash)),
  open: (character, bench) => set((s) => ({ ...START, bench: bench ?? s.bench, character })),
  goHome: () => set({ home: true, playing: false, shaping: null, recording: false }),
  go: (bench) => set({ bench, ...NO_HAND }),
  turn: (dial, value) => set((s) => ({ dials: { ...s.dials, [dial]: value } })),
  turnAll: (values) => set((s) => ({ dials: { ...s.dials, ...values } })),
  pick: (part, drawing) => set((s) => ({ picks: put(s.picks, part, drawing) })),
  wear: (choices) =>
    set((s) => {
      const on = Object.entries(choices).every(([part, d]) => s.picks[part] === d);
      const picks = { ...s.picks };
      for (const part of Object.keys(choices)) delete picks[part];
      return { picks: on ? picks : { ...picks, ...choices } };
    }),
  pin: (part, drawing) => set((s) => ({ pins: put(s.pins, part, drawing) })),
  look: (look, strength) =>
    set((s) => {
      const looks = { ...s.looks, [look]: strength };
      if (strength === 0) delete looks[look];
      return { looks };
    }),
  rest: () => set({ dials: {}, picks: {}, pins: {}, looks: {} }),
  say: (line, bench) =>
    set({ line, frame: 0, playing: false, loop: null, ...(bench && { bench, ...NO_HAND }) }),
  seek: (frame) => set({ frame }),
  play: (playing) => set({ playing }),
  select: (part) => set({ part, also: [], shaping: null }),
  shape: (shaping) => set({ shaping, shapeAt: 0 }),
  openDial: (dial) => set({ dial, recording: false, together: null, shaping: null, solids: false }),
  record: (recording, together = null) => set({ recording, together, shaping: null, solids: false }),
  addTo: (part) =>
    set((s) => {
      if (s.part === null) return { part };
      if (s.part === part) return { part: s.also[0] ?? null, also: s.also.slice(1) };
      return s.also.includes(part)
        ? { also: s.also.filter((p) => p !== part) }
        : { also: [s.part, ...s.also], part };
    }),
  chooseAll: (parts, besides) =>
    set((s) => {
      const all = [
        ...new Set([...(besides && s.part !== null ? [s.part, ...s.also] : []), ...parts.toReversed()]),
      ];
      return { part: all[0] ?? null, also: all.slice(1), shaping: null };
    }),
  toggle: (what, parts) =>
    set((s) => ({
      [what]: parts.every((p) => s[what].includes(p))
        ? s[what].filter((p) => !parts.includes(p))
        : [...new Set([...s[what], ...parts])],
    })),
  ask: (whyMode) => set({ whyMode }),
}));
