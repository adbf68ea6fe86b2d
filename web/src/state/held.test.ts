import { describe, expect, it } from 'vitest';
import { HELD, heldKeys } from './held';

describe('keys that show a drawing', () => {
  it('let go of it when they were held', () => {
    const keys = heldKeys();
    keys.press('h', 'heart', 1000);
    expect(keys.release('h', 1000 + HELD)).toBe('heart');
    expect(keys.release('h', 5000)).toBeNull();
  });

  it('keep it after a short press', () => {
    const keys = heldKeys();
    keys.press('h', 'heart', 1000);
    expect(keys.release('h', 1000 + HELD - 1)).toBeNull();
  });

  it('hold several at once, each by its own key', () => {
    const keys = heldKeys();
    keys.press('h', 'heart', 0);
    keys.press('s', 'sweat', 200);
    expect(keys.release('h', 400)).toBe('heart');
    expect(keys.releaseAll()).toEqual(['sweat']);
    expect(keys.release('s', 9000)).toBeNull();
  });
});
