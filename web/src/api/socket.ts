/** Milliseconds before a way that broke is tried again. */
const AGAIN = 1000;

export const socketAddress = (path: string) =>
  `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${path}`;

/** What is done about a way to the server that is kept open. */
export interface Way {
  opened?: (socket: WebSocket) => void;
  heard: (message: string) => void;
  broke?: () => void;
}

/**
 * Keeps a WebSocket open: one that breaks is tried again, until it is let go of.
 *
 * @param silence milliseconds after which a way on which nothing comes counts as broken; for ever when left out
 * @returns lets go of it
 */
export function keepOpen(path: string, way: Way, silence?: number): () => void {
  let over = false;
  let socket: WebSocket | null = null;
  let again = 0;
  let quiet = 0;
  const listen = () => {
    window.clearTimeout(quiet);
    // a way that leads nowhere any more is often not told to be so: a machine that slept, a network that changed
    if (silence !== undefined) quiet = window.setTimeout(() => socket?.close(), silence);
  };
  const open = () => {
    const here = new WebSocket(socketAddress(path));
    socket = here;
    here.onopen = () => {
      listen();
      way.opened?.(here);
    };
    here.onmessage = (e: MessageEvent<string>) => {
      listen();
      way.heard(e.data);
    };
    here.onclose = () => {
      window.clearTimeout(quiet);
      if (over) return;
      way.broke?.();
      again = window.setTimeout(open, AGAIN);
    };
  };
  open();
  return () => {
    over = true;
    window.clearTimeout(again);
    window.clearTimeout(quiet);
    socket?.close();
  };
}
