import { describe, expect, it } from 'vitest';
import type { Joint, Placement } from '../../api/client';
import { inParent, moved, scaled, skewed, turned } from './geometry';

const REST: Placement = { x: 0, y: 0, rotation: 0, scaleX: 1, scaleY: 1, skewX: 0, opacity: 1 };
const joint = (within: number[], at = [100, 100]): Joint => ({ part: 'p', at, within });
const PLAIN = joint([1, 0, 0, 1, 0, 0]);

describe('a hand on a part', () => {
  it('moves it in what it follows, whatever that is turned and grown by', () => {
    expect(moved(REST, PLAIN, [3, -2])).toMatchObject({ x: 3, y: -2 });
    // the parent is turned by a quarter and twice as large: right on the canvas is up for it, and half as far
    expect(inParent([0, 2, -2, 0, 0, 0], [10, 0]).map(Math.abs)).toEqual([0, 5]);
    expect(moved(REST, joint([0, 2, -2, 0, 0, 0]), [10, 0])).toMatchObject({ x: 0, y: -5 });
  });

  it('turns it about its pivot, the same way on the screen under a mirrored parent', () => {
    expect(turned(REST, PLAIN, [110, 100], [100, 110], false).rotation).toBeCloseTo(90);
    expect(turned(REST, joint([-1, 0, 0, 1, 0, 0]), [110, 100], [100, 110], false).rotation).toBeCloseTo(-90);
    expect(turned(REST, PLAIN, [110, 100], [109, 105], true).rotation).toBe(30);
    expect(turned(REST, PLAIN, [90, 101], [90, 99], false).rotation).toBeLessThan(30);
  });

  it('grows it from the pivot, evenly when asked', () => {
    expect(scaled(REST, PLAIN, [110, 110], [120, 105], false)).toMatchObject({ scaleX: 2, scaleY: 0.5 });
    const even = scaled(REST, PLAIN, [103, 104], [106, 108], true);
    expect(even).toMatchObject({ scaleX: 2, scaleY: 2 });
    const aside = { ...REST, rotation: 90 };
    expect(scaled(aside, PLAIN, [100, 110], [100, 130], false)).toMatchObject({ scaleX: 3, scaleY: 1 });
  });

  it('slants it along its edge', () => {
    expect(skewed(REST, PLAIN, [100, 90], [110, 90]).skewX).toBeCloseTo(-45);
    expect(skewed(REST, PLAIN, [100, 100], [140, 100])).toEqual(REST);
  });
});
