import { describe, expect, it } from 'vitest';
import type { Dial, Edit } from '../api/client';
import { recorded, recordingAt } from './recording';

const dial = (id: string) => ({ id, name: id, from: -60, to: 60, rest: 0 }) as unknown as Dial;
const dials = [dial('turn'), dial('nod')];
const nudge: Edit = { kind: 'nudge', part: 'nose', dx: 1, dy: 0 };
const desk = { recording: true, dial: 'turn', together: null, dials: { turn: 30.00049, nod: 10 } };

describe('recording', () => {
  it('puts what is posed into the stop where the dial stands', () => {
    expect(recorded(nudge, dials, desk)).toEqual({ kind: 'record', dial: 'turn', at: 30, pose: nudge });
    expect(recordingAt({ ...desk, dials: { turn: 900 } }, dials)?.at).toBe(60);
  });

  it('makes it a correction for two dials when asked to, but never of a drawing', () => {
    const both = { ...desk, together: 'nod' };
    expect(recorded(nudge, dials, both)).toEqual({
      kind: 'record-corner',
      a: 'turn',
      atA: 30,
      b: 'nod',
      atB: 10,
      pose: nudge,
    });
    const show: Edit = { kind: 'show', part: 'cap', drawing: 'nothing' };
    expect(recorded(show, dials, both).kind).toBe('record');
  });

  it('records where a part lies, never as a correction', () => {
    const stack: Edit = { kind: 'stack', parts: ['nose'], above: 'mouth' };
    const at = { kind: 'record', dial: 'turn', at: 30, pose: stack };
    expect(recorded(stack, dials, desk)).toEqual(at);
    expect(recorded(stack, dials, { ...desk, together: 'nod' })).toEqual(at);
    expect(recorded(stack, dials, { ...desk, recording: false })).toBe(stack);
  });

  it('leaves everything else as it is', () => {
    const rename: Edit = { kind: 'rename', name: 'A' };
    expect(recorded(rename, dials, desk)).toBe(rename);
    expect(recorded(nudge, dials, { ...desk, recording: false })).toBe(nudge);
    expect(recorded(nudge, dials, { ...desk, dial: 'gone' })).toBe(nudge);
  });
});
