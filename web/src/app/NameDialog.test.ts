import { describe, expect, it } from 'vitest';
import { nextName } from './NameDialog';

describe('the name that is proposed for a character whose own is taken', () => {
  it('has a number behind it, or the next one', () => {
    expect(nextName('Maren')).toBe('Maren 2');
    expect(nextName('Maren 2')).toBe('Maren 3');
    expect(nextName('Take 09')).toBe('Take 10');
    expect(nextName('2')).toBe('2 2');
  });
});
