import { describe, expect, it } from 'vitest';
import type { LineView, Shot } from '../api/client';
import { placedIn, takenAs } from './spoken';

const shot = {
  rules: { frameRate: 24 },
  lines: [
    { at: 0, line: { seconds: 2 } },
    { at: 60, line: { seconds: 1 } },
  ],
} as unknown as Shot;

describe('a voice beside a shot', () => {
  it('is another take of the line it is most about', () => {
    expect(placedIn(shot, 0, 100)?.at).toBe(0);
    expect(placedIn(shot, 40, 100)?.at).toBe(60);
    expect(placedIn(shot, 50, 58)).toBeUndefined();
  });

  it('is kept under that line, or as a new one', () => {
    const line = { id: 'l' } as LineView;
    expect(takenAs(line, placedIn(shot, 40, 100))).toBe('l 60');
    expect(takenAs(line, undefined)).toBe('');
    expect(takenAs(null, undefined)).toBe('');
  });
});
