/** What the server says when something cannot be done. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly place: string,
    message: string,
    readonly since: string[] = [],
  ) {
    super(message);
  }
}
