import type { OpenCharacter, OpenLine } from 'page-core';
import { create } from 'zustand';
import type { DialKey, LineMade, LineView, Shot, ShotEdit } from '../api/client';
import { useDesk } from './desk';
import type { Director } from './director';

interface Acted {
  line: LineView | null;
  /** The shot as it is seen here: as the server has it, with what is on its way there and what a hand is in the middle of. */
  shot: Shot | null;
  /** The same without what a hand is in the middle of. */
  kept: Shot | null;
  /** What is seen, to be asked; null without rules. */
  open: OpenLine | null;
  /** What is kept, to be asked; null without rules. */
  keptOpen: OpenLine | null;
  /** The mouth of every frame. */
  mouths: string[];
}

/** The shot on the stage. */
export const useActed = create<Acted>(() => ({
  line: null,
  shot: null,
  kept: null,
  open: null,
  keptOpen: null,
  mouths: [],
}));

/** Dials put somewhere by keys at the frame on the stage. */
export const useKeyed = create<{ keyed: Record<string, number> }>(() => ({ keyed: {} }));

/** Most states that are kept for stepping back to. */
const STEPS = 100;

/**
 * Shows edits of the shot before they are answered. The server's answers come in the order of the edits; what is behind them is put
 * on top of each answer again.
 */
export class ActedShot {
  private standing: LineView | null = null;
  private open: OpenLine | null = null;
  private rules: OpenCharacter | null = null;
  private director: Director | null = null;
  /** A line that is about to stand, with the rules over it. */
  private ready: { line: LineView; open: OpenLine } | null = null;
  /** What stood here before, by its revision: a step back goes to one of them. They share what they have in common. */
  private known = new Map<number, { line: LineView; open: OpenLine }>();
  private waiting: ShotEdit[] = [];
  private drafted: ShotEdit | null = null;
  /** What came of the edits on their way: it stays while a hand tries others out on top of it. */
  private made: {
    open: OpenLine | null;
    edits: ShotEdit[];
    line: LineView | null;
    after: OpenLine | null;
    shot: Shot | null;
    mouths: string[];
  } | null = null;

  /** What the server has. */
  stands(line: LineView | null, rules: OpenCharacter | null, director: Director | null): void {
    const same = this.standing?.id === line?.id;
    if (same && this.standing === line && this.rules === rules && this.director === director) return;
    if (!same) {
      this.waiting = [];
      this.drafted = null;
    }
    const changed = this.standing !== line || !same;
    if (!line || !rules) this.open = null;
    else if (!this.open || this.rules !== rules || !same) this.open = rules.line(line.shot);
    else if (changed) this.open = this.ready?.line === line ? this.ready.open : this.open.of(line.shot);
    this.ready = null;
    if (!same || this.rules !== rules) this.known.clear();
    if (line && this.open) this.remember(line, this.open);
    this.standing = line;
    this.rules = rules;
    this.director = director;
    this.show();
  }

  private remember(line: LineView, open: OpenLine): void {
    this.known.delete(line.revision);
    this.known.set(line.revision, { line, open });
    if (this.known.size > STEPS) this.known.delete(this.known.keys().next().value!);
  }

  /** Shows an edit until it is answered. */
  async send(edit: ShotEdit, work: () => Promise<LineView>): Promise<LineView> {
    this.waiting = [...this.waiting, edit];
    this.drafted = null;
    this.show();
    try {
      const answer = await work();
      this.over(edit);
      this.stands(answer, this.rules, this.director);
      return answer;
    } catch (e) {
      this.over(edit);
      this.show();
      throw e;
    }
  }

  /** Whether what an edit makes of the shot is known here before the server says it. */
  foresees(edit: ShotEdit): boolean {
    return this.open?.drafts(edit.kind) ?? false;
  }

  /**
   * The line after an edit that the server made of just the state that is known here.
   *
   * @returns null where the rules here do not make it
   */
  foreseen(before: LineView, edit: ShotEdit, answer: LineMade): LineView | null {
    if (before !== this.standing) return null;
    const seen = this.made;
    const first = seen?.line === before && seen.open === this.open && seen.edits.length === 1;
    // what is on the screen is it, where nothing else is on its way
    const shown = first && seen.edits[0] === edit;
    const open = shown ? seen.after : tried(this.open, edit);
    if (!open || open === this.open) return null;
    const shot = shown ? seen.shot! : changed(open, this.open!, before.shot);
    const { revision, undo, redo } = answer;
    const line = { ...before, revision, undo, redo, shot };
    composed.add(line);
    this.ready = { line, open };
    return line;
  }

