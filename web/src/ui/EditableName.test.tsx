// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { EditableName } from './EditableName';

describe('a name that is edited where it stands', () => {
  afterEach(cleanup);
  const begin = (rename: (name: string) => Promise<boolean>) => {
    render(<EditableName label="Name of the look" name="Doubt" rename={rename} />);
    fireEvent.click(screen.getByRole('button'));
    return screen.getByRole<HTMLInputElement>('textbox');
  };
  const typed = async (on: HTMLInputElement, value: string, key: string) => {
    fireEvent.change(on, { target: { value } });
    await act(async () => {
      fireEvent.keyDown(on, { key });
      await Promise.resolve();
    });
  };

  it('is kept by Enter', async () => {
    const rename = vi.fn(() => Promise.resolve(true));
    await typed(begin(rename), 'Suspicion', 'Enter');
    expect(rename).toHaveBeenCalledWith('Suspicion');
    expect(screen.getByRole('button').textContent).toBe('Doubt');
  });

  it('is left as it was by Escape, by nothing and by the same', async () => {
    const rename = vi.fn(() => Promise.resolve(true));
    await typed(begin(rename), 'Suspicion', 'Escape');
    fireEvent.click(screen.getByRole('button'));
    await typed(screen.getByRole('textbox'), '   ', 'Enter');
    fireEvent.click(screen.getByRole('button'));
    await typed(screen.getByRole('textbox'), 'Doubt', 'Enter');
    expect(rename).not.toHaveBeenCalled();
    expect(screen.getByRole('button')).toBeTruthy();
  });

  it('stays in the field when it is refused, so that nothing typed is lost', async () => {
    await typed(
      begin(() => Promise.resolve(false)),
      'Happiness',
      'Enter',
    );
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('Happiness');
  });
});
