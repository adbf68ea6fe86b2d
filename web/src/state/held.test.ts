import { beforeEach, describe, expect, it, vi } from 'vitest';
import { HELD, heldKeys, useHold } from './held';

describe('keys that show something', () => {
  beforeEach(() => useHold.setState({ hold: 'either' }));

  it('let go of it when they were held', () => {
    const keys = heldKeys();
    const letGo = vi.fn();
    keys.press('h', letGo, 1000);
    keys.release('h', 1000 + HELD);
    keys.release('h', 5000);
    expect(letGo).toHaveBeenCalledTimes(1);
  });

  it('keep it after a short press', () => {
    const keys = heldKeys();
    const letGo = vi.fn();
    keys.press('h', letGo, 1000);
    keys.release('h', 1000 + HELD - 1);
    expect(letGo).not.toHaveBeenCalled();
  });

  it('hold several at once, each by its own key', () => {
    const keys = heldKeys();
    const said: string[] = [];
    keys.press('h', () => said.push('heart'), 0);
    keys.press('s', () => said.push('sweat'), 200);
    keys.release('h', 400);
    keys.releaseAll();
    keys.release('s', 9000);
    expect(said).toEqual(['heart', 'sweat']);
  });

  it('only hold, or only switch, when that is asked for', () => {
    const keys = heldKeys();
    const letGo = vi.fn();
    useHold.setState({ hold: 'held' });
    keys.press('h', letGo, 0);
    keys.release('h', 1);
    expect(letGo).toHaveBeenCalledTimes(1);
    useHold.setState({ hold: 'switch' });
    keys.press('h', letGo, 0);
    keys.release('h', 60_000);
    keys.press('h', letGo, 0);
    keys.releaseAll();
    expect(letGo).toHaveBeenCalledTimes(1);
  });
});
