// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Character } from '../api/client';
import { useDesk } from '../state/desk';
import type { KeptTake } from './liveTakes';
import { TakesBeside } from './TakesBeside';

const character = {
  controls: {
    dials: [
      { id: 'turn', name: 'Turn', from: -45, to: 45 },
      { id: 'nod', name: 'Nod', from: -20, to: 20 },
    ],
  },
  library: { looks: [] },
  rig: { parts: [{ id: 'hand', name: 'Hand', drawings: [{ id: 'fist', name: 'Fist' }] }] },
} as unknown as Character;

const kept = (id: string, dial: string): KeptTake => ({
  id,
  line: 'l',
  at: '',
  ended: true,
  take: {
    from: 0,
    to: 100,
    dials: { [dial]: [{ frame: 0, value: 5 }] },
    drawings: id === 'b' ? { hand: [{ frame: 20, drawing: 'fist' }] } : {},
    looks: {},
  },
});

describe('takes beside each other', () => {
  beforeEach(() => {
    useDesk.setState({ loop: null });
    Element.prototype.setPointerCapture = () => {};
    Element.prototype.getBoundingClientRect = () => new DOMRect(0, 0, 200, 90);
    render(
      <TakesBeside takes={[kept('a', 'turn'), kept('b', 'nod'), kept('c', 'turn')]} character={character} />,
    );
  });
  afterEach(cleanup);

  const compare = (key: string) =>
    fireEvent.change(screen.getByLabelText('What is compared'), { target: { value: key } });

  it('draws the takes that moved what is compared, and names no others', () => {
    expect(screen.getByText('take 1')).toBeTruthy();
    expect(screen.queryByText('take 2')).toBeNull();
    expect(screen.getByText('take 3')).toBeTruthy();
    compare('dial nod');
    expect(screen.queryByText('take 1')).toBeNull();
    expect(screen.getByText('take 2')).toBeTruthy();
  });

  it('names the drawings that were held', () => {
    compare('part hand');
    expect(screen.getByText('Fist').getAttribute('style')).toContain('left: 20%');
  });

  it('sends a stretch round that is dragged over, until all of it is asked for', () => {
    const ground = screen.getByRole('img').parentElement!;
    fireEvent.pointerMove(ground, { clientX: 30, pointerId: 1 });
    expect(useDesk.getState().loop).toBeNull();
    fireEvent.pointerDown(ground, { clientX: 41, pointerId: 1 });
    fireEvent.pointerMove(ground, { clientX: 99, pointerId: 1 });
    fireEvent.pointerUp(ground, { pointerId: 1 });
    expect(useDesk.getState().loop).toEqual([20, 50]);
    expect(screen.getByText('21–50 goes round')).toBeTruthy();
    fireEvent.click(screen.getByText('All of it'));
    expect(useDesk.getState().loop).toBeNull();
  });
});
