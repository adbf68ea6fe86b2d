import { queryOptions, type QueryClient } from '@tanstack/react-query';
import { api, type CharacterView } from '../api/client';
import { newest } from './newest';

/** Milliseconds for which what was asked for before the page was drawn is new enough for what draws it. */
const FRESH = 5000;

/** A character as it stands. */
export const characterQuery = (id: string) =>
  queryOptions({
    queryKey: ['character', id],
    queryFn: () => api.character(id),
    staleTime: FRESH,
    structuralSharing: (old, fresh) =>
      (old as CharacterView | undefined)?.revision === (fresh as CharacterView).revision
        ? old
        : newest(old, fresh),
  });

/** Changes whenever some drawing's artwork does. */
function signature(view: CharacterView | undefined): string {
  const hashes = new Set(view?.character.rig.parts.flatMap((p) => p.drawings.map((d) => d.art)));
  return [...hashes]
    .map((h) => h.slice(0, 8))
    .sort()
    .join('');
}

/** The artwork of all its drawings. */
export const artworkQuery = (id: string, view: CharacterView | undefined) =>
  queryOptions({
    queryKey: ['artwork', id, signature(view)],
    queryFn: () => api.artwork(id, view!.revision),
    staleTime: Infinity,
  });

export const charactersQuery = queryOptions({
  queryKey: ['characters'],
  queryFn: api.characters,
  staleTime: FRESH,
});

/** Asks for what the first picture needs while the page is still being made. */
export function askAhead(queries: QueryClient, id: string | null): void {
  void queries.prefetchQuery(charactersQuery);
  if (id === null) return;
  void queries
    .fetchQuery(characterQuery(id))
    .then((view) => queries.prefetchQuery(artworkQuery(id, view)))
    // whoever shows it says so
    .catch(() => {});
}
