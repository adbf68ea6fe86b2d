import type { WallView } from '../../api/client';

/** How many mouths of the wall stand side by side: a single row of moods has the room to be looked at larger. */
export const columnsOf = (wall: WallView) => (wall.rows.length === 1 ? 5 : 6);
