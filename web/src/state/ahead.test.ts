import type { OpenCharacter } from 'page-core';
import { describe, expect, it } from 'vitest';
import type { CharacterView, Edit } from '../api/client';
import { Ahead, type Step } from './ahead';

const edit = (dx: number) => ({ edit: { kind: 'nudge', part: 'nose', dx, dy: 0 } as Edit });
const view = (revision: number) => ({ revision }) as CharacterView;
/** Keeps what it was told last. */
const stage = () => {
  const told = {
    steps: [] as Step[],
    times: 0,
    expect: (steps: Step[]) => void (told.times++, (told.steps = steps)),
  };
  return told;
};
const opened = (revision: number) => ({ revision }) as unknown as OpenCharacter;

describe('what is ahead of the server', () => {
  it('holds an edit until the revision it became stands', async () => {
    const ahead = new Ahead();
    const on = stage();
    ahead.stands(1, opened(1), on);
    await ahead.send(edit(3), async (made) => !!made(view(2), 1));
    expect(on.steps).toEqual([edit(3)]);
    ahead.stands(1, opened(1), on);
    expect(on.steps).toHaveLength(1);
    ahead.stands(2, opened(2), on);
    expect(on.steps).toEqual([]);
    expect(on.times).toBe(4);
  });

  it('holds several in their order, and lets go of one that is refused', async () => {
    const ahead = new Ahead();
    const on = stage();
    ahead.stands(1, opened(1), on);
    const answers: ((done: boolean) => void)[] = [];
    const work = () => new Promise<boolean>((r) => answers.push(r));
    const first = ahead.send(edit(1), work);
    const second = ahead.send(edit(2), work);
    expect(on.steps).toEqual([edit(1), edit(2)]);
    answers[0]!(false);
    expect(await first).toBe(false);
    expect(on.steps).toEqual([edit(2)]);
    answers[1]!(true);
    expect(await second).toBe(true);
  });

  it('knows where steps back and forth lead', async () => {
    const ahead = new Ahead();
    const on = stage();
    for (const r of [1, 2, 3]) {
      ahead.stands(r, opened(r), on);
      await ahead.send(edit(r), async (made) => !!made(view(r + 1), r));
    }
    ahead.stands(4, opened(4), on);
    expect(ahead.target(true, 4)).toEqual(opened(3));
    expect(ahead.target(false, 4)).toBeNull();
    // back twice: revisions 5 and 6 are like 3 and 2
    ahead.stepped(true, 4, 5);
    ahead.stands(5, opened(5), on);
    expect(ahead.target(true, 5)).toEqual(opened(2));
    expect(ahead.target(false, 5)).toEqual(opened(4));
    ahead.stepped(true, 5, 6);
    ahead.stands(6, opened(6), on);
    expect(ahead.target(true, 6)).toEqual(opened(1));
    expect(ahead.target(false, 6)).toEqual(opened(5));
    // forth again: 7 is like 5
    ahead.stepped(false, 6, 7);
    ahead.stands(7, opened(7), on);
    expect(ahead.target(true, 7)).toEqual(opened(6));
    expect(ahead.target(false, 7)).toEqual(opened(4));
  });

  it('does not pretend to know what a step undoes when others edited in between', async () => {
    const ahead = new Ahead();
    const on = stage();
    ahead.stands(1, opened(1), on);
    await ahead.send(edit(1), async (made) => !!made(view(5), 1));
    ahead.stands(5, opened(5), on);
    expect(ahead.target(true, 5)).toBeNull();
  });
});
