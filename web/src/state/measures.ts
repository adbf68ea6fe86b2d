import type { Finding } from '../api/client';

const UNITS: Record<Finding['measure']['unit'], (value: number) => string> = {
  UNITS: (v) => plain(v),
  SQUARE_UNITS: (v) => `${plain(v)} square units`,
  DEGREES: (v) => `${plain(v)}°`,
  SHARE: (v) => `${plain(100 * v)} %`,
  COUNT: (v) => plain(v),
};

/** To a tenth below ten, else to a whole number. */
function plain(value: number): string {
  return value < 10 ? String(Math.round(value * 10) / 10) : String(Math.round(value));
}

/** How bad something is, in words. */
export const words = (measure: Finding['measure']): string =>
  UNITS[measure.unit](measure.value) + (measure.unit === 'UNITS' ? ' units' : '');

/** What a mend comes to: "127 → 0 square units"; empty where something is there or is not. */
export function change(measure: Finding['measure'], leaves: number): string {
  if (measure.unit === 'COUNT' && measure.value === 1) return '';
  return `${plain(measure.unit === 'SHARE' ? 100 * measure.value : measure.value)} → ${UNITS[measure.unit](leaves)}`;
}
