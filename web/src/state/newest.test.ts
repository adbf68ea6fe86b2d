import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { newest } from './newest';

describe('newest', () => {
  it('keeps an edit that a slower, older answer comes after', async () => {
    const queries = new QueryClient();
    const key = ['character', 'a'];
    queries.setQueryData(key, { revision: 4 });
    let answer = (_: { revision: number }) => undefined as void;
    const asked = queries.fetchQuery({
      queryKey: key,
      queryFn: () => new Promise<{ revision: number }>((r) => (answer = r)),
      structuralSharing: newest,
    });
    queries.setQueryData(key, { revision: 5 });
    answer({ revision: 4 });
    await asked;
    expect(queries.getQueryData(key)).toEqual({ revision: 5 });
  });

  it('takes what others made since, and the first answer of all', () => {
    expect(newest({ revision: 4 }, { revision: 6 })).toEqual({ revision: 6 });
    expect(newest(undefined, { revision: 1 })).toEqual({ revision: 1 });
  });

  it('takes the fresh one of two with the same number', () => {
    const fresh = { revision: 4, frames: 10 };
    expect(newest({ revision: 4, frames: 9 }, fresh)).toBe(fresh);
  });
});