  /**
   * The line after a step back or on.
   *
   * @returns null where the shot as it was is not known here
   */
  stepped(before: LineView, { like, revision, undo, redo }: LineMade): LineView | null {
    const was = before === this.standing && like != null ? this.known.get(like) : undefined;
    if (!was) return null;
    const line = { ...was.line, revision, undo, redo };
    composed.add(line);
    this.ready = { line, open: was.open };
    return line;
  }

  /** The same edit may wait twice: only the first of them is over. */
  private over(edit: ShotEdit): void {
    const at = this.waiting.indexOf(edit);
    this.waiting = this.waiting.filter((_, i) => i !== at);
  }

  /** Shows an edit a hand is in the middle of; null when it is let go of. */
  draft(edit: ShotEdit | null): void {
    if (edit === null && this.drafted === null) return;
    this.drafted = edit;
    this.show();
  }

  private show(): void {
    const line = this.standing;
    const before = this.made;
    if (before?.open !== this.open || before?.edits !== this.waiting || before?.line !== line) {
      const open = this.waiting.reduce(tried, this.open);
      const same = open === this.open;
      this.made = {
        open: this.open,
        edits: this.waiting,
        line,
        after: open,
        shot: same ? (line?.shot ?? null) : changed(open!, this.open!, line!.shot),
        mouths: same ? (line?.drawings ?? []) : open!.mouths(),
      };
    }
    const made = this.made!;
    const open = this.drafted ? tried(made.after, this.drafted) : made.after;
    const drafted = open !== made.after;
    useActed.setState({
      line,
      shot: drafted ? changed(open!, made.after!, made.shot!) : made.shot,
      kept: made.shot,
      open,
      keptOpen: made.after,
      mouths: drafted && this.drafted!.kind.includes('mouth') ? open!.mouths() : made.mouths,
    });
    this.director?.speaks(line, open);
    tellKeyed();
  }
}

/** Lines that were put together here: what they share with the line before is the very same. */
const composed = new WeakSet<object>();

export const isComposed = (line: unknown) => composed.has(line as object);

/** A later state of a shot; what has not changed of its tracks is taken from the earlier one, whose text is known. */
function changed(open: OpenLine, before: OpenLine, known: Shot): Shot {
  const { shot, dials, drawings, keyed } = open.changes(before);
  for (const id of keyed) lazily(shot.tracks.dials, id, () => open.keys(id));
  for (const id of dials) share(shot.tracks.dials, known.tracks.dials, id);
  for (const id of drawings) shot.tracks.drawings[id] = known.tracks.drawings[id]!;
  return shot;
}

/** Keys that are worked out once somebody looks at them: an edit may change those of all dials, and a sheet shows some. */
function lazily(dials: Shot['tracks']['dials'], id: string, keys: () => DialKey[]): void {
  let read: DialKey[] | null = null;
  Object.defineProperty(dials, id, { get: () => (read ??= keys()), enumerable: true, configurable: true });
}

/** The very same keys in both, looked at or not. */
function share(into: Shot['tracks']['dials'], from: Shot['tracks']['dials'], id: string): void {
  const known = Object.getOwnPropertyDescriptor(from, id);
  if (known) Object.defineProperty(into, id, known);
}

/** A shot after an edit; what would be refused is left out, and the answer says why. */
function tried(open: OpenLine | null, edit: ShotEdit): OpenLine | null {
  return (open?.drafts(edit.kind) ? open.draft(edit).after() : null) ?? open;
}

function tellKeyed(): void {
  const { open } = useActed.getState();
  const { frame } = useDesk.getState();
  const keyed = open ? open.keyed(frame) : {};
  const before = useKeyed.getState().keyed;
  const ids = Object.keys(keyed);
  if (ids.length === Object.keys(before).length && ids.every((id) => before[id] === keyed[id])) return;
  useKeyed.setState({ keyed });
}

/** What is held by hand on something that is acted is let go of at another frame: there the shot says where it stands. */
function letGo(): void {
  const { shot } = useActed.getState();
  const { dials, picks, looks } = useDesk.getState();
  if (!shot) return;
  const without = <T>(held: Record<string, T>, acted: (id: string) => boolean) => {
    const left = Object.fromEntries(Object.entries(held).filter(([id]) => !acted(id)));
    return Object.keys(left).length === Object.keys(held).length ? held : left;
  };
  const next = {
    dials: without(dials, (id) => id in shot.tracks.dials),
    picks: without(picks, (id) => id in shot.tracks.drawings),
    looks: without(looks, (id) => shot.tracks.looks.some((l) => l.look === id)),
  };
  if (next.dials !== dials || next.picks !== picks || next.looks !== looks) useDesk.setState(next);
}

useDesk.subscribe((now, before) => {
  if (now.frame === before.frame && now.playing === before.playing && now.bench === before.bench) return;
  if (now.bench === 'shot' && (now.frame !== before.frame || now.playing !== before.playing)) letGo();
  tellKeyed();
});
