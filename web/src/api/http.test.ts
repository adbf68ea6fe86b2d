import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type LineView, read, type ReadingView } from './client';
import { isAway, useConnection } from './connection';
import { get } from './http';
import { Refusal } from './refusal';

const answer = (what: unknown) => new Response(JSON.stringify(what), { status: 200 });
/** An answer that breaks off after its first letters, as when a server is killed while it speaks. */
const broken = () =>
  new Response(
    new ReadableStream({
      start(c) {
        c.enqueue(new TextEncoder().encode('{"id":'));
        c.error(new TypeError('network error'));
      },
    }),
    { status: 200 },
  );
const gone = () => Promise.reject(new TypeError('Failed to fetch'));
const reading = (state: string) =>
  ({ id: 'r', state, share: 0.5, ahead: 0, line: 'l' }) as unknown as ReadingView;

describe('an answer', () => {
  let answers: (() => Response | Promise<Response>)[];
  let asked: string[];
  beforeEach(() => {
    asked = [];
    vi.stubGlobal('document', { cookie: 'XSRF-TOKEN=t' });
    vi.stubGlobal('fetch', async (path: string) => {
      asked.push(path);
      return answers.shift()!();
    });
    useConnection.getState().answered();
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });

  it('that breaks off is no answer: the server is away', async () => {
    answers = [broken];
    const e = await get('/lines/l').catch((x: unknown) => x);
    expect(e).toBeInstanceOf(Refusal);
    expect(isAway(e as Refusal)).toBe(true);
    expect(useConnection.getState().away).toContain('broke off');
  });

  it('about a recording is waited for through a server that is killed, and so is its line', async () => {
    answers = [
      () => answer(reading('READING')),
      broken,
      gone,
      () => answer(reading('DONE')),
      gone,
      () => answer({ id: 'l', revision: 1 }),
    ];
    const heard: string[] = [];
    let line: LineView | null = null;
    const made = read(Promise.resolve(reading('WAITING')), {
      heard: (r) => heard.push(r.state),
      signal: new AbortController().signal,
    }).then((l) => (line = l));
    await vi.advanceTimersByTimeAsync(3000);
    await made;
    expect(line).toMatchObject({ id: 'l' });
    expect(heard).toEqual(['WAITING', 'READING', 'DONE']);
    expect(asked.slice(-2)).toEqual(['/api/v1/lines/l', '/api/v1/lines/l']);
  });

  it('is not waited for any more when nobody wants it', async () => {
    answers = [gone];
    const ending = new AbortController();
    const made = read(Promise.resolve(reading('READING')), { heard: () => {}, signal: ending.signal });
    const end = made.catch((e: unknown) => e);
    await vi.advanceTimersByTimeAsync(100);
    ending.abort();
    await vi.advanceTimersByTimeAsync(1000);
    expect(await end).toMatchObject({ code: 'offline' });
    expect(asked).toHaveLength(1);
  });
});
