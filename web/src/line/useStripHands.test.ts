// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { useDesk } from '../state/desk';
import { stretch, useStripHands } from './useStripHands';

/** A lane 100 pixels wide, for 50 frames. */
function hands() {
  const scrub = vi.fn();
  const lane = document.createElement('div');
  lane.getBoundingClientRect = () => new DOMRect(0, 0, 100, 20);
  lane.setPointerCapture = () => {};
  const { result } = renderHook(() => useStripHands({ current: lane }, 50, scrub));
  const at = (clientX: number, shiftKey = false) =>
    ({
      clientX,
      shiftKey,
      pointerId: 1,
      target: lane,
      currentTarget: lane,
      preventDefault: () => {},
    }) as never;
  return { scrub, at, on: result.current };
}

describe('a hand on the strip', () => {
  it('scrubs each frame it passes once', () => {
    const { scrub, at, on } = hands();
    on.onPointerDown(at(10));
    for (const x of [10.4, 11, 12.1, 13.9, 250]) on.onPointerMove(at(x));
    on.onPointerUp();
    on.onPointerMove(at(60));
    expect(scrub.mock.calls.flat()).toEqual([5, 6, 49]);
  });

  it('holds a stretch with Shift, in either way, and lets go of it by a click', () => {
    const { scrub, at, on } = hands();
    act(() => on.onPointerDown(at(60, true)));
    act(() => on.onPointerMove(at(41, true)));
    on.onPointerUp();
    expect(useDesk.getState().loop).toEqual([20, 31]);
    on.onPointerDown(at(50, true));
    on.onPointerUp();
    expect(useDesk.getState().loop).toBeNull();
    expect(scrub).not.toHaveBeenCalled();
    expect(stretch(4, 4)).toEqual([4, 5]);
  });
});
