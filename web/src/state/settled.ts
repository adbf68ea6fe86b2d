import { useEffect, useRef, useState } from 'react';
import { type Desk, useDesk } from './desk';

/**
 * Something of the desk once it has stopped changing for a while: for what follows a drag, but need not follow every step
 * of it. Whoever uses it is not rendered anew in between.
 */
export function useSettled<T>(select: (desk: Desk) => T, milliseconds: number): T {
  const [settled, setSettled] = useState(() => select(useDesk.getState()));
  const chosen = useRef(select);
  useEffect(() => {
    chosen.current = select;
  });
  useEffect(() => {
    let timer = 0;
    const later = () => {
      window.clearTimeout(timer);
      timer = window.setTimeout(() => setSettled(() => chosen.current(useDesk.getState())), milliseconds);
    };
    later();
    const stop = useDesk.subscribe((now, before) => {
      if (chosen.current(now) !== chosen.current(before)) later();
    });
    return () => {
      stop();
      window.clearTimeout(timer);
    };
  }, [milliseconds]);
  return settled;
}
