import { describe, expect, it } from 'vitest';
import { edgeNear, onFrame, putIn, retyped, soundAt, stepped, wordOf } from './sounds';

const LINE = {
  text: 'Mind the ropes, please!',
  words: [
    { text: 'Mind', start: 0, end: 0.3, doubt: 0 },
    { text: 'the', start: 0.3, end: 0.4, doubt: 0 },
    { text: 'ropes', start: 0.4, end: 0.8, doubt: 0 },
    { text: 'please', start: 1, end: 1.4, doubt: 0 },
  ],
  phones: [
    { phone: 'M' as const, start: 0, end: 0.1 },
    { phone: 'AY' as const, start: 0.1, end: 0.3 },
    { phone: 'AH' as const, start: 0.3, end: 0.4 },
    { phone: 'R' as const, start: 0.4, end: 0.8 },
    { phone: 'P' as const, start: 1, end: 1.4 },
  ],
};

describe('edges', () => {
  it('are found within reach, a shared one as the later start', () => {
    expect(edgeNear(LINE.phones, 0.11, 0.05)).toEqual({ sound: 1, end: false });
    expect(edgeNear(LINE.phones, 0.79, 0.05)).toEqual({ sound: 3, end: true });
    expect(edgeNear(LINE.phones, 0.99, 0.05)).toEqual({ sound: 4, end: false });
    expect(edgeNear(LINE.phones, 0.9, 0.05)).toBeNull();
  });

  it('step from frame to frame, or a little', () => {
    expect(onFrame(0.49, 24)).toBeCloseTo(0.5, 9);
    expect(stepped(0.49, 1, 24, true)).toBeCloseTo(0.5, 9);
    expect(stepped(0.5, 1, 24, true)).toBeCloseTo(13 / 24, 9);
    expect(stepped(0.5, -1, 24, true)).toBeCloseTo(11 / 24, 9);
    expect(stepped(0.5, -1, 24, false)).toBeCloseTo(0.495, 9);
  });

  it('know their sounds and words', () => {
    expect(soundAt(LINE.phones, 0.9)).toBe(4);
    expect(soundAt(LINE.phones, 9)).toBe(4);
    expect(wordOf(LINE, 3)).toBe(2);
    expect(wordOf(LINE, 9)).toBe(-1);
  });
});

describe('words', () => {
  it('are retyped in their place with what stands round them', () => {
    expect(retyped(LINE, 2, 'ladders')).toBe('Mind the ladders, please!');
    expect(retyped(LINE, 1, '')).toBe('Mind ropes, please!');
    expect(retyped({ ...LINE, text: 'nothing of it' }, 1, 'x')).toBeNull();
  });

  it('are put in where they were left out', () => {
    expect(putIn(LINE, 2, 'wet')).toBe('Mind the wet ropes, please!');
    expect(putIn(LINE, 0, 'Do')).toBe('Do Mind the ropes, please!');
    expect(putIn(LINE, 4, 'sir')).toBe('Mind the ropes, please sir!');
  });
});
