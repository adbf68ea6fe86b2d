import type { RunSheet } from '../api/client';

/** What a part shows some frames after its run began, or after it was let go of; null once that is over. */
export function shownAt(sheet: RunSheet, once: boolean, frame: number, letGo: number | null): string | null {
  const inRound = (f: number) =>
    sheet.round[once ? Math.min(f, sheet.round.length - 1) : f % sheet.round.length]!;
  if (letGo === null || frame <= letGo) return inRound(frame);
  return (sheet.back[inRound(letGo)] ?? [])[frame - letGo - 1] ?? null;
}

interface Playing {
  run: string;
  sheet: RunSheet;
  once: boolean;
  /** Frames since it began, and when it was let go of. */
  frame: number;
  letGo: number | null;
}

/** Plays runs of drawings on the stage: each frame the next drawing is picked; let go of, a run goes out backwards. */
export class RunPlayer {
  private readonly playing = new Map<string, Playing>();
  private timer: ReturnType<typeof setInterval> | null = null;

  constructor(
    private readonly pick: (part: string, drawing: string | null) => void,
    private readonly changed: () => void = () => undefined,
  ) {}

  /** The run a part plays and has not been let go of. */
  runOf(part: string): string | null {
    const p = this.playing.get(part);
    return p && p.letGo === null ? p.run : null;
  }

  /** Begins a run, or lets go of it when the part plays it. */
  toggle(part: string, run: string, sheet: RunSheet, once: boolean, rate: number): void {
    const now = this.playing.get(part);
    if (now && now.run === run && now.letGo === null) now.letGo = now.frame;
    else {
      this.playing.set(part, { run, sheet, once, frame: 0, letGo: null });
      this.pick(part, shownAt(sheet, once, 0, null));
    }
    this.timer ??= setInterval(() => this.tick(), 1000 / rate);
    this.changed();
  }

  /** Another drawing was picked by hand, or the character left the stage: the run is over at once. */
  stop(part?: string): void {
    if (part === undefined) this.playing.clear();
    else this.playing.delete(part);
    this.rest();
  }

  private tick(): void {
    for (const [part, p] of this.playing) {
      const was = shownAt(p.sheet, p.once, p.frame, p.letGo);
      p.frame++;
      const is = shownAt(p.sheet, p.once, p.frame, p.letGo);
      if (is !== was || is === null) this.pick(part, is);
      if (is === null) this.playing.delete(part);
    }
    this.rest();
  }

  private rest(): void {
    if (this.playing.size === 0 && this.timer !== null) {
      clearInterval(this.timer);
      this.timer = null;
    }
    this.changed();
  }
}
