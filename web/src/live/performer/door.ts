import type { Told } from 'page-live';
import type { Listener, Source } from './source';

const PING = 2000;
/** Milliseconds before a way that broke is tried again. */
const AGAIN = 1000;

const address = (path: string) =>
  `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${path}`;

/** Where a tracker connects to. */
export const doorOf = (line: string) => address(`/api/v1/performers/${line}`);

type Message =
  | { kind: 'performer'; name: string; latency: number }
  | { kind: 'signals'; signals: Told }
  | { kind: 'lost'; reason: string }
  | { kind: 'gone'; reason: string }
  | { kind: 'problem'; message: string }
  | { kind: 'pong'; at: number };

/** Listens to whoever performs a shot, and goes on trying when the way breaks. */
export function listenAtDoor(line: string, to: Listener): Source {
  let closed = false;
  let socket: WebSocket | null = null;
  let timer = 0;
  const heard = (m: Message) => {
    if (m.kind === 'performer') to.comes(m.name, m.latency);
    else if (m.kind === 'signals') to.tells(m.signals);
    else if (m.kind === 'lost') to.loses(m.reason);
    else if (m.kind === 'gone') to.leaves(m.reason);
    else if (m.kind === 'problem') to.troubles(m.message);
    else to.roundTrip?.(performance.now() - m.at);
  };
  const open = () => {
    if (closed) return;
    socket = new WebSocket(`${doorOf(line)}/page`);
    const ping = () => socket?.send(JSON.stringify({ kind: 'ping', at: performance.now() }));
    socket.onopen = () => {
      ping();
      timer = window.setInterval(ping, PING);
    };
    socket.onmessage = (e: MessageEvent<string>) => heard(JSON.parse(e.data) as Message);
    socket.onclose = () => {
      window.clearInterval(timer);
      if (closed) return;
      to.leaves('the server does not answer');
      timer = window.setTimeout(open, AGAIN);
    };
  };
  open();
  return {
    close: () => {
      closed = true;
      window.clearInterval(timer);
      window.clearTimeout(timer);
      socket?.close();
    },
  };
}
