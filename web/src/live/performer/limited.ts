export type Range = [from: number, to: number];

/** What is left between two limits at the least, as a share of the whole. */
const APART = 0.02;

/**
 * Limits with one of them brought to a value: within the range, and never past the other one.
 *
 * @param end 0 for the lower one
 */
export function limited([from, to]: Range, [least, most]: Range, end: 0 | 1, value: number): Range {
  const apart = APART * (to - from);
  // as fine as the range asks for: whole degrees, hundredths of a strength
  const grain = to - from > 10 ? 1 : 0.01;
  const at = Math.round(value / grain) * grain;
  const held =
    end === 0 ? Math.max(from, Math.min(most - apart, at)) : Math.min(to, Math.max(least + apart, at));
  const plain = Math.round(held * 1e4) / 1e4;
  return end === 0 ? [plain, most] : [least, plain];
}
