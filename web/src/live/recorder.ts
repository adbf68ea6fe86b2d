import type { LiveTake } from 'page-core';
import { useDesk } from '../state/desk';
import { isArmed, trackOf } from './liveState';

/** A take in which nothing was moved. */
export const emptyTake = (from: number, to: number): LiveTake => ({
  from,
  to,
  dials: {},
  drawings: {},
  looks: {},
  cues: {},
});

/**
 * Notes what the hand, or a performer, does to armed dials, drawings and looks while a shot runs. What the hand held when it began is noted as done then: it is what
 * one sees.
 */
export class LiveRecorder {
  private readonly dials: LiveTake['dials'] = {};
  private readonly drawings: LiveTake['drawings'] = {};
  private readonly looks: LiveTake['looks'] = {};
  private readonly cues: NonNullable<LiveTake['cues']> = {};
  private readonly leave: () => void;

  /**
   * @param from the first frame that is written
   * @param to the one behind the last
   * @param now how many frames into the shot one is, with what lies between two of them
   * @param mouth the part that speaks: its drawings come from the line
   */
  constructor(
    private readonly from: number,
    private readonly to: number,
    private readonly now: () => number,
    private readonly mouth: string | null,
  ) {
    const { dials, picks, pins, looks } = useDesk.getState();
    this.moved({}, dials, from);
    this.mixed({}, looks, from);
    this.drawn({}, { ...picks, ...pins }, from);
    this.leave = useDesk.subscribe((is, was) => {
      if (is.dials !== was.dials) this.moved(was.dials, is.dials, this.now());
      if (is.looks !== was.looks) this.mixed(was.looks, is.looks, this.now());
      if (is.picks !== was.picks || is.pins !== was.pins)
        this.drawn({ ...was.picks, ...was.pins }, { ...is.picks, ...is.pins }, this.now());
    });
  }

  private moved(was: Record<string, number>, is: Record<string, number>, frame: number) {
    for (const [dial, value] of Object.entries(is))
      if (was[dial] !== value && Number.isFinite(value) && isArmed(trackOf('dial', dial)))
        (this.dials[dial] ??= []).push({ frame, value });
  }

  private mixed(was: Record<string, number>, is: Record<string, number>, frame: number) {
    for (const look of new Set([...Object.keys(was), ...Object.keys(is)]))
      if (was[look] !== is[look] && isArmed(trackOf('look', look)))
        (this.looks[look] ??= []).push({ frame, value: is[look] ?? 0 });
  }

  private drawn(was: Record<string, string>, is: Record<string, string>, frame: number) {
    for (const part of new Set([...Object.keys(was), ...Object.keys(is)]))
      if (was[part] !== is[part] && part !== this.mouth && isArmed(trackOf('drawings', part)))
        (this.drawings[part] ??= []).push({ frame, drawing: is[part] ?? '' });
  }

  /** A cue is set going. False when nothing of it is to be written. */
  cued(cue: string): boolean {
    if (!isArmed(trackOf('cue', cue))) return false;
    (this.cues[cue] ??= []).push(this.now());
    return true;
  }

  /** The cues alone, which are seen only once they are in the shot. */
  cuesOnly(): LiveTake {
    return { ...emptyTake(this.from, this.to), cues: this.cues };
  }

  /** What was done until now; null while nothing was. */
  take(): LiveTake | null {
    const { from, to, dials, drawings, looks, cues } = this;
    const done = [dials, drawings, looks, cues].some((all) => Object.keys(all).length > 0);
    return done ? { from, to, dials, drawings, looks, cues } : null;
  }

  /** @param last the first frame that is not written any more, when it was stopped before its end */
  end(last: number): LiveTake | null {
    this.leave();
    const take = this.take();
    return take && { ...take, to: Math.max(take.from + 1, Math.min(take.to, Math.ceil(last))) };
  }
}
