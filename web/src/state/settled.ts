import { useEffect, useState } from 'react';

/** A value once it has stopped changing for a while: what follows a drag, but need not follow every step of it. */
export function useSettled<T>(value: T, milliseconds: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), milliseconds);
    return () => clearTimeout(timer);
  }, [value, milliseconds]);
  return settled;
}
