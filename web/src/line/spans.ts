/** A run of frames that show the same thing. */
export interface Span {
  from: number;
  /** Last frame, included. */
  to: number;
  what: string;
}

/** A stretch of frames that something is to be set on. */
export interface Stretch {
  from: number;
  /** Last frame, included. */
  to: number;
  /** Whether it lies within the line. */
  good: boolean;
  /** Called before it is set. */
  done: () => void;
}

export function spans(frames: string[]): Span[] {
  const out: Span[] = [];
  frames.forEach((what, f) => {
    const last = out.at(-1);
    if (last && last.what === what) last.to = f;
    else out.push({ from: f, to: f, what });
  });
  return out;
}

/** A wave form as an SVG path round a middle line at y = 0, one unit wide a peak, from -1 to 1. */
export function wavePath(peaks: number[]): string {
  if (peaks.length === 0) return '';
  const most = Math.max(...peaks, 0.05);
  const top = peaks.map((p, i) => `${i} ${(-p / most).toFixed(3)}`);
  const bottom = peaks.map((p, i) => `${i} ${(p / most).toFixed(3)}`).reverse();
  return `M${[...top, ...bottom].join('L')}Z`;
}
