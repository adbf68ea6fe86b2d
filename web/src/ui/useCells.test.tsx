// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { beyond, useCells } from './useCells';

function Wall({ names, chosen }: { names: string[]; chosen?: string }) {
  return (
    <ul ref={useCells()}>
      {names.map((n) => (
        <li key={n}>
          <button aria-pressed={n === chosen}>{n}</button>
          <input aria-label={`key of ${n}`} />
        </li>
      ))}
    </ul>
  );
}

const stops = () =>
  screen
    .getAllByRole('button')
    .filter((b) => b.tabIndex === 0)
    .map((b) => b.textContent);

afterEach(cleanup);

describe('cells in rows', () => {
  it('are one stop of the Tab key: the one that is pressed, else the first', () => {
    render(<Wall names={['nose', 'brow', 'ear']} />);
    expect(stops()).toEqual(['nose']);
    cleanup();
    render(<Wall names={['nose', 'brow', 'ear']} chosen="brow" />);
    expect(stops()).toEqual(['brow']);
    expect(screen.getByLabelText('key of brow')).toHaveProperty('tabIndex', 0);
    expect(screen.getByLabelText('key of ear')).toHaveProperty('tabIndex', -1);
  });

  it('are gone through by arrows, and remember where one was', () => {
    const nudge = vi.fn();
    window.addEventListener('keydown', nudge);
    render(<Wall names={['nose', 'brow', 'ear']} />);
    const press = (key: string) => fireEvent.keyDown(document.activeElement!, { key });
    screen.getByText('nose').focus();
    press('ArrowRight');
    expect(document.activeElement?.textContent).toBe('brow');
    expect(stops()).toEqual(['brow']);
    press('End');
    press('ArrowRight');
    expect(document.activeElement?.textContent).toBe('ear');
    press('Home');
    expect(document.activeElement?.textContent).toBe('nose');
    expect(nudge).not.toHaveBeenCalled();
    fireEvent.keyDown(document.activeElement!, { key: 'ArrowRight', altKey: true });
    expect(document.activeElement?.textContent).toBe('nose');
    expect(nudge).toHaveBeenCalledTimes(1);
    window.removeEventListener('keydown', nudge);
  });

  it('leave the arrows of a field alone', () => {
    render(<Wall names={['nose', 'brow']} />);
    const field = screen.getByLabelText('key of nose');
    field.focus();
    expect(fireEvent.keyDown(field, { key: 'ArrowRight' })).toBe(true);
    expect(document.activeElement).toBe(field);
  });

  it('have a stop again when the one that was it is gone, or more have come', async () => {
    const { rerender } = render(<Wall names={['nose', 'brow', 'ear']} />);
    screen.getByText('brow').focus();
    rerender(<Wall names={['nose', 'ear', 'chin']} />);
    await vi.waitFor(() => expect(stops()).toEqual(['nose']));
  });

  it('go up and down to what lies nearest in the next row', () => {
    const box = (left: number, top: number, width = 20) => new DOMRect(left, top, width, 10);
    const rows = [box(0, 0), box(25, 0), box(50, 0), box(0, 12), box(30, 12), box(0, 24, 70)];
    expect(beyond(rows, 2, true)).toBe(4);
    expect(beyond(rows, 4, true)).toBe(5);
    expect(beyond(rows, 5, false)).toBe(4);
    expect(beyond(rows, 0, false)).toBeNull();
    expect(beyond(rows, 9, true)).toBeNull();
  });
});
