import type {
  Character,
  ChoicesView,
  Dial,
  Edit,
  Frame,
  FrameSeries,
  Joint,
  LineView,
  PadFrames,
  PoseBody,
  Redrawn,
} from '../api/client';
import { api, Refusal } from '../api/client';
import { frameOf, sampleOn, steadied } from '../stage/series';
import { useDesk } from './desk';
import { Latest } from './loader';

type Watcher = (frame: Frame) => void;
type JointWatcher = (joints: Joint[]) => void;

const AHEAD = 36;
/** Steps of a pad each way that are fetched ahead. */
const GRID = 33;

/** One dial of a pad under a hand, and where it counts as standing; null when the hand has just come. */
type OnPad = { dial: Dial; way: PadFrames['across']; last: number | null };

/** The step of the pad's frames at which a dial counts as standing now. */
function stepOn(on: OnPad): number {
  const value = useDesk.getState().dials[on.dial.id] ?? on.dial.rest;
  on.last = steadied(on.way.edges, on.way.hysteresis, on.last, value);
  return sampleOn(on.way.at, on.way.edges, on.last);
}

/**
 * Decides which frame is on the stage. It never computes one: it asks for poses, for a sweep while a dial is dragged,
 * and for chunks of a line ahead of the play head.
 */
export class Director {
  private readonly watchers = new Set<Watcher>();
  private frame: Frame | null = null;
  private sweep: { dial: string; series: FrameSeries; last: number | null } | null = null;
  private pad: { across: OnPad; down: OnPad; frames: FrameSeries } | null = null;
  private choices: { part: string; over: string; view: ChoicesView } | null = null;
  private sweepAbort: AbortController | null = null;
  private readonly cache = new Map<number, Frame>();
  private poseKey = '';
  private fetching = false;
  private readonly poses: Latest<
    number,
    { revision: number; frame: Frame; joints: Joint[]; redrawn: Redrawn[] }
  >;
  private readonly jointWatchers = new Set<JointWatcher>();
  private joints: Joint[] = [];
  private draft: Edit | null = null;
  private redrawn: Redrawn[] = [];
  private readonly redrawWatchers = new Set<(redrawn: Redrawn[]) => void>();
  /** How often something small was begun: the newest goes on, the others end. */
  private once = 0;
  private stopped = false;

