import { useCallback, useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import { useDesk } from '../state/desk';
import type { Sight } from './laneProps';
import { MOST_ZOOM, useSoundDesk } from './soundDesk';

/** Of what is beside the sight so much, in sights, is drawn too, so that a scroll shows no holes. */
const BESIDE = 0.5;
/** Where the playhead is brought to when it plays out of sight, in sights. */
const BROUGHT = 0.1;

/** The strip's window on the line: how close, which stretch, and that the playhead stays in it. */
export function useZoom(lane: RefObject<HTMLDivElement | null>, seconds: number) {
  const scroller = useRef<HTMLDivElement>(null);
  const zoom = useSoundDesk((s) => s.zoom);
  const [sight, setSight] = useState<Sight>({ from: 0, to: seconds });
  /** The whole line, pixels. */
  const [pixels, setPixels] = useState(1000);
  /** What is shown, as shares of the line. */
  const [shown, setShown] = useState({ from: 0, to: 1 });
  /** The place on the lane, 0 to 1, that stays where it is in the window, in pixels. */
  const pinned = useRef<{ share: number; at: number } | null>(null);

  const look = useCallback(() => {
    const box = scroller.current;
    if (!box || box.scrollWidth === 0) return;
    setPixels(box.scrollWidth);
    const perPixel = seconds / box.scrollWidth;
    const width = box.clientWidth * perPixel;
    const from = box.scrollLeft * perPixel;
    setSight({ from: from - width * BESIDE, to: from + width * (1 + BESIDE) });
    setShown({ from: from / seconds, to: Math.min(1, (from + width) / seconds) });
  }, [seconds]);

  const zoomTo = useCallback((to: number, clientX?: number) => {
    const box = scroller.current;
    if (!box) return;
    const next = Math.max(1, Math.min(MOST_ZOOM, to));
    const r = box.getBoundingClientRect();
    const { frame, line } = useDesk.getState();
    let at = clientX === undefined ? box.clientWidth / 2 : clientX - r.left;
    let share = (box.scrollLeft + at) / box.scrollWidth;
    const frames = line ? Number(box.dataset.frames) : 0;
    if (clientX === undefined && frames > 0) {
      // by button it goes where the playhead stands
      share = (frame + 0.5) / frames;
      at = box.clientWidth / 2;
    }
    pinned.current = { share, at };
    useSoundDesk.setState({ zoom: next });
  }, []);

  const show = useCallback((from: number, to: number) => {
    const box = scroller.current;
    if (!box) return;
    const next = Math.max(1, Math.min(MOST_ZOOM, 1 / Math.max(1e-6, to - from)));
    pinned.current = { share: from, at: 0 };
    if (Math.abs(next - useSoundDesk.getState().zoom) > 1e-6) {
      useSoundDesk.setState({ zoom: next });
      return;
    }
    pinned.current = null;
    box.scrollLeft = from * box.scrollWidth;
  }, []);

  useLayoutEffect(() => {
    const box = scroller.current;
    if (box && pinned.current) {
      box.scrollLeft = pinned.current.share * box.scrollWidth - pinned.current.at;
      pinned.current = null;
    }
    look();
  }, [zoom, look]);

  useEffect(() => {
    const box = scroller.current;
    if (!box) return;
    const wheel = (e: WheelEvent) => {
      if (!e.ctrlKey && !e.metaKey) return;
      e.preventDefault();
      zoomTo(useSoundDesk.getState().zoom * Math.exp(-e.deltaY / 300), e.clientX);
    };
    box.addEventListener('wheel', wheel, { passive: false });
    box.addEventListener('scroll', look);
    const seen = new ResizeObserver(look);
    seen.observe(box);
    return () => {
      box.removeEventListener('wheel', wheel);
      box.removeEventListener('scroll', look);
      seen.disconnect();
    };
  }, [look, zoomTo]);

  useEffect(
    () =>
      useDesk.subscribe((now, before) => {
        const box = scroller.current;
        if (!box || !lane.current || now.frame === before.frame) return;
        const frames = Number(box.dataset.frames);
        const x = ((now.frame + 0.5) / frames) * box.scrollWidth - box.scrollLeft;
        if (x < 0 || x > box.clientWidth) box.scrollLeft += x - box.clientWidth * BROUGHT;
      }),
    [lane],
  );

  return { scroller, sight, pixels, shown, show, zoomTo };
}
