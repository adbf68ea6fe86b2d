const NUMBER = /-?\d+(?:\.\d+)?(?:e[-+]?\d+)?/gi;

/** Path data taken apart, so that it can be blended with other data of the same commands. */
export interface Outline {
  /** What stands before every number, and after the last. */
  words: string[];
  numbers: number[];
}

export function takenApart(d: string): Outline {
  return { words: d.split(NUMBER), numbers: (d.match(NUMBER) ?? []).map(Number) };
}

/** Part of the way from one outline to another; the nearer one when they have not the same points. */
export function between(a: Outline, b: Outline, share: number): string {
  const alike =
    a.numbers.length === b.numbers.length && a.words.every((w, i) => w.trim() === b.words[i]?.trim());
  const from = alike || share < 0.5 ? a : b;
  const to = alike ? b : from;
  let d = from.words[0] ?? '';
  for (let i = 0; i < from.numbers.length; i++) {
    const at = from.numbers[i]! + (to.numbers[i]! - from.numbers[i]!) * share;
    d += Math.round(at * 100) / 100 + from.words[i + 1]!;
  }
  return d;
}
