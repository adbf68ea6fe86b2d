import { describe, expect, it } from 'vitest';
import { JOBS, nextJob, restoredTour, useTour } from './tourState';

describe('the tour', () => {
  it('begins open and with nothing done, whatever was kept is broken', () => {
    for (const broken of [null, '', '{', '4', '[]', '{"done":"all"}'])
      expect(restoredTour(broken)).toEqual({ done: [], open: true, running: false });
  });

  it('keeps what was done and whether it was closed', () => {
    expect(restoredTour('{"done":["say","dance","turn"],"open":false,"running":true}')).toEqual({
      done: ['turn', 'say'],
      open: false,
      running: true,
    });
  });

  it('goes on with the first job that is left, in whatever order they are done', () => {
    const tour = useTour.getState();
    expect(nextJob(useTour.getState().done)).toBe('turn');
    tour.tick('blink');
    tour.tick('blink');
    expect(useTour.getState().done).toEqual(['blink']);
    tour.tick('turn');
    expect(nextJob(useTour.getState().done)).toBe('mouth');
    for (const job of JOBS) tour.tick(job);
    expect(nextJob(useTour.getState().done)).toBeNull();
    expect(useTour.getState().done).toEqual([...JOBS]);
    tour.again();
    expect(useTour.getState().done).toEqual([]);
  });

  it('ends beside the work when it is closed', () => {
    const tour = useTour.getState();
    tour.run(true);
    expect(useTour.getState()).toMatchObject({ running: true, open: true });
    tour.show(false);
    expect(useTour.getState()).toMatchObject({ running: false, open: false });
  });
});
