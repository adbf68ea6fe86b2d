import type { DialogueLine } from '../api/client';

export type Spoken = Pick<DialogueLine, 'phones' | 'words' | 'text'>;
type Timed = { start: number; end: number };

/** Two times nearer than this, seconds, are the same edge. */
export const SAME = 1e-6;
/** A step of an edge that is not held to frames, seconds. */
const FINE = 0.005;

/** The nearest time at which a frame begins. */
export const onFrame = (time: number, rate: number) => Math.round(time * rate) / rate;

/** One step on or back from a time: to the next frame's beginning, or a little. */
export function stepped(time: number, by: 1 | -1, rate: number, frames: boolean): number {
  if (!frames) return time + by * FINE;
  const f = time * rate;
  return (by > 0 ? Math.floor(f + 1e-4) + 1 : Math.ceil(f - 1e-4) - 1) / rate;
}

export interface Edge {
  sound: number;
  end: boolean;
}

/** The edge of a sound nearest to a time; null when none is within reach. An edge two sounds share is the later one's start. */
export function edgeNear(phones: Timed[], time: number, reach: number): Edge | null {
  let best: Edge | null = null;
  let away = reach;
  phones.forEach((p, i) => {
    const shared = i > 0 && Math.abs(phones[i - 1]!.end - p.start) < SAME;
    const toStart = Math.abs(p.start - time);
    if (toStart < away || (toStart === away && shared)) {
      best = { sound: i, end: false };
      away = toStart;
    }
    const toEnd = Math.abs(p.end - time);
    if (toEnd < away) {
      best = { sound: i, end: true };
      away = toEnd;
    }
  });
  return best;
}

/** Index of the word a sound belongs to; -1 for none. */
export function wordOf(line: Spoken, sound: number): number {
  const p = line.phones[sound];
  if (!p) return -1;
  const middle = (p.start + p.end) / 2;
  return line.words.findIndex((w) => w.start - SAME <= middle && middle <= w.end + SAME);
}

/** Index of the first sound that is not over at a time; the last one behind them all. */
export function soundAt(phones: Timed[], time: number): number {
  const at = phones.findIndex((p) => p.end > time);
  return at < 0 ? phones.length - 1 : at;
}

export const holds = (held: number[], time: number) => held.some((h) => Math.abs(h - time) < SAME);

/** Where each word stands in the text; null when the text does not have them in their order. */
function places(text: string, words: { text: string }[]): [number, number][] | null {
  const out: [number, number][] = [];
  let from = 0;
  for (const w of words) {
    const at = text.toLowerCase().indexOf(w.text.toLowerCase(), from);
    if (at < 0) return null;
    out.push([at, at + w.text.length]);
    from = at + w.text.length;
  }
  return out;
}

/** The text with another word, or several or none, in place of one. */
export function retyped(line: Spoken, word: number, typed: string): string | null {
  const place = places(line.text, line.words)?.[word];
  if (!place) return null;
  const text = line.text.slice(0, place[0]) + typed.trim() + line.text.slice(place[1]);
  return text.replace(/\s+/g, ' ').trim();
}

/** The text with words put in before a word; behind the last one for the number of words. */
export function putIn(line: Spoken, before: number, typed: string): string | null {
  const all = places(line.text, line.words);
  if (!all) return null;
  const at = before < all.length ? all[before]![0] : (all.at(-1)?.[1] ?? line.text.length);
  const text = `${line.text.slice(0, at)} ${typed.trim()} ${line.text.slice(at)}`;
  return text
    .replace(/\s+/g, ' ')
    .replace(/ ([.,!?;:])/g, '$1')
    .trim();
}
