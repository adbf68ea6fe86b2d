/** Does one piece of work after the other, in the order they came, whether those before them went well or not. */
export class InTurn {
  private last: Promise<unknown> = Promise.resolve();

  run<T>(work: () => Promise<T>): Promise<T> {
    const next = this.last.then(work, work);
    this.last = next;
    return next;
  }
}
