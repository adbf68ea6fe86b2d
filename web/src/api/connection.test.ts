import { beforeEach, describe, expect, it } from 'vitest';
import { isAway, useConnection, whenThere } from './connection';
import { Refusal } from './refusal';

const refusal = (e: unknown): e is Refusal => e instanceof Refusal;
const offline = () => new Refusal(0, 'offline', '', 'nobody there');

describe('the connection', () => {
  beforeEach(() => {
    useConnection.getState().answered();
    useConnection.getState().drop();
  });

  it('is away while nobody could see to what was asked, not when it was refused', () => {
    for (const e of [
      offline(),
      new Refusal(503, 'database-away', '', 'x'),
      new Refusal(507, 'disk-full', '', 'x'),
    ])
      expect(isAway(e)).toBe(true);
    for (const e of [new Refusal(409, 'stale', '', 'x'), new Refusal(503, 'memory-busy', '', 'x')])
      expect(isAway(e)).toBe(false);
  });

  it('keeps a change until the server answers, and makes it once', async () => {
    let tries = 0;
    const made = whenThere(async () => {
      tries++;
      if (tries < 3) {
        const e = offline();
        useConnection.getState().refused(e);
        throw e;
      }
      return 'made';
    }, refusal);
    await new Promise((r) => setTimeout(r));
    expect(useConnection.getState()).toMatchObject({ away: 'nobody there', waiting: 1 });
    useConnection.getState().answered();
    await new Promise((r) => setTimeout(r));
    expect(tries).toBe(2);
    useConnection.getState().answered();
    expect(await made).toEqual({ done: 'made' });
    expect(tries).toBe(3);
    expect(useConnection.getState()).toMatchObject({ away: null, waiting: 0 });
  });

  it('gives changes up when asked to', async () => {
    const made = whenThere(async () => {
      useConnection.getState().refused(offline());
      throw offline();
    }, refusal);
    await new Promise((r) => setTimeout(r));
    useConnection.getState().drop();
    expect(await made).toBeNull();
    expect(useConnection.getState().waiting).toBe(0);
  });

  it('passes a refusal on', async () => {
    await expect(
      whenThere(async () => {
        throw new Refusal(409, 'stale', '', 'changed');
      }, refusal),
    ).rejects.toThrow('changed');
  });
});
