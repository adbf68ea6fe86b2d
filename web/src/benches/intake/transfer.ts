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

/** Things by their kinds, what has a place before what has none. */
export function inKinds(items: TransferItem[]): { title: string; items: TransferItem[] }[] {
  return TITLES.map(([kind, title]) => {
    const of = items.filter((i) => i.kind === kind);
    const possible = (i: TransferItem) => i.fitting !== 'NOTHING';
    return { title, items: [...of.filter(possible), ...of.filter((i) => !possible(i))] };
  }).filter((g) => g.items.length > 0);
}

/** Whether a thing can be taken and nothing of the character that takes it gives way. */
export const fits = (i: TransferItem) => i.fitting === 'WHOLE' || i.fitting === 'PARTLY';
