// @vitest-environment jsdom
import { act, cleanup, fireEvent, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Edit } from '../api/client';
import { pressedOn, stepOf, usePresses } from './usePresses';

const studio = vi.hoisted(() => ({ edit: vi.fn(), director: { drafting: vi.fn() } }));
vi.mock('./studio', () => ({ useStudio: () => studio }));

describe('a row of arrow presses', () => {
  const first = () => null;
  const press = (dx: number, dy: number, into = 'nose', make = first) => ({ into, dx, dy, make });
  it('is one edit, without the dust of adding tenths', () => {
    let n = pressedOn(null, press(0.1, 0));
    for (let i = 0; i < 9; i++) n = pressedOn(n, press(0.1, 0));
    expect(n).toEqual(press(1, 0));
    expect(pressedOn(n, press(-1, 10))).toEqual(press(0, 10));
  });
  it('begins anew where it goes into something else', () => {
    expect(pressedOn(press(5, 0), press(1, 0, 'nose at stop 30'))).toEqual(press(1, 0, 'nose at stop 30'));
  });
  it('goes on from where the thing stood when it began', () => {
    const later = () => null;
    expect(pressedOn(press(5, 0), press(1, 0, 'nose', later)).make).toBe(first);
    expect(pressedOn(press(5, 0), press(1, 0, 'brow', later)).make).toBe(later);
  });
  it('goes by 1, by 10 with Shift and by a tenth with Alt', () => {
    const key = (k: string, shiftKey = false, altKey = false) => stepOf({ key: k, shiftKey, altKey });
    expect(key('ArrowLeft')).toEqual([-1, 0]);
    expect(key('ArrowDown', true)).toEqual([0, 10]);
    expect(key('ArrowUp', false, true)).toEqual([0, -0.1]);
    expect(key('a')).toBeNull();
  });
});

describe('presses on the stage', () => {
  const nudged = (dx: number, dy: number): Edit => ({ kind: 'nudge', part: 'nose', dx, dy });
  const press = (dx: number, into = 'nose', make = nudged) => ({ into, dx, dy: 0, make });
  beforeEach(() => {
    vi.useFakeTimers();
    vi.clearAllMocks();
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  it('are seen at once, and made as one edit after a pause', () => {
    const { result } = renderHook(() => usePresses());
    act(() => result.current(press(1)));
    act(() => result.current(press(10)));
    expect(studio.director.drafting).toHaveBeenLastCalledWith(nudged(11, 0));
    expect(studio.edit).not.toHaveBeenCalled();
    act(() => vi.advanceTimersByTime(1000));
    expect(studio.edit.mock.calls).toEqual([[nudged(11, 0)]]);
    expect(studio.director.drafting).toHaveBeenLastCalledWith(null);
  });

  it.each([
    ['another thing is stepped', (step: (p: ReturnType<typeof press>) => void) => step(press(1, 'ear'))],
    ['undo is pressed', () => fireEvent.keyDown(window, { key: 'z', ctrlKey: true })],
    ['the pointer goes down', () => fireEvent.pointerDown(window)],
  ])('are made before %s', (_, then) => {
    const { result } = renderHook(() => usePresses());
    act(() => result.current(press(3)));
    fireEvent.keyDown(window, { key: 'Shift' });
    fireEvent.keyDown(window, { key: 'ArrowLeft' });
    expect(studio.edit).not.toHaveBeenCalled();
    act(() => void then(result.current));
    expect(studio.edit.mock.calls).toEqual([[nudged(3, 0)]]);
  });

  it('that come to nothing make no edit', () => {
    const { result } = renderHook(() => usePresses());
    act(() => result.current({ into: 'nose', dx: 1, dy: 0, make: () => null }));
    act(() => vi.advanceTimersByTime(1000));
    expect(studio.edit).not.toHaveBeenCalled();
    expect(studio.director.drafting).not.toHaveBeenCalled();
  });
});
