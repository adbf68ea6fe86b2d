/** Something that lies along a strip. */
interface Lies {
  /** Where it begins and ends, pixels. */
  from: number;
  to: number;
  /** Narrowest at which it can be read, pixels, where that is not the same for all. */
  least?: number;
  /** Whether it stands alone however narrow it is: what a hand has set is never one of many. */
  alone?: boolean;
}

/** Things beside each other that are shown as one, because each is too narrow to be read; or one alone. */
export interface Band<T> {
  from: number;
  to: number;
  items: T[];
}

/**
 * What lies along a strip, with those put together that are narrower than can be read: neighbours that are all too narrow become one
 * band, so that no row of slivers is left. What is wide enough stands alone.
 *
 * @param items in rising order
 * @param least narrowest that is read, pixels
 */
export function banded<T extends Lies>(items: T[], least: number): Band<T>[] {
  const out: Band<T>[] = [];
  for (const item of items) {
    const last = out.at(-1);
    const narrow = (i: T) => i.to - i.from < (i.least ?? least) && !i.alone;
    const beside = last && narrow(item) && item.from - last.to < least && last.items.every(narrow);
    if (beside) {
      last.items.push(item);
      last.to = item.to;
    } else out.push({ items: [item], from: item.from, to: item.to });
  }
  return out;
}
