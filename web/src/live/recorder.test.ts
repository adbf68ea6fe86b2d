import { beforeEach, describe, expect, it } from 'vitest';
import { useDesk } from '../state/desk';
import { arm, trackOf } from './liveState';
import { LiveRecorder } from './recorder';

describe('what a hand does while the shot runs', () => {
  let frame = 0;
  beforeEach(() => {
    useDesk.setState({ dials: {}, picks: {}, pins: {}, looks: {} });
    frame = 0;
  });

  it('is noted with its moments, and what was held before with the first', () => {
    useDesk.getState().turn('nod', 3);
    const recorder = new LiveRecorder(10, 50, () => frame, 'mouth');
    frame = 12.5;
    useDesk.getState().turnAll({ across: 0.5, down: -1 });
    useDesk.getState().seek(13);
    frame = 20;
    useDesk.getState().turn('across', 0.75);
    useDesk.getState().pick('hand', 'fist');
    useDesk.getState().pick('mouth', 'wide');
    frame = 30;
    useDesk.getState().pick('hand', null);
    useDesk.getState().look('smile', 0.5);
    frame = 31;
    useDesk.getState().look('smile', 0);
    const take = recorder.end(31.2);
    expect(take).toEqual({
      from: 10,
      to: 32,
      dials: {
        nod: [{ frame: 10, value: 3 }],
        across: [
          { frame: 12.5, value: 0.5 },
          { frame: 20, value: 0.75 },
        ],
        down: [{ frame: 12.5, value: -1 }],
      },
      drawings: {
        hand: [
          { frame: 20, drawing: 'fist' },
          { frame: 30, drawing: '' },
        ],
      },
      looks: {
        smile: [
          { frame: 30, value: 0.5 },
          { frame: 31, value: 0 },
        ],
      },
      cues: {},
    });
    useDesk.getState().turn('across', 1);
    expect(take!.dials.across).toHaveLength(2);
  });

  it('is nothing when the hand did nothing', () => {
    const recorder = new LiveRecorder(0, 50, () => 5, null);
    useDesk.getState().seek(4);
    expect(recorder.end(50)).toBeNull();
  });

  it('notes when cues are set going, unless they are not armed', () => {
    let now = 3;
    const recorder = new LiveRecorder(0, 50, () => now, null);
    expect(recorder.cued('nod')).toBe(true);
    now = 9.5;
    recorder.cued('nod');
    arm(trackOf('cue', 'sigh'), false);
    expect(recorder.cued('sigh')).toBe(false);
    arm(trackOf('cue', 'sigh'), true);
    expect(recorder.cuesOnly().cues).toEqual({ nod: [3, 9.5] });
    expect(recorder.end(20)!.cues).toEqual({ nod: [3, 9.5] });
  });
});
