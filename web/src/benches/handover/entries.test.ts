import { describe, expect, it } from 'vitest';
import type { Character, Finding, ShotFinding } from '../../api/client';
import { around, entriesOf } from './entries';

const character = {
  voice: { mouths: { part: 'mouth' } },
  rig: { parts: [{ id: 'mouth', drawings: [{ id: 'ah', name: 'Ah, wide' }] }] },
} as unknown as Character;

const finding = (more: Partial<Finding>): Finding => ({
  check: 'sweep',
  code: 'leaves-canvas',
  harm: 'MOVES',
  subject: { part: '', drawing: '', dial: 'lift' },
  measure: { value: 0.25, unit: 'SHARE' },
  at: { lift: 1 },
  where: [],
  message: 'A quarter is gone.',
  mends: [],
  ...more,
});

const popped: ShotFinding = {
  code: 'pops',
  harm: 'MOVES',
  subject: { part: '', drawing: '', dial: 'gaze' },
  measure: { value: 0.7, unit: 'SHARE' },
  from: 49,
  to: 51,
  frame: 50,
  message: 'The eyes pop.',
  mends: [],
};

describe('entriesOf', () => {
  it('puts what anyone sees before what nobody sees yet, the rig before the shot', () => {
    const all = entriesOf(
      [
        finding({ check: 'unused', code: 'never-shown', harm: 'UNTIDY' }),
        finding({}),
        finding({ check: 'eyes', code: 'white-shows', harm: 'BREAKS' }),
      ],
      [popped],
      character,
      'Boat',
    );
    expect(all.map((e) => e.title)).toEqual([
      'A shut eye shows white',
      'Leaves the canvas',
      'Pops',
      'Drawn, never shown',
    ]);
    expect(all[2]).toMatchObject({ bench: 'shot', place: 'Boat, frames 50 to 51', frame: 50 });
  });

  it('goes to the bench where it is worked at, and shows the drawing it is about', () => {
    const [mouth, nose] = entriesOf(
      [
        finding({
          check: 'unused',
          code: 'never-shown',
          subject: { part: 'mouth', drawing: 'ah', dial: '' },
        }),
        finding({ check: 'unused', code: 'never-shown', subject: { part: 'nose', drawing: '', dial: '' } }),
      ],
      [],
      character,
      '',
    );
    expect(mouth).toMatchObject({
      bench: 'mouths',
      place: 'Mouths, “Ah, wide”',
      pose: { picks: { mouth: 'ah' } },
    });
    expect(nose).toMatchObject({ bench: 'parts', pose: { picks: {} } });
  });

  it('accepts with what was measured, on the rig or on the shot', () => {
    const [rig, shot] = entriesOf([finding({})], [popped], character, 'Boat');
    expect(rig!.accept('she waves')).toEqual({
      edit: {
        kind: 'accept-finding',
        finding: {
          check: 'sweep',
          code: 'leaves-canvas',
          part: '',
          drawing: '',
          dial: 'lift',
          measure: 0.25,
          reason: 'she waves',
        },
      },
    });
    expect(shot!.accept('startled').shot).toMatchObject({ kind: 'accept-shot-finding' });
    expect(shot!.reopen().shot).toMatchObject({ kind: 'reopen-shot-finding' });
  });
});

describe('around', () => {
  it('shows a faulty place with air about it, and never nearer than asked', () => {
    const square = [
      [10, 20],
      [30, 40],
    ];
    expect(around([square], 10)).toEqual({
      crop: { x: -2, y: 8, w: 44, h: 44 },
      ring: { x: 10, y: 20, w: 20, h: 20 },
    });
    expect(around([square], 100)?.crop).toEqual({ x: -30, y: -20, w: 100, h: 100 });
    expect(around([], 10)).toBeNull();
  });
});
