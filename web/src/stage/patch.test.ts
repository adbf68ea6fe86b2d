import { expect, test } from 'vitest';
import { covered, placeIn, type Patch } from './patch';

const patch: Patch = {
  kind: 'patch',
  image: '0'.repeat(64),
  width: 40,
  height: 40,
  place: [0.5, 0, 0, 0.5, 10, 20],
  average: '#000000',
  traced: [],
  corners: [
    [10, 20],
    [30, 20],
    [10, 40],
  ],
};

test('a piece of a picture lies where it was cut until its outline moves', () => {
  expect(placeIn(patch, 'M10 20L30 20L10 40Z')).toEqual(patch.place);
  // moved, twice as wide and turned by a quarter
  expect(placeIn(patch, 'M100 50L100 90L80 50Z')).toEqual([0, 1, -0.5, 0, 100, 50]);
  // numbers as paths write them: signs instead of spaces, no leading nought
  expect(placeIn(patch, 'M-1.5-2L18.5-2L-1.5 18Z')).toEqual([0.5, 0, 0, 0.5, -1.5, -2]);
  expect(placeIn(patch, 'M.5 .5L20.5 .5L.5 20.5Z')).toEqual([0.5, 0, 0, 0.5, 0.5, 0.5]);
});

test('it is painted a pixel over its neighbours on every side', () => {
  const grown = covered(patch, 'M10 20L30 20L10 40Z');
  const [x0, y0, x1, y1, x2, y2] = (grown.match(/-?[\d.]+/g) ?? []).map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  // a pixel is half a unit here; the two sides along the axes lie half a unit further out
  expect(x0).toBeCloseTo(9.5, 6);
  expect(x2).toBeCloseTo(9.5, 6);
  expect(y0).toBeCloseTo(19.5, 6);
  expect(y1).toBeCloseTo(19.5, 6);
  // and the slanted one as well: x + y = 50 becomes 50 + half a unit across it
  expect(x1 + y1).toBeCloseTo(50 + 0.5 * Math.SQRT2, 6);
  expect(x2 + y2).toBeCloseTo(50 + 0.5 * Math.SQRT2, 6);
});

test('a thin one keeps its corners near', () => {
  const [, , x1] = (covered(patch, 'M0 0L100 0L100 .01Z').match(/-?[\d.]+/g) ?? []).map(Number);
  expect(x1!).toBeLessThan(100 + 6 * 20);
  expect(covered(patch, 'M0 0L1 1')).toBe('M0 0L1 1');
});
