import type { OpenCharacter, OpenLine } from 'page-core';
import { create } from 'zustand';
import type { LineView, Shot, ShotEdit } from '../api/client';
import { useDesk } from './desk';
import type { Director } from './director';

interface Acted {
  line: LineView | null;
  /** The shot as it is seen here: as the server has it, with what is on its way there and what a hand is in the middle of. */
  shot: Shot | null;
  /** The same, to be asked; null without rules. */
  open: OpenLine | null;
  /** The mouth of every frame. */
  mouths: string[];
}

/** The shot on the stage. */
export const useActed = create<Acted>(() => ({ line: null, shot: null, open: null, mouths: [] }));

/** Dials put somewhere by keys at the frame on the stage. */
export const useKeyed = create<{ keyed: Record<string, number> }>(() => ({ keyed: {} }));

/**
 * Shows edits of the shot before they are answered. The server's answers come in the order of the edits; what is behind them is put
 * on top of each answer again.
 */
export class ActedShot {
  private standing: LineView | null = null;
  private open: OpenLine | null = null;
  private rules: OpenCharacter | null = null;
  private director: Director | null = null;
  private waiting: ShotEdit[] = [];
  private drafted: ShotEdit | null = null;

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
    else if (changed) this.open = this.open.of(line.shot);
    this.standing = line;
    this.rules = rules;
    this.director = director;
    this.show();
  }

  /** Shows an edit until it is answered. */
  async send(edit: ShotEdit, work: () => Promise<LineView>): Promise<LineView> {
    this.waiting.push(edit);
    this.drafted = null;
    this.show();
    try {
      const answer = await work();
      this.waiting = this.waiting.filter((e) => e !== edit);
      this.stands(answer, this.rules, this.director);
      return answer;
    } catch (e) {
      this.waiting = this.waiting.filter((w) => w !== edit);
      this.show();
      throw e;
    }
  }

  /** Shows an edit a hand is in the middle of; null when it is let go of. */
  draft(edit: ShotEdit | null): void {
    if (edit === null && this.drafted === null) return;
    this.drafted = edit;
    this.show();
  }

  private show(): void {
    let open = this.open;
    for (const edit of [...this.waiting, ...(this.drafted ? [this.drafted] : [])]) {
      const after = open?.drafts(edit.kind) ? open.draft(edit).after() : null;
      // what would be refused is left out; the answer says why
      if (after) open = after;
    }
    const line = this.standing;
    const shot = open && open !== this.open ? open.shot() : (line?.shot ?? null);
    const mouths = open && open !== this.open ? open.mouths() : (line?.drawings ?? []);
    useActed.setState({ line, shot, open, mouths });
    this.director?.speaks(line, open);
    tellKeyed();
  }
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
