import type { OpenCharacter, OpenLine } from 'page-core';
import type { Frame, Joint } from '../api/client';

export type Watcher = (frame: Frame) => void;

export type JointWatcher = (joints: Joint[]) => void;

/** A character to be posed, and the line it says. */
export interface Shown {
  character: OpenCharacter;
  line: OpenLine | null;
}
