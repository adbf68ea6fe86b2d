type Then = (box: DOMRect) => void;

let waiting: [SVGGraphicsElement, Then][] = [];

/**
 * Tells how large something is that was painted, before it is seen. All that is painted in one go is measured together: to ask after
 * each painting would lay the whole page out each time.
 */
export function measured(painted: SVGGraphicsElement, then: Then): void {
  waiting.push([painted, then]);
  if (waiting.length > 1) return;
  queueMicrotask(() => {
    const all = waiting;
    waiting = [];
    const boxes = all.map(([g]) => g.getBBox());
    all.forEach(([, told], i) => told(boxes[i]!));
  });
}

/** What shows a box with some room round it. @param margin share of its larger side */
export function viewBoxOf(b: DOMRect, margin: number): string {
  const pad = Math.max(b.width, b.height, 1) * margin;
  return `${b.x - pad} ${b.y - pad} ${Math.max(1, b.width) + 2 * pad} ${Math.max(1, b.height) + 2 * pad}`;
}
