import { heardOf } from '../rules/rules';
import { useConnection } from './connection';
import { Refusal } from './refusal';

async function refusal(response: Response): Promise<Refusal> {
  try {
    const p = await response.json();
    return new Refusal(
      response.status,
      p.code ?? 'unknown',
      p.place ?? '',
      p.detail ?? response.statusText,
      told(p.since ?? [], p.sinceAll ?? 0),
    );
  } catch {
    return new Refusal(response.status, 'unknown', '', `The server answered ${response.status}.`);
  }
}

/** What was done in the meantime, and that there was more of it than is told. */
function told(since: string[], all: number): string[] {
  return all > since.length ? [`… and ${all - since.length} earlier changes`, ...since] : since;
}

/** The value that shows a write to come from this page. The server gave it in a cookie, which other pages cannot read. */
function token(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '';
}

async function reach(path: string, init?: RequestInit): Promise<Response> {
  const writes = init?.method !== undefined && init.method !== 'GET';
  try {
    return await fetch(
      `/api/v1${path}`,
      writes ? { ...init, headers: { ...init.headers, 'X-XSRF-TOKEN': token() } } : init,
    );
  } catch (e) {
    if (e instanceof DOMException && e.name === 'AbortError') throw e;
    throw new Refusal(0, 'offline', '', 'The server does not answer. Nothing accepted is lost.');
  }
}

export async function call(path: string, init?: RequestInit): Promise<Response> {
  try {
    let response = await reach(path, init);
    if (response.status === 403 && token() === '') {
      // cookies were cleared while the page was open: any answer brings a new one
      await reach('/characters?size=1');
      response = await reach(path, init);
    }
    heardOf(response.headers.get('Leeward-Rules'));
    if (!response.ok) throw await refusal(response);
    useConnection.getState().answered();
    return response;
  } catch (e) {
    if (e instanceof Refusal) useConnection.getState().refused(e);
    throw e;
  }
}

/** What an answer says. One that breaks off on its way is none: the server ended, or the way to it, while it spoke. */
async function said<T>(response: Response, signal?: AbortSignal | null): Promise<T> {
  try {
    return await response.json();
  } catch (e) {
    if (signal?.aborted) throw e;
    const broken = new Refusal(
      0,
      'offline',
      '',
      'The server broke off in its answer. Nothing accepted is lost.',
    );
    useConnection.getState().refused(broken);
    throw broken;
  }
}

/** Calls, and reads what the answer says. */
export async function ask<T>(path: string, init?: RequestInit): Promise<T> {
  return said(await call(path, init), init?.signal);
}

export const get = <T>(path: string, signal?: AbortSignal): Promise<T> => ask(path, { signal });

export async function post<T>(
  path: string,
  body: unknown,
  signal?: AbortSignal,
  more?: RequestInit,
): Promise<T> {
  const init = {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'Content-Type': 'application/json' },
    signal,
    ...more,
  };
  return ask(path, init);
}

/** Longest body, in letters, that a browser goes on sending when the page is left. */
const KEPT_ALIVE = 30_000;

/** A step is seen before it is answered, so it goes on its way even when the page is reloaded in that moment. */
export async function step<T>(path: string, body: object, headers: Record<string, string> = {}): Promise<T> {
  const count = (by: number) => useConnection.setState((s) => ({ sending: s.sending + by }));
  count(1);
  try {
    return await post<T>(path, body, undefined, {
      keepalive: JSON.stringify(body).length < KEPT_ALIVE,
      headers: { 'Content-Type': 'application/json', ...headers },
    });
  } finally {
    count(-1);
  }
}

export async function send<T>(path: string, parts: Record<string, string | File>): Promise<T> {
  const form = new FormData();
  for (const [name, value] of Object.entries(parts)) form.append(name, value);
  return ask(path, { method: 'POST', body: form });
}
