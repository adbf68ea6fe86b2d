import { describe, expect, it } from 'vitest';
import { change, words } from './measures';

describe('what a mend comes to', () => {
  it('is told in the unit of what was measured', () => {
    expect(change({ value: 127.4, unit: 'SQUARE_UNITS' }, 0)).toBe('127 → 0 square units');
    expect(change({ value: 0.125, unit: 'SHARE' }, 0.02)).toBe('13 → 2 %');
    expect(change({ value: 3.26, unit: 'UNITS' }, 0.5)).toBe('3.3 → 0.5');
  });

  it('is not told where something is there or is not', () => {
    expect(change({ value: 1, unit: 'COUNT' }, 0)).toBe('');
    expect(change({ value: 12, unit: 'COUNT' }, 0)).toBe('12 → 0');
  });

  it('says how bad something is with its unit', () => {
    expect(words({ value: 94.7, unit: 'UNITS' })).toBe('95 units');
    expect(words({ value: 0.67, unit: 'SHARE' })).toBe('67 %');
  });
});
