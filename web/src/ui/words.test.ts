import { describe, expect, it } from 'vitest';

/** Words the screen had for things that a rigger, or anyone at a computer, already has a word for. */
const OLD = [
  'label="is"',
  'label="follows"',
  'label="seen in"',
  "number('across'",
  "number('turned'",
  "number('slant'",
  "number('opaque'",
  'Stacking order',
  'lies where',
  'holds others',
  'othing to settle',
  'no finding',
  'ake anew',
  'the throw anew',
  "name: 'Closer'",
  'Put the mouths to it',
  'Let the sound decide again',
  'Both halves are alike',
  'From end to end',
  'Around the head',
  'Left and right apart',
  'served by',
  'What was done<',
  'Fetching the character',
  'blank to draw over',
  'no part in particular',
  'out of the hand',
  'ut away<',
  'one of the knots',
  'Threads show',
  'hang it there',
  'to slant',
  'laid anew',
  'the six anew',
  'Keep it anew',
  'give it anew',
  'Leave it\n',
  'Take it in\n',
  'Give it out',
  'ake it away',
  'ake them away',
  'Take away',
  'Throw $',
  'off the list',
  'Draw out to',
  'Further to the',
  '"Nearer',
  'Show it closer',
  'Put them away',
];

const pages = import.meta.glob<string>(['../**/*.tsx', '../app/commands.ts'], {
  query: '?raw',
  import: 'default',
  eager: true,
});

describe('the words on the screen', () => {
  it('are those a stranger knows: none of the old ones is left', () => {
    expect(Object.keys(pages).length).toBeGreaterThan(100);
    const left = Object.entries(pages).flatMap(([file, text]) => {
      const code = text.replace(/^\s*(\*|\/\/|\/\*).*$/gm, '');
      return OLD.filter((w) => code.includes(w)).map((w) => `${file}: ${w}`);
    });
    expect(left).toEqual([]);
  });
});
