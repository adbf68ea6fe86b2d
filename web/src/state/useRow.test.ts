// @vitest-environment jsdom
import { act, fireEvent, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PAUSE } from '../ui/pause';
import { useRow } from './useRow';

describe('a row of presses', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  function begun() {
    const kept: [string, number][] = [];
    const hook = renderHook(() => useRow<number>((of, value) => kept.push([of, value])));
    return { kept, hook, press: (of: string, v: number) => act(() => hook.result.current.press(of, v)) };
  }

  it('is seen at once and kept once, after a pause', () => {
    const { kept, hook, press } = begun();
    press('grip', 1);
    press('grip', 2);
    press('grip', 3);
    expect(hook.result.current.held('grip')).toBe(3);
    expect(hook.result.current.held('wrist')).toBeNull();
    expect(kept).toEqual([]);
    act(() => vi.advanceTimersByTime(PAUSE));
    expect(kept).toEqual([['grip', 3]]);
    expect(hook.result.current.held('grip')).toBeNull();
    act(() => vi.advanceTimersByTime(PAUSE));
    expect(kept).toHaveLength(1);
  });

  it.each([
    ['something else is moved', (press: (of: string, v: number) => void) => press('wrist', 9)],
    ['undo is pressed', () => fireEvent.keyDown(window, { key: 'z', ctrlKey: true })],
    ['something is clicked', () => fireEvent.pointerDown(window)],
    ['the window is left', () => fireEvent.blur(window)],
  ])('is kept before %s', (_, other) => {
    const { kept, press } = begun();
    press('grip', 4);
    act(() => void other(press));
    expect(kept[0]).toEqual(['grip', 4]);
  });

  it('goes on with Shift and arrows, and is kept when the bench is left', () => {
    const { kept, hook, press } = begun();
    press('grip', 4);
    act(() => void fireEvent.keyDown(window, { key: 'Shift' }));
    act(() => void fireEvent.keyDown(window, { key: 'ArrowLeft' }));
    expect(kept).toEqual([]);
    hook.unmount();
    expect(kept).toEqual([['grip', 4]]);
  });
});
