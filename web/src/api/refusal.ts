/** What the server says when something cannot be done. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly place: string,
    says: string,
    readonly since: string[] = [],
  ) {
    super(says);
  }
}
