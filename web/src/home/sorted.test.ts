import { describe, expect, it } from 'vitest';
import { told } from '../ui/told';
import { shared, sorted } from './sorted';

const item = (id: string, name: string, changedAt: string) => ({ id, name, revision: 1, changedAt });
const cast = [
  item('a', 'Wick 10', '2026-11-03T10:00:00Z'),
  item('b', 'Maren', '2026-11-30T10:00:00Z'),
  item('c', 'Wick 9', '2026-11-20T10:00:00Z'),
  item('d', 'Maren', '2026-10-01T10:00:00Z'),
];
const ids = (typed: string, order: 'worked' | 'name' | 'age') =>
  sorted(cast, typed, order)
    .map((c) => c.id)
    .join('');

describe('the characters on the first page', () => {
  it('are found by what is typed, and put in one of three orders', () => {
    expect(ids('', 'worked')).toBe('bcad');
    expect(ids('', 'name')).toBe('bdca');
    expect(ids('', 'age')).toBe('abcd');
    expect(ids(' WICK ', 'name')).toBe('ca');
    expect(ids('nobody', 'worked')).toBe('');
    expect(cast.map((c) => c.id).join('')).toBe('abcd');
  });

  it('are told apart when they have one name', () => {
    expect([...shared(cast)]).toEqual(['Maren']);
    expect(shared([]).size).toBe(0);
  });

  it('say when they were worked on as one says it', () => {
    const now = new Date(2026, 10, 30, 16, 4);
    const at = (...p: [number, number, number, number?, number?]) => told(new Date(...p).toISOString(), now);
    expect(at(2026, 10, 30, 9, 5)).toBe('today 09:05');
    expect(at(2026, 10, 30, 0, 0)).toBe('today 00:00');
    expect(at(2026, 10, 29, 23, 59)).toBe('yesterday 23:59');
    expect(at(2026, 10, 28, 12)).toBe('28 November');
    expect(at(2025, 10, 28, 12)).toBe('28 November 2025');
  });
});
