import { describe, expect, it } from 'vitest';
import { Latest } from './loader';

describe('asking for the newest', () => {
  it('skips what was asked for in between', async () => {
    const ran: number[] = [];
    const done: number[] = [];
    const latest = new Latest<number, number>(
      async (n) => {
        ran.push(n);
        await new Promise((r) => setTimeout(r, 5));
        return n;
      },
      (n) => done.push(n),
      () => {},
    );
    for (let i = 1; i <= 9; i++) latest.ask(i);
    await new Promise((r) => setTimeout(r, 40));
    expect(ran).toEqual([1, 9]);
    expect(done).toEqual([1, 9]);
  });
  it('goes on after a failure', async () => {
    const done: number[] = [];
    let failures = 0;
    const latest = new Latest<number, number>(
      async (n) => {
        if (n === 1) throw new Error('no');
        return n;
      },
      (n) => done.push(n),
      () => failures++,
    );
    latest.ask(1);
    await new Promise((r) => setTimeout(r, 5));
    latest.ask(2);
    await new Promise((r) => setTimeout(r, 5));
    expect([done, failures]).toEqual([[2], 1]);
  });
});
