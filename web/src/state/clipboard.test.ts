import { describe, expect, it } from 'vitest';
import type { Character } from '../api/client';
import { copiedHere, pasted, unusedName } from './clipboard';
import { useDesk } from './desk';

const rest = { x: 3, y: 4, rotation: 0, scaleX: 1, scaleY: 1, skewX: 0, opacity: 1 };
const character = {
  rig: {
    parts: [
      { id: 'nose', name: 'nose', rest, drawings: [{ id: 'n', name: 'Front' }] },
      { id: 'ear', name: 'ear', rest: { ...rest, x: 9 }, drawings: [{ id: 'e', name: 'Front' }] },
    ],
  },
  controls: {
    dials: [{ id: 'turn', name: 'Turn', from: -45, to: 45, rest: 0, stops: [{ at: 0 }, { at: 30 }] }],
  },
  library: { looks: [{ id: 'sly', name: 'Sly', collection: 'Own', dials: { turn: 5 }, drawings: {} }] },
} as unknown as Character;
const desk = (more: object) => ({ ...useDesk.getState(), bench: 'parts' as const, ...more });

describe('what is copied', () => {
  it('is what has the focus, the stop a dial stands on, or the placement of the chosen part', () => {
    expect(copiedHere('a', character, desk({ part: 'nose' }), 'drawing:ear/e')).toMatchObject({
      part: 'ear',
    });
    expect(copiedHere('a', character, desk({}), 'look:sly')).toMatchObject({ kind: 'look', of: 'Sly' });
    expect(copiedHere('a', character, desk({}), 'look:gone')).toBeNull();
    const turned = { bench: 'turn', dial: 'turn', part: 'nose' };
    expect(copiedHere('a', character, desk({ ...turned, dials: { turn: 30 } }), null)).toMatchObject({
      kind: 'stop',
      at: 30,
    });
    // where no stop is, and at rest, the chosen part is meant
    for (const turn of [0, 12])
      expect(copiedHere('a', character, desk({ ...turned, dials: { turn } }), null)).toMatchObject({ rest });
    expect(copiedHere('a', character, desk({ part: 'nose', bench: 'shot' }), null)).toBeNull();
  });
});

describe('what is pasted', () => {
  it('goes onto the chosen part', () => {
    const placement = { kind: 'placement', of: 'nose', rest } as const;
    expect(pasted(placement, 'a', character, desk({ part: 'ear' })).edit).toEqual({
      kind: 'place',
      part: 'ear',
      rest,
    });
    expect(pasted(placement, 'a', character, desk({ part: null })).why).toContain('Choose the part');
    const drawing = { kind: 'drawing', of: 'Front', character: 'a', part: 'nose', drawing: 'n' } as const;
    expect(pasted(drawing, 'a', character, desk({ part: 'ear' })).edit).toMatchObject({
      onto: 'ear',
      name: 'Front 2',
    });
    expect(pasted(drawing, 'b', character, desk({ part: 'ear' })).why).toContain('Take from');
  });

  it('goes to another value of its dial', () => {
    const stop = { kind: 'stop', of: 'Turn', character: 'a', dial: 'turn', at: 30 } as const;
    const at = (turn: number, dial: string | null = 'turn') =>
      pasted(stop, 'a', character, desk({ bench: 'turn', dial, dials: { turn } }));
    expect(at(-20).edit).toEqual({ kind: 'copy-stop', dial: 'turn', at: 30, to: -20 });
    expect(at(0).why).toContain('where the copy belongs');
    expect(at(30).why).toContain('where the copy belongs');
    expect(at(-20, null).why).toContain('open that dial');
  });

  it('makes another look here, and takes it over to another character', () => {
    const look = { kind: 'look', of: 'Sly', character: 'a', look: 'sly' } as const;
    expect(pasted(look, 'a', character, desk({})).edit).toMatchObject({ name: 'Sly 2', keep: ['turn'] });
    expect(pasted(look, 'b', character, desk({})).keys).toEqual(['a', ['look/sly']]);
  });

  it('never has a name that is taken', () => {
    expect(unusedName('Sly', ['Sly'])).toBe('Sly 2');
    expect(unusedName('Sly 2', ['Sly', 'Sly 2', 'Sly 3'])).toBe('Sly 4');
  });
});
