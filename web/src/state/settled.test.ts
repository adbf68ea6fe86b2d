// @vitest-environment jsdom
import { act, createElement } from 'react';
import { createRoot } from 'react-dom/client';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useDesk } from './desk';
import { useSettled } from './settled';

beforeEach(() => {
  vi.useFakeTimers();
  (globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;
});
afterEach(() => vi.useRealTimers());

it('renders once after a drag, not at every step of it', () => {
  const seen: (number | undefined)[] = [];
  const Probe = () => {
    seen.push(useSettled((d) => d.dials['turn'], 100));
    return null;
  };
  const root = createRoot(document.createElement('div'));
  act(() => root.render(createElement(Probe)));
  act(() => vi.advanceTimersByTime(200));
  const before = seen.length;
  act(() => {
    for (let v = 1; v <= 20; v++) {
      useDesk.getState().turn('turn', v);
      vi.advanceTimersByTime(16);
    }
  });
  expect(seen.length).toBe(before);
  act(() => vi.advanceTimersByTime(120));
  expect(seen.at(-1)).toBe(20);
  expect(seen.length).toBe(before + 1);
  act(() => root.unmount());
});
