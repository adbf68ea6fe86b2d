import type * as PageLive from 'page-live';
import { doorOf, listenAtDoor } from './door';
import type { Listener, Source } from './source';

const RATE = 30;

/** A performer that is a script. It comes in by the same door as any tracker, so that what it does takes the same way. */
export function simulate(
  core: typeof PageLive,
  line: string,
  performance_: { id: string; title: string },
  to: Listener,
): Source {
  const listening = listenAtDoor(line, to);
  let began = performance.now();
  let timer = 0;
  const socket = new WebSocket(doorOf(line));
  socket.onopen = () => {
    socket.send(JSON.stringify({ kind: 'hello', name: performance_.title, latency: 0 }));
    timer = window.setInterval(() => {
      if (socket.readyState !== WebSocket.OPEN) return;
      const at = (performance.now() - began) / 1000;
      socket.send(JSON.stringify({ kind: 'signals', at, signals: core.simulated(performance_.id, at) }));
    }, 1000 / RATE);
  };
  socket.onclose = (e) => {
    window.clearInterval(timer);
    if (e.reason) to.troubles(`The simulated performer was turned away: ${e.reason}.`);
  };
  return {
    again: () => (began = performance.now()),
    close: () => {
      window.clearInterval(timer);
      socket.close();
      listening.close();
    },
  };
}
