import type { Item } from '../api/client';

export type Order = 'worked' | 'name' | 'age';

/** The characters whose names hold what is typed, in one of three orders. */
export function sorted(items: Item[], typed: string, order: Order): Item[] {
  const wanted = typed.trim().toLocaleLowerCase();
  const by: Record<Order, (a: Item, b: Item) => number> = {
    worked: (a, b) => b.changedAt.localeCompare(a.changedAt),
    name: (a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }),
    // as they are listed: by when they began
    age: () => 0,
  };
  return items.filter((c) => c.name.toLocaleLowerCase().includes(wanted)).sort(by[order]);
}

/** Names that more than one has: the date behind them tells those apart. */
export function shared(items: Item[]): Set<string> {
  const seen = new Set<string>();
  const twice = new Set<string>();
  for (const { name } of items) (seen.has(name) ? twice : seen).add(name);
  return twice;
}

const DAY = 86_400_000;

/** When something was, as one says it: the hour of today and yesterday, else the day, with its year when that is another. */
export function told(iso: string, now: Date): string {
  const at = new Date(iso);
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
  const hour = at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  if (at.getTime() >= midnight) return `today ${hour}`;
  if (at.getTime() >= midnight - DAY) return `yesterday ${hour}`;
  return at.toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'long',
    ...(at.getFullYear() === now.getFullYear() ? {} : { year: 'numeric' }),
  });
}
