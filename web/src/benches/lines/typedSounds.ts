import type { Phone } from '../../line/useSoundEdits';
import { PHONES } from './phones';

const KNOWN = new Set<string>(PHONES.map((p) => p.phone));

/** Sounds as they were typed, in any case, with or without stress; or the first that is none. */
export function typedSounds(typed: string): { phones: Phone[] } | { unknown: string } {
  const symbols = typed
    .trim()
    .split(/[\s,]+/)
    .filter(Boolean);
  const phones: Phone[] = [];
  for (const symbol of symbols) {
    const bare = symbol.toUpperCase().replace(/[012]$/, '');
    if (!KNOWN.has(bare)) return { unknown: symbol };
    phones.push(bare as Phone);
  }
  return { phones };
}
