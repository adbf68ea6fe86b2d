import { describe, expect, it } from 'vitest';
import type { Shot } from '../api/client';
import { frameThen } from './compared';

const shot = (frames: number, frameRate: number) => ({ frames, rules: { frameRate } }) as unknown as Shot;

describe('a shot compared with an earlier state of it', () => {
  it('shows the same moment, whatever the frame rates', () => {
    expect(frameThen(24, shot(100, 24), shot(100, 24))).toBe(24);
    expect(frameThen(24, shot(100, 24), shot(50, 12))).toBe(12);
    expect(frameThen(25, shot(100, 24), shot(50, 12))).toBe(12);
    expect(frameThen(7, shot(50, 12), shot(100, 24))).toBe(14);
  });

  it('stays on the last frame of one that was shorter', () => {
    expect(frameThen(90, shot(100, 24), shot(40, 24))).toBe(39);
  });
});
