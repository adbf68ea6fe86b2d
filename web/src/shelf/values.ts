import type { Dial, Part } from '../api/client';

/** Where a wheel notch can come to rest: stops, rest, ends, and the middle of each band. In rising order. */
export function notches(dial: Dial): number[] {
  const all = [dial.from, dial.to, dial.rest, ...dial.stops.map((s) => s.at)];
  for (const b of dial.bands.flatMap((x) => x.bands)) all.push((b.from + b.to) / 2);
  return [...new Set(all)].filter((v) => v >= dial.from && v <= dial.to).sort((a, b) => a - b);
}

/** The next notch from a value, upwards or downwards; the end holds. */
export function nextNotch(dial: Dial, value: number, up: boolean): number {
  const all = notches(dial);
  const slack = (dial.to - dial.from) * 1e-6;
  const found = up ? all.find((n) => n > value + slack) : all.reverse().find((n) => n < value - slack);
  return found ?? (up ? dial.to : dial.from);
}

/** A pad's value held inside its edge, on the way from rest; the square itself when it has none. */
export function within(
  field: number[][],
  [x, y]: [number, number],
  [restX, restY]: [number, number],
): [number, number] {
  const wx = x - restX;
  const wy = y - restY;
  let furthest = Infinity;
  field.forEach((a, i) => {
    const b = field[(i + 1) % field.length]!;
    const ax = a[0]! - restX;
    const ay = a[1]! - restY;
    const ex = b[0]! - a[0]!;
    const ey = b[1]! - a[1]!;
    const across = wx * ey - wy * ex;
    if (Math.abs(across) < 1e-12) return;
    const t = (ax * ey - ay * ex) / across;
    const s = (ax * wy - ay * wx) / across;
    if (t >= 0 && s >= -1e-9 && s <= 1 + 1e-9) furthest = Math.min(furthest, t);
  });
  return furthest < 1 ? [restX + furthest * wx, restY + furthest * wy] : [x, y];
}

export const hold = (dial: Dial, value: number) => Math.min(dial.to, Math.max(dial.from, value));

/** A value as it is shown: whole degrees, hundredths of small ranges. */
export function shown(dial: Dial, value: number): string {
  const small = dial.to - dial.from <= 10;
  const text = small ? value.toFixed(2) : value.toFixed(Math.abs(value - Math.round(value)) < 0.05 ? 0 : 1);
  return (text === '-0' || text === '-0.00' ? text.slice(1) : text) + dial.unit;
}

/**
 * A typed value: a number with + - * / and brackets, in the dial's unit. Null for what is not one. Read by hand rather
 * than evaluated, since it comes from a text field.
 */
export function typed(text: string): number | null {
  const tokens = text
    .replace(/[°\s]/g, '')
    .replace(/,/g, '.')
    .match(/\d+\.?\d*|\.\d+|[-+*/()]/g);
  if (!tokens || tokens.join('') !== text.replace(/[°\s]/g, '').replace(/,/g, '.')) return null;
  let i = 0;
  const factor = (): number => {
    const t = tokens[i++];
    if (t === '-') return -factor();
    if (t === '+') return factor();
    if (t === '(') {
      const v = sum();
      if (tokens[i++] !== ')') return NaN;
      return v;
    }
    return t === undefined ? NaN : Number(t);
  };
  const product = (): number => {
    let v = factor();
    while (tokens[i] === '*' || tokens[i] === '/') v = tokens[i++] === '*' ? v * factor() : v / factor();
    return v;
  };
  const sum = (): number => {
    let v = product();
    while (tokens[i] === '+' || tokens[i] === '-') v = tokens[i++] === '+' ? v + product() : v - product();
    return v;
  };
  const value = sum();
  return i === tokens.length && Number.isFinite(value) ? value : null;
}

/** A part and what it follows, all the way up. */
export function upwards(parts: Part[], id: string): string[] {
  const up: string[] = [];
  for (let at: string | undefined = id; at && !up.includes(at);) {
    up.push(at);
    at = parts.find((p) => p.id === at)?.parent;
  }
  return up;
}
