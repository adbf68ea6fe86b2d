/** What is numbered by how often it was changed. */
interface Numbered {
  revision: number;
}

/**
 * Of two answers about one thing the later state, whichever came last: an answer that was asked for before an edit may arrive after
 * the edit's own, and must not take it back. Of two with the same number the fresh one counts: what it is shown with may have changed.
 */
export function newest(old: unknown, fresh: unknown): unknown {
  const before = (old as Numbered | undefined)?.revision;
  return before !== undefined && before > (fresh as Numbered).revision ? old : fresh;
}
