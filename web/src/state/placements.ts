import { create } from 'zustand';
import type { Part } from '../api/client';

/** The placement that was copied last, to be put on other parts: where a part stands, and how it is turned, scaled and slanted. */
export const usePlacement = create<{ of: string; rest: Part['rest'] | null }>(() => ({ of: '', rest: null }));

/** Takes a part's placement in the rest pose. */
export const copyPlacement = (part: Part) => usePlacement.setState({ of: part.name, rest: part.rest });
