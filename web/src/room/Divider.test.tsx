// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Divider } from './Divider';
import { useRoom } from './room';

const placed = (e: HTMLElement | null) => {
  if (e) e.getBoundingClientRect = () => new DOMRect(0, 0, 400, 10);
};

describe('the edge of a panel', () => {
  beforeEach(() => {
    useRoom.setState({ size: {}, folded: [], alone: false });
    render(
      <div className="workspace">
        <div data-panel="bench" ref={placed} />
        <Divider panel="bench" label="Width of the bench" grows="left" className="" />
      </div>,
    );
  });
  afterEach(cleanup);
  const edge = () => screen.getByRole('separator');
  const press = (key: string, held = {}) => fireEvent.keyDown(edge(), { key, ...held });

  it('is moved by arrows the way they point, and is as usual again by Delete', () => {
    press('ArrowLeft');
    expect(useRoom.getState().size.bench).toBe(408);
    press('ArrowRight', { shiftKey: true });
    expect(useRoom.getState().size.bench).toBe(360);
    expect(edge().getAttribute('aria-valuetext')).toBe('360 pixels');
    press('Delete');
    expect(useRoom.getState().size.bench).toBeUndefined();
    expect(edge().getAttribute('aria-valuetext')).toBe('as usual');
  });

  it('folds the panel away by Enter or two clicks, and an arrow brings it back', () => {
    press('Enter');
    expect(useRoom.getState().folded).toEqual(['bench']);
    expect(edge().getAttribute('aria-valuenow')).toBe('0');
    press('ArrowLeft');
    expect(useRoom.getState().folded).toEqual([]);
    fireEvent.doubleClick(edge());
    expect(useRoom.getState().folded).toEqual(['bench']);
  });

  it('leaves other keys to others', () => {
    press('ArrowUp');
    press('w');
    expect(useRoom.getState().size).toEqual({});
  });
});
