import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RunSheet } from '../api/client';
import { RunPlayer, shownAt } from './runs';

// open for two frames, up for one, and out of each backwards
const sheet: RunSheet = {
  id: 'wave',
  round: ['open', 'open', 'up'],
  back: { open: [], up: ['open', 'open'] },
};

describe('a run of drawings', () => {
  it('holds its last drawing when it plays once, and begins anew when it loops', () => {
    expect([0, 1, 2, 3, 9].map((f) => shownAt(sheet, true, f, null))).toEqual([
      'open',
      'open',
      'up',
      'up',
      'up',
    ]);
    expect([2, 3, 4, 5].map((f) => shownAt(sheet, false, f, null))).toEqual(['up', 'open', 'open', 'up']);
  });

  it('goes out backwards from where it was let go of', () => {
    expect([5, 6, 7, 8].map((f) => shownAt(sheet, true, f, 5))).toEqual(['up', 'open', 'open', null]);
    expect(shownAt(sheet, true, 2, 1)).toBe(null);
  });

  describe('on the stage', () => {
    beforeEach(() => void vi.useFakeTimers());
    afterEach(() => void vi.useRealTimers());

    it('picks each drawing as its frame comes, and lets go of the part at the end', () => {
      const picked: (string | null)[] = [];
      const player = new RunPlayer((_, d) => picked.push(d));
      player.toggle('hand', 'wave', sheet, true, 25);
      vi.advanceTimersByTime(41 * 4);
      expect(picked).toEqual(['open', 'up']);
      expect(player.runOf('hand')).toBe('wave');
      player.toggle('hand', 'wave', sheet, true, 25);
      expect(player.runOf('hand')).toBe(null);
      vi.advanceTimersByTime(41 * 4);
      expect(picked).toEqual(['open', 'up', 'open', null]);
      expect(vi.getTimerCount()).toBe(0);
    });

    it('ends at once when it is stopped', () => {
      const picked: (string | null)[] = [];
      const player = new RunPlayer((_, d) => picked.push(d));
      player.toggle('hand', 'wave', sheet, false, 25);
      player.stop('hand');
      vi.advanceTimersByTime(400);
      expect(picked).toEqual(['open']);
      expect(vi.getTimerCount()).toBe(0);
    });
  });
});
