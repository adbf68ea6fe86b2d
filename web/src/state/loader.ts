/** Runs one request at a time and always the newest: what was asked for in between is skipped. */
export class Latest<A, R> {
  private running = false;
  private waiting: A | null = null;

  constructor(
    private readonly run: (ask: A) => Promise<R>,
    private readonly done: (result: R, ask: A) => void,
    private readonly failed: (e: unknown) => void,
  ) {}

  ask(what: A): void {
    this.waiting = what;
    if (!this.running) void this.work();
  }

  /** Forgets what was asked and not yet begun. */
  drop(): void {
    this.waiting = null;
  }

  private async work(): Promise<void> {
    this.running = true;
    while (this.waiting !== null) {
      const what: A = this.waiting;
      this.waiting = null;
      try {
        const result = await this.run(what);
        // something newer is waiting: showing this one would only flicker past, but a drag should still move
        this.done(result, what);
      } catch (e) {
        this.failed(e);
      }
    }
    this.running = false;
  }
}
