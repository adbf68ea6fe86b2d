import { useEffect, useRef, useState } from 'react';

/** A notch is one step, however many events it comes as, milliseconds. */
const NOTCH = 120;

/**
 * Steps by the wheel over an element, which does not scroll what lies around it meanwhile.
 *
 * @returns the ref of that element
 */
export function useWheelSteps(stepBy: (by: number) => void): (element: HTMLElement | null) => void {
  const [element, setElement] = useState<HTMLElement | null>(null);
  const step = useRef(stepBy);
  const last = useRef(0);
  useEffect(() => {
    step.current = stepBy;
  });
  useEffect(() => {
    if (!element) return;
    const wheel = (e: WheelEvent) => {
      // a passive listener, which is what React gives, could not keep the page from scrolling
      e.preventDefault();
      const now = performance.now();
      if (now - last.current < NOTCH) return;
      last.current = now;
      step.current(e.deltaY > 0 ? 1 : -1);
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [element]);
  return setElement;
}
