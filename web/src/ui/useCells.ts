import { useCallback, useRef } from 'react';

const REACHED = 'button:not([disabled]), a[href], input:not([disabled]), select:not([disabled]), [tabindex]';

/** What in a cell can have the focus; the first is what it is gone to by. */
const within = (cell: Element): HTMLElement[] => [
  ...(cell.matches(REACHED) ? [cell as HTMLElement] : []),
  ...cell.querySelectorAll<HTMLElement>(REACHED),
];

/** The cell nearest above or below, by the middles of both; null at the edge. */
export function beyond(boxes: DOMRect[], at: number, down: boolean): number | null {
  const from = boxes[at];
  if (!from) return null;
  const middle = (b: DOMRect) => b.left + b.width / 2;
  let best: { i: number; away: number } | null = null;
  boxes.forEach((b, i) => {
    const rows = down ? b.top - from.top : from.top - b.top;
    if (rows < from.height / 2) return;
    // the nearest row first, and in it what lies nearest straight above or below
    const away = rows * 1000 + Math.abs(middle(b) - middle(from));
    if (best === null || away < best.away) best = { i, away };
  });
  return (best as { i: number } | null)?.i ?? null;
}

/**
 * Makes things that stand in rows one stop of the Tab key: arrows go from one to the next, Home and End to the first and last. Every
 * child of the element is a cell; what else lies in a cell is reached by Tab from it.
 *
 * @param arrows false where the cells themselves know what an arrow does
 */
export function useCells(arrows = true): (e: HTMLElement | null) => void {
  const end = useRef<() => void>(() => {});
  return useCallback(
    (e) => {
      end.current();
      end.current = e ? keepCells(e, arrows) : () => {};
    },
    [arrows],
  );
}

function keepCells(e: HTMLElement, arrows: boolean): () => void {
  let at: Element | null = null;
  const cells = () => [...e.children].filter((c) => within(c).length > 0);
  const settle = () => {
    const all = cells();
    // what is chosen elsewhere meanwhile is where one comes in again
    if (!e.contains(document.activeElement)) at = null;
    if (!at || !all.includes(at))
      at =
        all.find((c) => c.matches('[aria-pressed=true]') || c.querySelector('[aria-pressed=true]')) ?? null;
    const stop = at ?? all[0];
    for (const c of all)
      for (const f of within(c)) if (f.tabIndex !== (c === stop ? 0 : -1)) f.tabIndex = c === stop ? 0 : -1;
  };
  const focused = (event: FocusEvent) => {
    const cell = cells().find((c) => c.contains(event.target as Node));
    if (!cell || cell === at) return;
    at = cell;
    settle();
  };
  const press = (event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
    if (!target.matches('button, a')) return;
    const all = cells();
    const from = all.findIndex((c) => c.contains(target));
    if (from < 0) return;
    const to: Record<string, () => number | null> = {
      ArrowLeft: () => from - 1,
      ArrowRight: () => from + 1,
      ArrowUp: () =>
        beyond(
          all.map((c) => c.getBoundingClientRect()),
          from,
          false,
        ),
      ArrowDown: () =>
        beyond(
          all.map((c) => c.getBoundingClientRect()),
          from,
          true,
        ),
      Home: () => 0,
      End: () => all.length - 1,
    };
    const next = to[event.key];
    if (!next) return;
    // an arrow at the edge stays, and moves nothing on the stage either
    event.preventDefault();
    event.stopPropagation();
    const cell = all[next() ?? -1];
    if (cell) within(cell)[0]!.focus();
  };
  const seen = new MutationObserver(settle);
  seen.observe(e, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled', 'aria-pressed'],
  });
  e.addEventListener('focusin', focused);
  if (arrows) e.addEventListener('keydown', press);
  settle();
  return () => {
    seen.disconnect();
    e.removeEventListener('focusin', focused);
    e.removeEventListener('keydown', press);
  };
}
