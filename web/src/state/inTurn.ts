/** Does one piece of work after the other, in the order they came, whether those before them went well or not. */
export class InTurn {
  private last: Promise<unknown> = Promise.resolve();
  private waiting = 0;

  /** Whether something is being done, or waits for it. */
  get busy(): boolean {
    return this.waiting > 0;
  }

  run<T>(work: () => Promise<T>): Promise<T> {
    this.waiting++;
    const next = this.last.then(work, work).finally(() => this.waiting--);
    this.last = next;
    return next;
  }

  /** When all that was asked for until now is done, well or not. */
  async idle(): Promise<void> {
    await this.last.catch(() => undefined);
  }
}
