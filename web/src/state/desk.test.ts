import { beforeEach, describe, expect, it } from 'vitest';
import { useDesk } from './desk';
import { fromHash, toHash, wentOn } from './address';

describe('the desk in the address', () => {
  beforeEach(() =>
    useDesk.setState({ dials: {}, picks: {}, pins: {}, looks: {}, line: null, frame: 0, part: null }),
  );

  it('comes back as it was', () => {
    const desk = useDesk.getState();
    desk.open('maren');
    desk.go('parts');
    desk.turn('turn', -30.5);
    desk.pin('cap', 'nothing');
    desk.pick('mouth', 'ah');
    desk.look('look-anger', 0.5);
    desk.select('nose');
    const back = fromHash(toHash(useDesk.getState()));
    expect(back).toMatchObject({
      character: 'maren',
      bench: 'parts',
      dials: { turn: -30.5 },
      pins: { cap: 'nothing' },
      picks: { mouth: 'ah' },
      looks: { 'look-anger': 0.5 },
      part: 'nose',
    });
  });
  it('drops nonsense instead of failing', () => {
    expect(fromHash('#b=kitchen&d.turn=left&f=-3')).toMatchObject({ bench: 'lines', dials: {}, frame: 0 });
  });
  it('turns several dials in one step, and takes a look of no strength out', () => {
    let steps = 0;
    const stop = useDesk.subscribe(() => steps++);
    useDesk.getState().turnAll({ across: 0.5, down: -0.25 });
    stop();
    expect(steps).toBe(1);
    expect(useDesk.getState().dials).toEqual({ across: 0.5, down: -0.25 });
    useDesk.getState().look('sly', 0.7);
    useDesk.getState().look('sly', 0);
    expect(useDesk.getState().looks).toEqual({});
    useDesk.getState().look('sly', 1);
    useDesk.getState().rest();
    expect(useDesk.getState()).toMatchObject({ dials: {}, looks: {} });
  });
  it('lets a pin go', () => {
    useDesk.getState().pin('cap', 'nothing');
    useDesk.getState().pin('cap', null);
    expect(useDesk.getState().pins).toEqual({});
  });

  it('names the page of all characters, which an address that names nothing is too', () => {
    useDesk.getState().open('maren');
    useDesk.getState().goHome();
    expect(fromHash(toHash(useDesk.getState()))).toMatchObject({ home: true, character: 'maren' });
    expect(fromHash('')).toMatchObject({ home: true, character: null });
    expect(fromHash('#b=eyes')).toMatchObject({ home: false, bench: 'eyes' });
    useDesk.getState().open('wick');
    expect(useDesk.getState().home).toBe(false);
  });

  it('knows what the browser goes back from', () => {
    const at = (home: boolean, character: string | null, bench: 'lines' | 'eyes', line: string | null) => ({
      home,
      character,
      bench,
      line,
    });
    const here = at(false, 'a', 'lines', 'one');
    expect(wentOn(here, at(false, 'a', 'eyes', 'one'))).toBe(true);
    expect(wentOn(here, at(false, 'b', 'lines', null))).toBe(true);
    expect(wentOn(here, at(false, 'a', 'lines', 'two'))).toBe(true);
    expect(wentOn(here, at(true, 'a', 'lines', 'one'))).toBe(true);
    // what comes by itself
    expect(wentOn(at(false, 'a', 'lines', null), here)).toBe(false);
    expect(wentOn(at(false, null, 'lines', null), at(false, 'a', 'lines', null))).toBe(false);
    expect(wentOn(at(true, 'a', 'lines', null), at(true, null, 'lines', null))).toBe(false);
    // a character without lines has benches to go back through as well
    expect(wentOn(at(false, 'a', 'lines', null), at(false, 'a', 'eyes', null))).toBe(true);
  });
});
