import { describe, expect, it } from 'vitest';
import { benches, characters, fit } from './entries';
import { useDesk } from '../state/desk';

describe('what is found by its name', () => {
  it('fits best from the start of a name, then of a word, then in any order', () => {
    const order = (typed: string, ...names: string[]) =>
      names
        .map((n) => ({ n, f: fit(n, '', typed) }))
        .filter((x) => x.f > 0)
        .sort((a, b) => b.f - a.f)
        .map((x) => x.n);
    expect(order('lid', 'Solid', 'Upper lid', 'Lid', 'Lid line', 'Brow')).toEqual([
      'Lid',
      'Lid line',
      'Upper lid',
      'Solid',
    ]);
    expect(order('left eye', 'Eye left', 'Eye right', 'Left eye outline')).toEqual([
      'Left eye outline',
      'Eye left',
    ]);
  });

  it('knows accents and other words for a thing', () => {
    expect(fit('Café door', '', 'cafe')).toBeGreaterThan(0.8);
    expect(fit('Turn', 'ruler', 'ruler turn')).toBeGreaterThan(0);
    expect(fit('Turn', 'ruler', 'hat')).toBe(0);
    expect(fit('Anything', '', '  ')).toBe(1);
  });

  it('goes to a bench from the page of all characters', () => {
    useDesk.setState({ home: true, bench: 'lines', shaping: 'x' });
    benches()
      .entries.find((e) => e.name === 'Eyes')!
      .run();
    expect(useDesk.getState()).toMatchObject({ home: false, bench: 'eyes', shaping: null });
  });

  it('does not offer the character that is open', () => {
    const all = [
      { id: 'a', name: 'A', revision: 1, changedAt: '' },
      { id: 'b', name: 'B', revision: 1, changedAt: '' },
    ];
    expect(characters(all, 'a').entries.map((e) => e.name)).toEqual(['B']);
    expect(characters(all, null).entries).toHaveLength(2);
  });
});
