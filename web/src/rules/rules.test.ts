import type { OpenCharacter } from 'page-core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CharacterView } from '../api/client';
import { heardOf, loadRules, opened, useRules } from './rules';

const view = (id: string, revision: number) => ({ id, revision, character: {} }) as unknown as CharacterView;

/** A core that says which revision was opened on top of which. */
function core(sources = 'abc') {
  const open = vi.fn((_c: unknown, _a: unknown, before: OpenCharacter | null) => {
    return { before } as unknown as OpenCharacter;
  });
  return { sources: () => sources, open } as unknown as typeof import('page-core') & { open: typeof open };
}

describe('the rules of the page', () => {
  beforeEach(() => useRules.setState({ core: null, missing: '' }));

  it('says in a sentence that they could not be loaded, and may be asked for again', async () => {
    loadRules(() => Promise.reject(new Error('gone')));
    await vi.waitFor(() => expect(useRules.getState().missing).toContain('could not load its rules'));
    const there = core();
    loadRules(() => Promise.resolve(there));
    await vi.waitFor(() => expect(useRules.getState().core).toBe(there));
  });

  it('lets go of them when the server has others', () => {
    useRules.setState({ core: core('abc') });
    heardOf('abc');
    heardOf(null);
    expect(useRules.getState().missing).toBe('');
    heardOf('def');
    expect(useRules.getState()).toMatchObject({ core: null });
    expect(useRules.getState().missing).toContain('Reload the page');
  });

  it('reads a revision on top of the one before it, and another character anew', () => {
    const c = core();
    const first = opened(c, view('maren', 1), {});
    const second = opened(c, view('maren', 2), {}) as unknown as { before: unknown };
    expect(second.before).toBe(first);
    const other = opened(c, view('wick', 1), {}) as unknown as { before: unknown };
    expect(other.before).toBeNull();
  });

  it('goes without them for a character they cannot open, and says so', async () => {
    const broken = {
      ...core(),
      open: () => {
        throw new Error('the artwork was not brought along');
      },
    };
    const silent = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    expect(opened(broken, view('fox', 1), {})).toBeNull();
    await vi.waitFor(() => expect(useRules.getState().missing).toContain('could not be opened'));
    silent.mockRestore();
  });
});
