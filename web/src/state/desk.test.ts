import { beforeEach, describe, expect, it } from 'vitest';
import { fromHash, toHash, useDesk } from './desk';

describe('the desk in the address', () => {
  beforeEach(() => useDesk.setState({ dials: {}, picks: {}, pins: {}, line: null, frame: 0, part: null }));

  it('comes back as it was', () => {
    const desk = useDesk.getState();
    desk.open('maren');
    desk.go('parts');
    desk.turn('turn', -30.5);
    desk.pin('cap', 'nothing');
    desk.pick('mouth', 'ah');
    desk.select('nose');
    const back = fromHash(toHash(useDesk.getState()));
    expect(back).toMatchObject({
      character: 'maren',
      bench: 'parts',
      dials: { turn: -30.5 },
      pins: { cap: 'nothing' },
      picks: { mouth: 'ah' },
      part: 'nose',
    });
  });
  it('drops nonsense instead of failing', () => {
    expect(fromHash('#b=kitchen&d.turn=left&f=-3')).toMatchObject({ bench: 'lines', dials: {}, frame: 0 });
  });
  it('lets a pin go', () => {
    useDesk.getState().pin('cap', 'nothing');
    useDesk.getState().pin('cap', null);
    expect(useDesk.getState().pins).toEqual({});
  });
});
