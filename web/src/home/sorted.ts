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
