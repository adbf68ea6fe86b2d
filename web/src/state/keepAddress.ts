import { fromHash, type Place, toHash, wentOn } from './address';
import { useDesk } from './desk';

/**
 * Keeps the address in step with the desk: a step in the browser's history for every bench, character and line gone to, none for
 * a drag.
 */
export function keepAddress(): () => void {
  let timer = 0;
  let stood: Place = useDesk.getState();
  const write = () => {
    const now = useDesk.getState();
    if (now.playing) return;
    const hash = toHash(now);
    const gone = wentOn(stood, now);
    stood = now;
    if (hash === location.hash) return;
    if (gone) history.pushState(null, '', hash);
    else history.replaceState(null, '', hash);
  };
  const stop = useDesk.subscribe((s, before) => {
    window.clearTimeout(timer);
    // a drag on its way is written where it was, before the place changes
    if (wentOn(before, s)) write();
    else timer = window.setTimeout(write, 150);
  });
  const back = () => {
    const to = fromHash(location.hash);
    stood = { ...useDesk.getState(), ...to };
    useDesk.setState({ ...to, shaping: null, recording: false, playing: false });
  };
  window.addEventListener('hashchange', back);
  window.addEventListener('popstate', back);
  return () => {
    stop();
    window.clearTimeout(timer);
    window.removeEventListener('hashchange', back);
    window.removeEventListener('popstate', back);
  };
}
