import { create } from 'zustand';

/** Whether the list of everything by its name is open. */
export const usePalette = create<{ open: boolean }>(() => ({ open: false }));
