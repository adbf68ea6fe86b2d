import { describe, expect, it } from 'vitest';
import type { Character, Dial } from '../api/client';
import { dialOf, over, posed, valueOf } from './asked';
import { readFace } from './faceFile';

const dial = (id: string, purpose: string, from: number, to: number, rest: number) =>
  ({ id, name: id, purpose, from, to, rest }) as Dial;
const DIALS = [
  dial('turn', 'TURN', -45, 45, 0),
  dial('look-aside', 'GAZE_ACROSS', -2, 1, 0),
  dial('title', 'OWN', 0, 1, 0),
];
const CHARACTER = {
  controls: { dials: DIALS },
  library: {
    looks: [{ id: 'happiness', name: 'Happiness' }],
    kits: [{ id: 'k1', name: 'Rain', choices: { cap: 'hood' } }],
  },
} as unknown as Character;

describe('what attributes ask for', () => {
  it('are dials, by what they are for or by their ids, within their range', () => {
    const { pose, wrong } = posed(
      [
        ['turn', '90'],
        ['gaze-x', '-.5'],
        ['dial-title', '.3'],
        ['title', 'a tip'],
        ['class', 'big'],
        ['src', 'a.face'],
      ],
      CHARACTER,
    );
    expect(wrong).toEqual([]);
    expect(pose.dials).toEqual({ turn: 45, 'look-aside': -1, title: 0.3 });
  });

  it('are looks with a strength, and kits', () => {
    const { pose } = posed(
      [
        ['mood', 'happiness: .4'],
        ['kit', 'Rain'],
      ],
      CHARACTER,
    );
    expect(pose.looks).toEqual({ happiness: 0.4 });
    expect(pose.picks).toEqual({ cap: 'hood' });
  });

  it('is told and left out where there is no such thing', () => {
    const { pose, wrong } = posed(
      [
        ['mood', 'hapy'],
        ['kit', 'sun'],
        ['trun', '3'],
        ['turn', 'left'],
      ],
      CHARACTER,
    );
    expect(pose).toEqual({ dials: {}, looks: {}, picks: {} });
    expect(wrong).toEqual([
      'There is no look “hapy”; there are: Happiness.',
      'There is no kit “sun”; there are: Rain.',
      'There is no dial “trun”; there are: turn, look-aside, title.',
      '“left” is no value of the dial turn.',
    ]);
  });

  it('takes a gaze from -1 to 1 whatever the range of its dial', () => {
    const gaze = dialOf('gaze-x', DIALS)!;
    expect([-3, -1, -0.5, 0, 0.5, 1].map((v) => valueOf('gaze-x', gaze, v))).toEqual([-2, -2, -1, 0, 0.5, 1]);
  });

  it('finds a dial by its id however it is written, and takes its own numbers', () => {
    const dials = [dial('AU4', 'ACTION_UNIT', 0, 1, 0), dial('gaze-across', 'GAZE_ACROSS', -20, 20, 0)];
    expect(dialOf('dial-au4', dials)?.id).toBe('AU4');
    expect(dialOf('AU4', dials)?.id).toBe('AU4');
    expect(valueOf('gaze-across', dialOf('gaze-across', dials)!, 15)).toBe(15);
    expect(valueOf('gaze-x', dialOf('gaze-x', dials)!, 0.5)).toBe(10);
  });

  it('gives way to what methods asked for', () => {
    expect(over({ dials: { turn: 3, nod: 1 } }, { dials: { turn: 9 } }).dials).toEqual({ turn: 9, nod: 1 });
  });
});

describe('a face file', () => {
  it('says in a sentence what is wrong with it', () => {
    expect(() => readFace('{"form', 'a.face')).toThrow('a.face is not whole: it is no JSON.');
    expect(() => readFace('null', 'a.face')).toThrow('a.face is no face.');
    expect(() => readFace('{"format":"leeward-face","version":7}', 'a.face')).toThrow(
      'a.face is of version 7; this element reads version 1.',
    );
    expect(() => readFace('{"format":"leeward-face","version":1}', 'a.face')).toThrow('character is missing');
  });
});
