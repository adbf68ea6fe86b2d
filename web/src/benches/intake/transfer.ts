import type { TransferItem } from '../../api/client';

/** How a thing goes with the character that takes it, in a word or two. */
export const FITTINGS: Record<TransferItem['fitting'], string> = {
  WHOLE: 'fits',
  PARTLY: 'in part',
  REPLACES: 'replaces',
  NOTHING: 'no place for it',
};

const TITLES: [TransferItem['kind'], string][] = [
  ['MOUTHS', 'Mouths'],
  ['HAND', 'Hands'],
  ['LOOK', 'Looks'],
  ['CUE', 'Cues'],
  ['DIAL', 'Dials'],
  ['PART', 'Whole parts'],
];

/**
 * Things by their kinds, what has a place before what has none.
 *
 * @param first kinds that stand before all others: what the bench it is asked for on is about
 */
export function inKinds(
  items: TransferItem[],
  first: TransferItem['kind'][] = [],
): { title: string; items: TransferItem[] }[] {
  const rank = (kind: TransferItem['kind']) => (first.includes(kind) ? first.indexOf(kind) : first.length);
  return TITLES.toSorted(([a], [b]) => rank(a) - rank(b))
    .map(([kind, title]) => {
      const of = items.filter((i) => i.kind === kind);
      const possible = (i: TransferItem) => i.fitting !== 'NOTHING';
      return { title, items: [...of.filter(possible), ...of.filter((i) => !possible(i))] };
    })
    .filter((g) => g.items.length > 0);
}

/** Whether a thing can be taken and nothing of the character that takes it gives way. */
export const fits = (i: TransferItem) => i.fitting === 'WHOLE' || i.fitting === 'PARTLY';
