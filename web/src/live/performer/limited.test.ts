import { describe, expect, it } from 'vitest';
import { limited } from './limited';

describe('limits of a link', () => {
  it('are brought to whole degrees, or hundredths of a strength', () => {
    expect(limited([-45, 45], [-45, 45], 0, -20.4)).toEqual([-20, 45]);
    expect(limited([0, 1], [0, 1], 1, 0.7391)).toEqual([0, 0.74]);
  });

  it('stay within what is driven, and a little apart', () => {
    expect(limited([-45, 45], [-10, 30], 0, -90)).toEqual([-45, 30]);
    expect(limited([-45, 45], [-10, 30], 1, 90)).toEqual([-10, 45]);
    expect(limited([-45, 45], [-10, 30], 0, 40)).toEqual([28.2, 30]);
    expect(limited([0, 1], [0.4, 0.6], 1, 0.1)).toEqual([0.4, 0.42]);
  });
});
