import type { LineOfScript } from '../api/client';

/** Seconds as minutes and seconds. */
export function clock(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** What each line is to be called: its cue, or its number in the script, and how it begins. */
export function namesOf(lines: LineOfScript[]): string[] {
  const digits = String(lines.length).length;
  return lines.map((l, i) => {
    const begins = l.words
      .replace(/<[^>]*>|\([^)]*\)|\[[^\]]*\]|\{[^}]*\}/g, ' ')
      .replace(/[.!?…].*/s, '')
      .trim()
      .split(/\s+/)
      .slice(0, 5)
      .join(' ')
      .replace(/[^\p{L}\p{N}]+$/u, '');
    return `${l.cue || String(i + 1).padStart(digits, '0')} ${begins}`.trim().slice(0, 76);
  });
}

const byName = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** In the order of their names as a person counts: 2 before 10. */
export function named<T extends { name: string }>(items: readonly T[]): T[] {
  return [...items].sort((a, b) => byName.compare(a.name, b.name));
}
