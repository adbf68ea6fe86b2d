import type { Told } from 'page-live';

/** A face at rest, as a performer told it. Kept in this browser: it belongs to who acts, not to the character. */
export interface Neutral {
  at: string;
  told: Told;
}

const key = (performer: string) => `leeward-neutral ${performer}`;

export function neutralOf(performer: string): Neutral | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key(performer)) ?? 'null') as Neutral | null;
    return kept && typeof kept.at === 'string' && typeof kept.told === 'object' && kept.told ? kept : null;
  } catch {
    return null;
  }
}

export function keepNeutral(performer: string, neutral: Neutral): void {
  try {
    localStorage.setItem(key(performer), JSON.stringify(neutral));
  } catch {
    // without room it holds as long as the page
  }
}
