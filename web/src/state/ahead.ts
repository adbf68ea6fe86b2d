import type { OpenCharacter } from 'page-core';
import type { CharacterView, Edit } from '../api/client';

/** Something on its way to the server: an edit, or a step back or forth to a state that was here before. */
export type Step = { edit: Edit } | { state: OpenCharacter };

interface Sent {
  step: Step;
  /** The revision it became; null until the server answers. */
  made: number | null;
}

/** Whoever shows what is ahead. */
interface Stage {
  expect: (steps: Step[]) => void;
}

/** How many revisions are kept opened, for steps back. */
const KEPT = 24;

/**
 * What this page has asked for and does not hold yet, oldest first, so that it can be shown before the server answers; and which
 * states steps back and forth lead to.
 */
export class Ahead {
  private sent: Sent[] = [];
  private stage: Stage | null = null;
  private readonly opened = new Map<number, OpenCharacter>();
  private readonly back = new Map<number, number>();
  private readonly forth = new Map<number, number>();

  /** A revision stands on the stage now: what it holds is not ahead any more. */
  stands(revision: number, opened: OpenCharacter | null, stage: Stage): void {
    this.stage = stage;
    this.sent = this.sent.filter((s) => s.made === null || s.made > revision);
    if (opened) this.opened.set(revision, opened);
    for (const old of [...this.opened.keys()].slice(0, -KEPT)) this.opened.delete(old);
    this.tell();
  }

  private tell(): void {
    this.stage?.expect(this.sent.map((s) => s.step));
  }

  /** Sends a step; it is ahead until its revision stands here, or until it is refused. */
  async send(
    step: Step,
    work: (made: (view: CharacterView, base: number) => CharacterView) => Promise<boolean>,
  ): Promise<boolean> {
    const sent: Sent = { step, made: null };
    this.sent.push(sent);
    this.tell();
    const done = await work((view, base) => {
      sent.made = view.revision;
      // with others' edits in between a step back does not lead to what was here before
      if ('edit' in step && view.revision === base + 1) this.back.set(view.revision, base);
      return view;
    });
    if (!done) {
      this.sent = this.sent.filter((s) => s !== sent);
      this.tell();
    }
    return done;
  }

  /** The state a step from a revision leads to, where it was here before. */
  target(back: boolean, from: number): OpenCharacter | null {
    const to = (back ? this.back : this.forth).get(from);
    return (to !== undefined && this.opened.get(to)) || null;
  }

  /** A step from a revision was made, and became another one that is like the one it leads to. */
  stepped(back: boolean, from: number, became: number): void {
    const to = (back ? this.back : this.forth).get(from);
    if (to === undefined) return;
    const further = this.back.get(to);
    if (further !== undefined) this.back.set(became, further);
    if (back) this.forth.set(became, from);
    else {
      this.back.set(became, from);
      const next = this.forth.get(to);
      if (next !== undefined) this.forth.set(became, next);
    }
  }
}
