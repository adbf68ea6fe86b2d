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

  it('says whether it is busy, and when it is not any more', async () => {
    const turn = new InTurn();
    expect(turn.busy).toBe(false);
    let finish: () => void = () => undefined;
    const work = turn.run(() => new Promise<void>((_, failed) => (finish = () => failed(new Error('no')))));
    expect(turn.busy).toBe(true);
    await Promise.resolve();
    finish();
    await expect(work).rejects.toThrow('no');
    await turn.idle();
    expect(turn.busy).toBe(false);
  });
});
