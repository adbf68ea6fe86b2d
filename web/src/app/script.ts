import { api, type LineOfScript, Refusal } from '../api/client';

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
    return `${l.cue || String(i + 1).padStart(digits, '0')} ${begins}`.trim().slice(0, 70);
  });
}

const byName = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** In the order of their names as a person counts: 2 before 10. */
export function named<T extends { name: string }>(items: readonly T[]): T[] {
  return [...items].sort((a, b) => byName.compare(a.name, b.name));
}

/** The text of a file; programs that time speech write it in UTF-16 too, and say so in its first two bytes. */
export async function textOf(file: Pick<Blob, 'arrayBuffer'>): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const wide = bytes[0] === 0xfe && bytes[1] === 0xff ? 'utf-16be' : 'utf-16le';
  const marked = (bytes[0] === 0xfe && bytes[1] === 0xff) || (bytes[0] === 0xff && bytes[1] === 0xfe);
  return new TextDecoder(marked ? wide : 'utf-8').decode(bytes);
}

/** Whether a text says when sounds are heard: a TextGrid, or a table the server takes for one. */
export async function isTimed(name: string, text: string): Promise<boolean> {
  if (text.trimStart().startsWith('File type = "ooTextFile')) return true;
  if (!/\.(csv|tsv)$/i.test(name)) return false;
  return api.timingGrid(text).then(
    () => true,
    // one that is broken is told as such
    (e: unknown) => e instanceof Refusal && e.code !== 'grid-not',
  );
}
