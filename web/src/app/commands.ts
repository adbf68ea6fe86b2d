/** What can be done from anywhere by a key, by its name or from a menu: one list for all of them. */
export interface CommandWords {
  name: string;
  /** What is to be done after it. */
  then?: string;
  /** What somebody may type instead of its name. */
  also?: string;
  /** The usual key; another one can be given. */
  key?: string;
  /** The key that is the same in nearly every program, and stays. */
  fixed?: string;
}

/** In the order in which they are listed. */
export const COMMANDS = {
  undo: { name: 'Undo', fixed: 'Ctrl+Z' },
  redo: { name: 'Redo', fixed: 'Ctrl+Y' },
  find: { name: 'Find anything', fixed: 'Ctrl+K' },
  play: { name: 'Play or stop', also: 'line shot', key: 'Space' },
  back: { name: 'One frame back', key: ',' },
  on: { name: 'One frame on', also: 'forward', key: '.' },
  first: { name: 'To the first frame', also: 'start', key: 'Home' },
  why: { name: 'Why?', then: 'then click a part', also: 'explain part', key: 'w' },
  rest: { name: 'Everything back to rest', also: 'reset dials', key: '0' },
  closer: { name: 'Zoom in', also: 'closer stage', key: '+' },
  further: { name: 'Zoom out', also: 'further away stage', key: '-' },
  actual: { name: 'As large as drawn, 1:1', also: 'zoom actual size stage', key: '=' },
  head: { name: 'Fit head', also: 'zoom stage', key: 'f' },
  figure: { name: 'Fit figure', also: 'zoom stage whole', key: 'Shift+F' },
  corner: { name: 'The whole figure in a corner', also: 'overview second stage', key: 'g' },
  alone: { name: 'The stage alone', also: 'full screen panels', key: 'Alt+Enter' },
  usual: { name: 'All panels as usual', also: 'reset layout size' },
  reveal: { name: 'Show what is hidden', also: 'unhide parts' },
  home: { name: 'All characters', also: 'home' },
  art: { name: 'New character …', also: 'import art' },
  version: { name: 'A new version of this art …', also: 'import update' },
  sound: { name: 'A recording of a line …', also: 'import audio' },
  list: { name: 'All keys', also: 'help shortcuts', key: '?' },
} as const satisfies Record<string, CommandWords>;

export type CommandId = keyof typeof COMMANDS;

/** Those whose key can be given anew. */
export type KeyCommand = {
  [C in CommandId]: (typeof COMMANDS)[C] extends { key: string } ? C : never;
}[CommandId];

export const wordsOf = (command: CommandId): CommandWords => COMMANDS[command];

export const KEY_COMMANDS = (Object.keys(COMMANDS) as CommandId[]).filter(
  (c): c is KeyCommand => wordsOf(c).key !== undefined,
);
