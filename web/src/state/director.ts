import type { OpenCharacter, OpenLine } from 'page-core';
import type { Edit, Frame, Joint, LineView, PoseBody, Reason, Redrawn, Shot } from '../api/client';
import { api, Refusal } from '../api/client';
import type { Step } from './ahead';
import { useDesk } from './desk';
import { acts } from './benches';
import { HeldDials } from './heldDials';
import { Latest } from './loader';
import { type Shown, type Watcher, type JointWatcher } from './shown';

/**
 * Decides which frame is on the stage: whenever the desk changes, the page's own rules say what it looks like, in the same
 * moment. Without rules, and for what only the server can try out, it asks the server, one question at a time.
 */
export class Director {
  private readonly watchers = new Set<Watcher>();
  private readonly jointWatchers = new Set<JointWatcher>();
  private readonly redrawWatchers = new Set<(redrawn: Redrawn[]) => void>();
  private readonly poses: Latest<
    number,
    { revision: number; frame: Frame; joints: Joint[]; redrawn: Redrawn[] }
  >;
  private frame: Frame | null = null;
  private joints: Joint[] = [];
  private redrawn: Redrawn[] = [];
  /** An edit a hand is in the middle of, and the character as it would leave it where that is known here. */
  private draft: { edit: Edit; after: Shown | null } | null = null;
  /** What the server is about to answer with, where that is known here; else what it answered last. */
  private ahead: Shown | null;
  private standing: Shown | null;
  private line: LineView | null = null;
  private readonly held = new HeldDials();
  /** How often something small was begun: the newest goes on, the others end. */
  private once = 0;
  private stopped = false;

  /** @param rules null where they are not there, or not yet */
  constructor(
    private readonly frameRate: number,
    readonly id: string,
    readonly revision: number,
    private readonly rules: OpenCharacter | null,
    private readonly failed: (e: unknown) => void,
  ) {
    this.standing = rules && { character: rules, line: null };
    this.ahead = this.standing;
    this.poses = new Latest(
      async (_stamp: number) => {
        const draft = this.draft?.edit;
        const joints = this.jointWatchers.size > 0;
        return api.pose(this.id, { ...this.moment(), revision: this.revision, draft, joints });
      },
      ({ frame, joints, redrawn }) => {
        if (this.stopped) return;
        this.redraw(redrawn);
        this.put(frame);
        this.tellJoints(joints);
      },
      // what a hand is in the middle of may be refused on the way; letting go says so
      (e) => (this.draft && e instanceof Refusal && e.status === 422 ? undefined : this.failed(e)),
    );
  }

  /**
   * Puts a line on the stage, or another state of it.
   *
   * @param open the same, as it is played; null without rules
   */
  speaks(line: LineView | null, open: OpenLine | null): void {
    this.line = line;
    if (this.standing) {
      const before = this.standing;
      this.standing = { character: before.character, line: open };
      this.ahead =
        !this.ahead || this.ahead === before
          ? this.standing
          : { character: this.ahead.character, line: open && open.with(this.ahead.character) };
    }
    this.refresh();
  }

  watch(watcher: Watcher): () => void {
    this.watchers.add(watcher);
    if (this.frame) watcher(this.frame);
    return () => this.watchers.delete(watcher);
  }

  /** Told of every pivot whenever the pose changes. */
  watchJoints(watcher: JointWatcher): () => void {
    this.jointWatchers.add(watcher);
    if (this.joints.length > 0) watcher(this.joints);
    this.refresh();
    return () => this.jointWatchers.delete(watcher);
  }

  /** Told of the drawings a draft changes, and of none when it is let go of. */
  watchRedrawn(watcher: (redrawn: Redrawn[]) => void): () => void {
    this.redrawWatchers.add(watcher);
    return () => this.redrawWatchers.delete(watcher);
  }

  /** Shows what an edit would do, until it is made or let go of with null. */
  drafting(edit: Edit | null): void {
    if (!edit) this.draft = null;
    else if (this.known(edit)) {
      const after = this.tried(this.ahead!, edit);
      // what would be refused leaves the last picture; letting go says why
      if (!after) return;
      this.draft = { edit, after };
    } else this.draft = { edit, after: null };
    if (this.rules) this.redraw(this.current()?.character.redrawnSince(this.rules) ?? []);
    this.refresh();
  }

  /**
   * Shows steps that are on their way to the server as if they were made already, as far as they can be tried out here; of one that
   * cannot, and of those behind it, only the server's answer shows.
   */
  expect(steps: Step[]): void {
    if (!this.rules || !this.standing) return;
    let ahead = this.standing;
    for (const step of steps) {
      const after =
        'state' in step
          ? { character: step.state, line: ahead.line?.with(step.state) ?? null }
          : this.known(step.edit)
            ? this.tried(ahead, step.edit)
            : null;
      if (!after) break;
      ahead = after;
    }
    this.ahead = ahead;
    this.redraw(this.current()?.character.redrawnSince(this.rules) ?? []);
    this.refresh();
  }

  private tried(before: Shown, edit: Edit): Shown | null {
    const character = before.character.draft(edit).after();
    return character && { character, line: before.line?.with(character) ?? null };
  }

