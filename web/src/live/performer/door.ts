import type { Told } from 'page-live';
import { keepOpen, socketAddress } from '../../api/socket';
import type { Listener, Source } from './source';

const PING = 2000;

const path = (line: string) => `/api/v1/performers/${line}`;

/** Where a tracker connects to. */
export const doorOf = (line: string) => socketAddress(path(line));

type Message =
  | { kind: 'performer'; name: string; latency: number }
  | { kind: 'signals'; signals: Told }
  | { kind: 'lost'; reason: string }
  | { kind: 'gone'; reason: string }
  | { kind: 'problem'; message: string }
  | { kind: 'pong'; at: number };

/** Listens to whoever performs a shot, and goes on trying when the way breaks. */
export function listenAtDoor(line: string, to: Listener): Source {
  let timer = 0;
  const heard = (m: Message) => {
    if (m.kind === 'performer') to.comes(m.name, m.latency);
    else if (m.kind === 'signals') to.tells(m.signals);
    else if (m.kind === 'lost') to.loses(m.reason);
    else if (m.kind === 'gone') to.leaves(m.reason);
    else if (m.kind === 'problem') to.troubles(m.message);
    else to.roundTrip?.(performance.now() - m.at);
  };
  const letGo = keepOpen(`${path(line)}/page`, {
    opened: (socket) => {
      const ping = () => socket.send(JSON.stringify({ kind: 'ping', at: performance.now() }));
      ping();
      timer = window.setInterval(ping, PING);
    },
    heard: (message) => heard(JSON.parse(message) as Message),
    broke: () => {
      window.clearInterval(timer);
      to.leaves('the server does not answer');
    },
  });
  return {
    close: () => {
      window.clearInterval(timer);
      letGo();
    },
  };
}
