import { useCallback, useEffect, useRef, useState } from 'react';
import type { ReadingView, Waiting } from '../api/client';

/** Waits for one recording at a time to be read; Escape and {@link cancel} end it. */
export function useReading() {
  const [reading, setReading] = useState<ReadingView | null>(null);
  const [busy, setBusy] = useState(false);
  const ending = useRef<AbortController | null>(null);
  const cancel = useCallback(() => ending.current?.abort(), []);

  useEffect(() => {
    if (!busy) return;
    const press = (e: KeyboardEvent) => {
      if (e.key !== 'Escape') return;
      e.stopPropagation();
      cancel();
    };
    window.addEventListener('keydown', press, true);
    return () => window.removeEventListener('keydown', press, true);
  }, [busy, cancel]);

  /** What was read; null when it was ended. */
  const wait = useCallback(async <T>(ask: (waiting: Waiting) => Promise<T>): Promise<T | null> => {
    const controller = new AbortController();
    ending.current = controller;
    setBusy(true);
    setReading(null);
    try {
      return await ask({ heard: setReading, signal: controller.signal });
    } catch (e) {
      if (e instanceof DOMException && e.name === 'AbortError') return null;
      throw e;
    } finally {
      setBusy(false);
    }
  }, []);

  return { reading, busy, wait, cancel };
}
