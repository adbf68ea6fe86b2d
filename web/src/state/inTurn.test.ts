import { describe, expect, it } from 'vitest';
import { InTurn } from './inTurn';

describe('work in turn', () => {
  it('keeps its order, and goes on after a failure', async () => {
    const done: string[] = [];
    const queue = new InTurn();
    const slow = queue.run(() => new Promise((r) => setTimeout(() => r(done.push('slow')), 20)));
    const bad = queue.run(() => Promise.reject(new Error('no')));
    const quick = queue.run(async () => done.push('quick'));
    await slow;
    await expect(bad).rejects.toThrow('no');
    await quick;
    expect(done).toEqual(['slow', 'quick']);
  });
});