  /** What is posed now; null where only the server knows. */
  private current(): Shown | null {
    return this.draft ? this.draft.after : this.ahead;
  }

  /** Whether the page's rules can try an edit out, and what it is recorded from. */
  private known(edit: Edit): boolean {
    const inner = 'pose' in edit && 'kind' in (edit.pose as object) ? (edit.pose as Edit) : null;
    return this.rules !== null && this.rules.drafts(edit.kind) && (!inner || this.rules.drafts(inner.kind));
  }

  /** The drawing a part shows at this moment; null for none. */
  shownOf(part: string): string | null {
    return this.frame?.placed.find((p) => p.part === part)?.drawing ?? null;
  }

  stop(): void {
    this.stopped = true;
    this.poses.drop();
  }

  pose(): PoseBody {
    const { dials, picks, pins, looks } = useDesk.getState();
    return { dials, picks, pins, looks };
  }

  moment() {
    const { frame } = useDesk.getState();
    return this.line ? { pose: this.pose(), line: this.line.id, frame } : { pose: this.pose() };
  }

  /** Whether a hand is on a dial. */
  get grabbed(): boolean {
    return this.held.any;
  }

  /** A hand is on some dials: their drawings do not flicker when it trembles. */
  grab(...dials: string[]): void {
    this.held.grab(dials);
    this.refresh();
  }

  /** The hand is off. */
  release(): void {
    this.held.release();
    this.refresh();
  }

  /** The desk changed: show what it asks for. */
  refresh(): void {
    if (this.stopped || useDesk.getState().playing) return;
    this.show(useDesk.getState().frame);
  }

  /** The line at a frame while it plays. */
  playAt(frame: number): void {
    if (this.line && !this.stopped) this.show(frame);
  }

  private show(at: number): void {
    const now = this.current();
    if (!now) {
      this.poses.ask(performance.now());
      return;
    }
    const { character } = now;
    const line = acts(useDesk.getState().bench) ? now.line : (now.line?.plain() ?? null);
    const pose = this.held.steadied(this.pose(), character);
    this.put(line ? line.frame(at, pose) : character.frame(pose));
    if (this.jointWatchers.size > 0) this.tellJoints(line ? line.joints(at, pose) : character.joints(pose));
  }

  private put(frame: Frame): void {
    if (this.stopped) return;
    this.frame = frame;
    for (const w of this.watchers) w(frame);
  }

  private tellJoints(joints: Joint[]): void {
    if (this.jointWatchers.size === 0) return;
    this.joints = joints;
    for (const w of this.jointWatchers) w(joints);
  }

  private redraw(redrawn: Redrawn[]): void {
    if (redrawn.length === 0 && this.redrawn.length === 0) return;
    this.redrawn = redrawn;
    for (const w of this.redrawWatchers) w(redrawn);
  }

  /** Why a part looks as it does now. */
  async why(part: string): Promise<Reason[]> {
    const { frame } = useDesk.getState();
    const now = this.current();
    const line = acts(useDesk.getState().bench) ? now?.line : now?.line?.plain();
    if (line) return line.why(frame, part, this.pose());
    if (now) return now.character.why(part, this.pose());
    return (await api.why(this.id, this.moment(), part)).reasons;
  }

  /** What the character looks like in each of some poses, without a line. */
  async framesOf(poses: PoseBody[]): Promise<Frame[]> {
    if (this.rules) return poses.map((pose) => this.rules!.frame(pose));
    const frames: Frame[] = [];
    for (const pose of poses) frames.push((await api.pose(this.id, { pose, revision: this.revision })).frame);
    return frames;
  }

  /** Plays a cue over the pose on the stage. */
  playCue(cue: string): void {
    const frames = this.needed().cue(cue, this.pose());
    this.playOnce(frames.length, (f) => frames[f]!);
  }

  /** Plays a dial there and back over the pose on the stage. */
  playDial(dial: string, frames: number, exposure: number, eased: boolean): void {
    const all = this.needed().play(dial, this.pose(), frames, exposure, eased);
    this.playOnce(all.length, (f) => all[f]!);
  }

  /**
   * Words the face says that are no line of its own.
   *
   * @param clock seconds since it began; a sound's own while one is heard
   * @returns shows one of its frames
   */
  say(shot: Shot, frames: number, clock?: () => number): (frame: number) => void {
    const line = this.needed().line(shot);
    const pose = this.pose();
    this.playOnce(frames, (f) => line.frame(f, pose), clock);
    return (f) => {
      this.once++;
      this.put(line.frame(f, pose));
    };
  }

  private needed(): OpenCharacter {
    if (!this.rules)
      throw new Error('The page has not loaded its rules, so it cannot play this. Reload the page.');
    return this.rules;
  }

  /** Shows the frames of something small once, at the character's own rate, and then what the desk asks for again. */
  private playOnce(count: number, frameAt: (f: number) => Frame, clock?: () => number): void {
    const begun = performance.now();
    const turn = ++this.once;
    const step = () => {
      const seconds = clock ? clock() : (performance.now() - begun) / 1000;
      const f = Math.floor(seconds * this.frameRate);
      if (this.stopped || turn !== this.once) return;
      if (f >= count) return this.refresh();
      this.put(frameAt(f));
      requestAnimationFrame(step);
    };
    step();
  }
}
