import { describe, expect, it } from 'vitest';
import { keyFor, restored, useRoom } from './room';

describe('the arrangement of panels', () => {
  it('is remembered for each width of window', () => {
    expect([640, 1023, 1024, 1279, 1280, 1440, 1919, 1920, 3000].map(keyFor)).toEqual([
      'room.0',
      'room.0',
      'room.1024',
      'room.1024',
      'room.1280',
      'room.1440',
      'room.1440',
      'room.1920',
      'room.2560',
    ]);
  });

  it('reads what was kept and drops what is no panel or no size', () => {
    expect(
      restored('{"size":{"bench":400,"shelf":3,"attic":90,"strip":"x"},"folded":["rail","attic"]}'),
    ).toEqual({
      size: { bench: 400 },
      folded: ['rail'],
      alone: false,
    });
    for (const broken of [null, '', '{', '7', 'null', '{"size":5,"folded":"rail"}'])
      expect(restored(broken)).toEqual({ size: {}, folded: [], alone: false });
  });

  it('keeps a panel as large as it must be, and forgets a size on request', () => {
    const room = useRoom.getState();
    room.resize('bench', 20.4);
    expect(useRoom.getState().size.bench).toBe(260);
    room.resize('bench', 411.6);
    expect(useRoom.getState().size.bench).toBe(412);
    room.resize('bench', undefined);
    expect(useRoom.getState().size).toEqual({});
  });

  it('folds and brings back, and stands alone without forgetting what was folded', () => {
    const room = useRoom.getState();
    room.fold('shelf', true);
    room.fold('shelf', true);
    room.standAlone(true);
    expect(useRoom.getState()).toMatchObject({ folded: ['shelf'], alone: true });
    room.standAlone(false);
    room.fold('shelf', false);
    expect(useRoom.getState()).toMatchObject({ folded: [], alone: false });
  });
});
