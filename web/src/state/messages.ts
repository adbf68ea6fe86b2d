import { create } from 'zustand';
import { Refusal } from '../api/client';

/** Something to tell the rigger, at the foot of the page, until it is read. */
export interface Message {
  message: string;
  more?: string[];
  bad: boolean;
}

/** Apart from the studio, so that what is told draws nothing but itself. */
export const useMessages = create<{ message: Message | null }>(() => ({ message: null }));

export const tell = (message: Message | null) => useMessages.setState({ message });

export function asMessage(e: unknown): Message {
  if (e instanceof Refusal) return { message: e.message, more: e.since, bad: true };
  return { message: e instanceof Error ? e.message : String(e), bad: true };
}
