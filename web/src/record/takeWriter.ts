import { keepPiece, type Take } from './takes';
import { packed } from './wav';

/** Seconds of a take that are kept together: what a page that breaks off may lose. */
const KEPT = 0.4;

/** Keeps what comes in by a microphone as a take, piece by piece. */
export class TakeWriter {
  take: Take;
  private loose: Int16Array[] = [];
  private waiting = 0;
  private pieces = 0;
  private kept: Promise<void> = Promise.resolve();

  /**
   * @param of the character, and the line it is a take of
   * @param rate samples a second
   * @param trouble called when something cannot be kept
   */
  constructor(
    of: { character: string; line: string },
    rate: number,
    private readonly trouble: (e: unknown) => void,
  ) {
    this.take = {
      id: crypto.randomUUID(),
      ...of,
      at: new Date().toISOString(),
      rate,
      samples: 0,
      peak: 0,
    };
  }

  get seconds(): number {
    return (this.take.samples + this.waiting) / this.take.rate;
  }

  /** @param samples -1 to 1 */
  add(samples: Float32Array): void {
    let { peak } = this.take;
    for (const s of samples) peak = Math.max(peak, Math.abs(s));
    this.take.peak = peak;
    this.loose.push(packed(samples));
    this.waiting += samples.length;
    if (this.waiting >= KEPT * this.take.rate) this.keep();
  }

  /** Puts away what is not yet. */
  keep(): void {
    if (this.waiting === 0) return;
    const all = new Int16Array(this.waiting);
    let at = 0;
    for (const p of this.loose) {
      all.set(p, at);
      at += p.length;
    }
    this.loose = [];
    this.waiting = 0;
    this.take = { ...this.take, samples: this.take.samples + all.length };
    const { take } = this;
    const number = this.pieces++;
    this.kept = this.kept.then(() => keepPiece(take, number, all)).catch(this.trouble);
  }

  /** The take, when all of it is kept; null when nothing was heard. */
  async end(): Promise<Take | null> {
    this.keep();
    await this.kept;
    return this.take.samples > 0 ? this.take : null;
  }
}
