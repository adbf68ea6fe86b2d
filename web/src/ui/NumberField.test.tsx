// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NumberField } from './NumberField';

describe('a number that is typed', () => {
  const keep = vi.fn();
  const field = (value = 10, unit = '') => {
    render(<NumberField label="X" value={value} unit={unit} keep={keep} />);
    return screen.getByLabelText<HTMLInputElement>('X', { selector: 'input' });
  };
  const press = (on: HTMLElement, key: string, held = {}) => fireEvent.keyDown(on, { key, ...held });
  beforeEach(() => {
    vi.useFakeTimers();
    keep.mockClear();
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  it('is one edit for a row of arrows, after a pause, and shows each of them at once', () => {
    const x = field();
    for (let i = 0; i < 4; i++) press(x, 'ArrowUp');
    press(x, 'ArrowDown', { shiftKey: true });
    expect(x.value).toBe('4');
    act(() => void vi.advanceTimersByTime(300));
    press(x, 'ArrowUp', { altKey: true });
    act(() => void vi.advanceTimersByTime(300));
    expect(keep).not.toHaveBeenCalled();
    act(() => void vi.advanceTimersByTime(300));
    expect(keep.mock.calls).toEqual([[4.1]]);
  });

  it('does not wait when it is left, and forgets all on Escape', () => {
    const x = field(10, ' %');
    press(x, 'ArrowUp');
    fireEvent.blur(x);
    expect(keep.mock.calls).toEqual([[11]]);
    press(x, 'ArrowUp');
    press(x, 'Escape');
    act(() => void vi.advanceTimersByTime(1000));
    expect(keep).toHaveBeenCalledTimes(1);
    expect(x.value).toBe('10 %');
  });

  it('reckons, keeps what did not change to itself, and says what is no number', () => {
    const x = field();
    fireEvent.change(x, { target: { value: '12+3*2' } });
    press(x, 'Enter');
    expect(keep.mock.calls).toEqual([[18]]);
    fireEvent.change(x, { target: { value: '10' } });
    press(x, 'Enter');
    fireEvent.change(x, { target: { value: 'ten' } });
    press(x, 'Enter');
    expect(x.getAttribute('aria-invalid')).toBe('true');
    expect(x.title).toContain('Not a number');
    fireEvent.blur(x);
    expect(x.value).toBe('10');
    expect(keep).toHaveBeenCalledTimes(1);
  });
});
