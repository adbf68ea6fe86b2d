// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Wire } from '../../api/wire';
import { listenAtDoor } from './door';
import { told } from './gamepad';
import { loudness } from './voice';
import { keepNeutral, neutralOf } from './neutral';
import type { Listener } from './source';

const listener = () => ({
  comes: vi.fn(),
  tells: vi.fn(),
  loses: vi.fn(),
  leaves: vi.fn(),
  troubles: vi.fn(),
  roundTrip: vi.fn(),
});

describe('the door to a performer', () => {
  beforeEach(() => {
    Wire.open = [];
    vi.stubGlobal('WebSocket', Wire);
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('passes on what it hears, and measures the way', () => {
    const to = listener();
    listenAtDoor('7', to satisfies Listener);
    const wire = Wire.open[0]!;
    expect(wire.url).toMatch(/^ws:.*\/api\/v1\/performers\/7\/page$/);
    wire.onopen!();
    wire.says({ kind: 'performer', name: 'Tracker', latency: 38 });
    wire.says({ kind: 'signals', at: 1, signals: { au12: 0.5 } });
    wire.says({ kind: 'lost', reason: 'two faces' });
    wire.says({ kind: 'problem', message: 'The performer floods.' });
    wire.says({ kind: 'gone', reason: '' });
    expect(to.comes).toHaveBeenCalledWith('Tracker', 38);
    expect(to.tells).toHaveBeenCalledWith({ au12: 0.5 });
    expect(to.loses).toHaveBeenCalledWith('two faces');
    expect(to.troubles).toHaveBeenCalledWith('The performer floods.');
    expect(to.leaves).toHaveBeenCalledWith('');
    const ping = JSON.parse(wire.sent[0]!) as { kind: string; at: number };
    vi.advanceTimersByTime(12);
    wire.says({ kind: 'pong', at: ping.at });
    expect(to.roundTrip.mock.calls[0]![0]).toBeCloseTo(12, 0);
  });

  it('goes on trying when the server is away, until it is closed', () => {
    const to = listener();
    const door = listenAtDoor('7', to);
    Wire.open[0]!.onclose!();
    expect(to.leaves).toHaveBeenCalledWith('the server does not answer');
    vi.advanceTimersByTime(1500);
    expect(Wire.open).toHaveLength(2);
    door.close();
    vi.advanceTimersByTime(5000);
    expect(Wire.open).toHaveLength(2);
    expect(to.leaves).toHaveBeenCalledTimes(1);
  });
});

describe('a gamepad', () => {
  const button = (value: number) => ({ value, pressed: value > 0.5, touched: false });

  it('is still when its sticks are nearly in their middle, and goes as far as they go', () => {
    const at = (axes: number[]) => told({ axes, buttons: [] });
    expect(at([0.05, -0.07, 0, 0])['stick.left.across']).toBe(0);
    expect(at([0.05, -0.07, 0, 0])['stick.left.down']).toBe(0);
    expect(at([1, -1, 0.54, 0])['stick.left.across']).toBe(1);
    expect(at([1, -1, 0.54, 0])['stick.left.down']).toBe(-1);
    expect(at([1, -1, 0.54, 0])['stick.right.across']).toBeCloseTo(0.5, 6);
  });

  it('tells its triggers and buttons by the places of the standard layout', () => {
    const buttons = [1, 0, 0, 0, 0, 0, 0.25, 0.75].map(button);
    expect(told({ axes: [], buttons })).toMatchObject({
      'button.1': 1,
      'button.2': 0,
      'trigger.left': 0.25,
      'trigger.right': 0.75,
    });
  });
});

describe('how loud it is', () => {
  const sine = (peak: number) => Float32Array.from({ length: 4800 }, (_, i) => peak * Math.sin(i / 7));

  it('goes from silence to full scale by decibels', () => {
    expect(loudness(new Float32Array(480))).toBe(0);
    expect(loudness(sine(0.0001))).toBe(0);
    // a sine of full scale is 3 dB under it, one of a tenth 23 dB: by the definition of the decibel
    expect(loudness(sine(1))).toBeCloseTo(1 - 3.01 / 60, 2);
    expect(loudness(sine(0.1))).toBeCloseTo(1 - 23.01 / 60, 2);
  });
});

describe('a neutral pose', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    vi.stubGlobal('localStorage', {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => void kept.set(k, v),
    });
  });
  afterEach(() => vi.unstubAllGlobals());

  it('is kept for each performer, and one that was spoilt is none', () => {
    keepNeutral('camera Me', { at: '2026-11-30T10:00:00Z', told: { au1: 0.2 } });
    expect(neutralOf('camera Me')?.told).toEqual({ au1: 0.2 });
    expect(neutralOf('tracker T')).toBeNull();
    kept.set('leeward-neutral tracker T', '{"at":3');
    expect(neutralOf('tracker T')).toBeNull();
    kept.set('leeward-neutral tracker T', '{"at":3,"told":null}');
    expect(neutralOf('tracker T')).toBeNull();
  });
});
