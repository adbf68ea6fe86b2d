import type { Track } from '../api/client';

export const keyOf = (t: Track) => `${t.sort} ${t.of ?? ''}`;

export const sameTrack = (a: Track, b: Track) => a.sort === b.sort && (a.of ?? '') === (b.of ?? '');

export const MOODS: Track = { sort: 'MOODS', of: '' };

export const TIMINGS: Track = { sort: 'TIMINGS', of: '' };