  constructor(
    readonly character: Character,
    readonly id: string,
    readonly revision: number,
    private line: LineView | null,
    private readonly failed: (e: unknown) => void,
  ) {
    this.poses = new Latest(
      async (_stamp: number) => {
        const draft = this.draft ?? undefined;
        const joints = this.jointWatchers.size > 0;
        return api.pose(this.id, { ...this.moment(), revision: this.revision, draft, joints });
      },
      ({ frame, joints, redrawn }) => {
        if (useDesk.getState().playing || this.stopped) return;
        if (redrawn.length > 0 || this.redrawn.length > 0) {
          this.redrawn = redrawn;
          for (const w of this.redrawWatchers) w(redrawn);
        }
        if ((!this.sweep && !this.pad) || this.draft) this.put(frame);
        if (this.jointWatchers.size > 0) {
          this.joints = joints;
          for (const w of this.jointWatchers) w(joints);
        }
      },
      // what a hand is in the middle of may be refused on the way; letting go says so
      (e) => (this.draft && e instanceof Refusal && e.status === 422 ? undefined : this.failed(e)),
    );
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

  /** Shows what an edit would do, as the server sees it, until it is made or let go of with null. */
  drafting(edit: Edit | null): void {
    this.draft = edit;
    this.refresh();
  }

  /** The drawing a part shows at this moment; null for none. */
  shownOf(part: string): string | null {
    return this.frame?.placed.find((p) => p.part === part)?.drawing ?? null;
  }

  stop(): void {
    this.stopped = true;
    this.sweepAbort?.abort();
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

  private put(frame: Frame): void {
    if (this.stopped) return;
    this.frame = frame;
    for (const w of this.watchers) w(frame);
  }

  /** The desk changed: show what it asks for. */
  refresh(): void {
    if (this.stopped || useDesk.getState().playing) return;
    if (this.sweep) {
      const value = useDesk.getState().dials[this.sweep.dial];
      if (value !== undefined) {
        const { series, last } = this.sweep;
        const at = steadied(series.edges, series.hysteresis, last, value);
        this.sweep.last = at;
        this.put(frameOf(series, sampleOn(series.at, series.edges, at), this.character.rig.order));
        if (this.jointWatchers.size === 0) return;
      }
    }
    if (this.pad) {
      const { across, down, frames } = this.pad;
      const index = stepOn(down) * across.way.at.length + stepOn(across);
      this.put(frameOf(frames, index, this.character.rig.order));
      if (this.jointWatchers.size === 0) return;
    }
    if (this.choices && !this.draft) {
      const { part, over, view } = this.choices;
      const index = view.drawings.indexOf(useDesk.getState().picks[part] ?? '');
      if (index >= 0 && this.without(part) === over)
        this.put(frameOf(view.frames, index, this.character.rig.order));
    }
    this.poses.ask(performance.now());
  }

  /** All that is asked for but the pick of one part. */
  private without(part: string): string {
    const { pose, ...moment } = this.moment();
    const picks = Object.entries(pose.picks ?? {}).filter(([id]) => id !== part);
    return JSON.stringify({ ...moment, ...pose, picks });
  }

  /** A hand is near the choices of a part: get what each of them looks like, so that stepping through needs no answer. */
  async offer(part: string): Promise<void> {
    if (useDesk.getState().playing) return;
    const over = this.without(part);
    if (this.choices?.part === part && this.choices.over === over) return;
    try {
      const view = await api.choices(this.id, this.moment(), part);
      if (!this.stopped) this.choices = { part, over, view };
    } catch (e) {
      this.failed(e);
    }
  }

  /** A hand is on a pad: get all it can reach, as for one dial. */
  async grabPad(across: Dial, down: Dial): Promise<void> {
    if (useDesk.getState().playing) return;
    this.sweepAbort?.abort();
    const abort = new AbortController();
    this.sweepAbort = abort;
    try {
      const all = await api.grid(this.id, this.moment(), across.id, down.id, GRID, abort.signal);
      if (!abort.signal.aborted) {
        this.pad = {
          frames: all.frames,
          across: { dial: across, way: all.across, last: null },
          down: { dial: down, way: all.down, last: null },
        };
        this.refresh();
      }
    } catch (e) {
      if (!abort.signal.aborted) this.failed(e);
    }
  }

  /** A hand is on a dial: get its whole range, so that moving it needs no answer each time. */
  async grab(dial: string): Promise<void> {
    if (useDesk.getState().playing) return;
    this.sweepAbort?.abort();
    const abort = new AbortController();
    this.sweepAbort = abort;
    try {
      const series = await api.sweep(this.id, this.moment(), dial, 121, abort.signal);
      if (!abort.signal.aborted) {
        this.sweep = { dial, series, last: null };
        this.refresh();
      }
    } catch (e) {
      if (!abort.signal.aborted) this.failed(e);
    }
  }

  /** The hand is off: what stays on the stage is the server's own answer for the value it was left at. */
  release(): void {
    this.sweepAbort?.abort();
    this.sweepAbort = null;
    this.sweep = null;
    this.pad = null;
    this.refresh();
  }

  /**
   * Shows the frames of something small once, at the character's own rate, and then what the desk asks for again.
   *
   * @param clock seconds since it began; a sound's own while one is heard
   */
  playOnce(series: FrameSeries, clock?: () => number): void {
    const begun = performance.now();
    const turn = ++this.once;
    const step = () => {
      const seconds = clock ? clock() : (performance.now() - begun) / 1000;
      const f = Math.floor(seconds * this.character.sheet.frameRate);
      if (this.stopped || turn !== this.once) return;
      if (f >= series.at.length) return this.refresh();
      this.put(frameOf(series, f, this.character.rig.order));
      requestAnimationFrame(step);
    };
    step();
  }

  /** Shows one frame that no pose asks for, until the desk asks for another. */
  showFrame(frame: Frame): void {
    this.put(frame);
  }

  /** The line at a frame while it plays; what is not there yet is fetched, and the last picture stays meanwhile. */
  playAt(frame: number): void {
    if (!this.line) return;
    const key = JSON.stringify(this.pose());
    if (key !== this.poseKey) {
      this.poseKey = key;
      this.cache.clear();
    }
    const there = this.cache.get(frame);
    if (there) this.put(there);
    const needed = there ? this.firstMissing(frame) : frame;
    // one at a time: while a dial is dragged the newest pose goes next, instead of a queue of old ones
    if (!this.fetching && needed < this.line.frames && needed - frame < AHEAD / 2) {
      this.fetching = true;
      void this.fetch(needed, key).finally(() => (this.fetching = false));
    }
  }

  private firstMissing(from: number): number {
    let f = from;
    while (this.cache.has(f)) f++;
    return f;
  }

  private async fetch(from: number, key: string): Promise<void> {
    try {
      const series = await api.lineFrames(this.line!.id, JSON.parse(key), from, from + AHEAD);
      if (key !== this.poseKey || this.stopped) return;
      series.at.forEach((f, i) => this.cache.set(f, frameOf(series, i, this.character.rig.order)));
      const now = useDesk.getState();
      const frame = this.cache.get(now.frame);
      if (now.playing && frame) this.put(frame);
    } catch (e) {
      this.failed(e);
    }
  }
}
