import { useEffect, useRef, useState } from 'react';

/** A notch is one step, however many events it comes as, milliseconds. */
const NOTCH = 120;

/**
 * Steps by the wheel over an element, which does not scroll what lies around it meanwhile.
 *
 * @param near told when the pointer or the keyboard comes to the element, before it steps
 * @returns the ref of that element
 */
export function useWheelSteps(
  stepBy: (by: number) => void,
  near?: () => void,
): (element: HTMLElement | null) => void {
  const [element, setElement] = useState<HTMLElement | null>(null);
  const step = useRef(stepBy);
  const comes = useRef(near);
  const last = useRef(0);
  useEffect(() => {
    step.current = stepBy;
    comes.current = near;
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
    const arrive = () => comes.current?.();
    element.addEventListener('wheel', wheel, { passive: false });
    element.addEventListener('pointerenter', arrive);
    element.addEventListener('focusin', arrive);
    return () => {
      element.removeEventListener('wheel', wheel);
      element.removeEventListener('pointerenter', arrive);
      element.removeEventListener('focusin', arrive);
    };
  }, [element]);
  return setElement;
}
