import { describe, expect, it } from 'vitest';
import type { TransferItem } from '../../api/client';
import { fits, inKinds } from './transfer';

const item = (key: string, kind: TransferItem['kind'], fitting: TransferItem['fitting']): TransferItem => ({
  key,
  kind,
  fitting,
  what: key,
  facts: [],
});

describe('what could be taken from another character', () => {
  const items = [
    item('look/a', 'LOOK', 'NOTHING'),
    item('look/b', 'LOOK', 'PARTLY'),
    item('dial/c', 'DIAL', 'REPLACES'),
    item('mouths', 'MOUTHS', 'WHOLE'),
  ];

  it('is listed by kinds, with what has no place at the end of each', () => {
    expect(inKinds(items).map((g) => [g.title, g.items.map((i) => i.key)])).toEqual([
      ['Mouths', ['mouths']],
      ['Looks', ['look/b', 'look/a']],
      ['Dials', ['dial/c']],
    ]);
  });

  it('puts what a bench is about first', () => {
    expect(inKinds(items, ['DIAL', 'CUE']).map((g) => g.title)).toEqual(['Dials', 'Mouths', 'Looks']);
  });

  it('is taken all at once only where nothing gives way', () => {
    expect(items.filter(fits).map((i) => i.key)).toEqual(['look/b', 'mouths']);
  });
});
