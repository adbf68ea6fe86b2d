import { useCallback, useEffect, useRef, useState } from 'react';
import { PAUSE } from '../ui/pause';
import { useBeforeOthers } from './usePresses';

/** Presses of arrow keys that change one thing so far. */
interface Row<T> {
  /** What is changed: something else begins another row. */
  of: string;
  value: T;
}

/**
 * Arrow presses that change something a bench shows itself: each is seen at once, and a row of them is kept as one edit, after a pause
 * or before anything else is done.
 *
 * @param keep makes the edit
 * @returns what a thing stands at while a row goes on, null while none does; and a press
 */
export function useRow<T>(keep: (of: string, value: T) => void): {
  held: (of: string) => T | null;
  press: (of: string, value: T) => void;
} {
  const [row, setRow] = useState<Row<T> | null>(null);
  const now = useRef<Row<T> | null>(null);
  const timer = useRef(0);
  const make = useRef(keep);
  useEffect(() => {
    make.current = keep;
  }, [keep]);
  const flush = useCallback(() => {
    window.clearTimeout(timer.current);
    const ended = now.current;
    now.current = null;
    if (!ended) return;
    setRow(null);
    make.current(ended.of, ended.value);
  }, []);
  useBeforeOthers(flush);
  const press = (of: string, value: T) => {
    if (now.current && now.current.of !== of) flush();
    now.current = { of, value };
    setRow(now.current);
    window.clearTimeout(timer.current);
    timer.current = window.setTimeout(flush, PAUSE);
  };
  return { held: (of) => (row?.of === of ? row.value : null), press };
}
