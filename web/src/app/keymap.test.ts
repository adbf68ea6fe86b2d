import { beforeEach, describe, expect, it } from 'vitest';
import { commandOf, keyFor, keyOf, restoredKeys, useKeymap } from './keymap';

const press = (
  key: string,
  held: Partial<Record<'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey', boolean>> = {},
) => keyOf({ key, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held });

describe('the keys', () => {
  beforeEach(() => useKeymap.getState().usual());

  it('are written as one says them, whatever a keyboard needs for a sign', () => {
    expect(press('W')).toBe('w');
    expect(press('F', { shiftKey: true })).toBe('Shift+F');
    expect(press('?', { shiftKey: true })).toBe('?');
    expect(press('+')).toBe('+');
    expect(press(' ')).toBe('Space');
    expect(press('Enter', { altKey: true })).toBe('Alt+Enter');
    expect(press('z', { metaKey: true })).toBe('Ctrl+z');
    expect(press('ArrowUp', { shiftKey: true })).toBe('Shift+ArrowUp');
  });

  it('do one thing each, also when they are given anew', () => {
    const keys = useKeymap.getState();
    expect(commandOf('w', useKeymap.getState())).toBe('why');
    keys.give('head', 'w');
    expect(commandOf('w', useKeymap.getState())).toBe('head');
    expect(keyFor('why', useKeymap.getState().own)).toBe('');
    expect(commandOf('f', useKeymap.getState())).toBeNull();
    keys.give('why', '');
    keys.usual();
    expect(commandOf('f', useKeymap.getState())).toBe('head');
  });

  it('do nothing as single letters and signs when that is switched off, and all else goes on', () => {
    useKeymap.getState().switchSingles(false);
    const now = useKeymap.getState();
    expect(['w', '0', '?', ',', '+'].map((k) => commandOf(k, now))).toEqual([null, null, null, null, null]);
    expect(commandOf('Space', now)).toBe('play');
    expect(commandOf('Shift+F', now)).toBe('figure');
    expect(commandOf('Alt+Enter', now)).toBe('alone');
  });

  it('are kept, without what is no command', () => {
    expect(restoredKeys('{"own":{"why":"q","dance":"d","rest":5},"singles":false}')).toEqual({
      own: { why: 'q' },
      singles: false,
    });
    for (const broken of [null, '', '{', '3', '{"own":7}'])
      expect(restoredKeys(broken)).toEqual({ own: {}, singles: true });
  });
});
