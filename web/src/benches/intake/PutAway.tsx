import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Archive, ArchiveRestore } from 'lucide-react';
import { api } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { asMessage } from '../../state/messages';

/** The one that was put away last in this window: it is shown where it can be brought back, whoever is open then. */
let lately = '';

/** The open character out of the list, and those that are out of it back again. */
export function PutAway() {
  const { view, tell } = useStudio();
  const queries = useQueryClient();
  const away = useQuery({ queryKey: ['characters', 'away'], queryFn: api.charactersAway });
  const there = useQuery({ queryKey: ['characters'], queryFn: api.characters });
  const move = async (work: Promise<unknown>, next: string | undefined) => {
    try {
      await work;
      await queries.invalidateQueries({ queryKey: ['characters'] });
      if (next) {
        useDesk.getState().open(next);
        useDesk.getState().go('intake');
      }
    } catch (e) {
      tell(asMessage(e));
    }
  };
  const putAway = () => {
    lately = view.id;
    void move(api.putAway(view.id), there.data?.items.find((c) => c.id !== view.id)?.id);
  };
  return (
    <section aria-label="Archive" className="mt-4 pb-3 text-[13px]">
      <button className="btn" onClick={putAway}>
        <Archive size={14} aria-hidden /> Archive {view.character.name}
      </button>
      {(away.data?.items.length ?? 0) > 0 && (
        <details className="mt-2" open={away.data?.items.some((c) => c.id === lately)}>
          <summary className="cursor-pointer font-display text-[15px] font-semibold">
            Archived ({away.data?.items.length})
          </summary>
          <ul className="mt-1 space-y-1">
            {away.data?.items.map((c) => (
              <li key={c.id} className="flex items-center gap-2">
                <span className="min-w-0 flex-1 truncate">{c.name}</span>
                <button
                  className="btn min-h-6 px-1.5 py-0.5"
                  aria-label={`Bring ${c.name} back`}
                  onClick={() => void move(api.bringBack(c.id), c.id)}
                >
                  <ArchiveRestore size={13} aria-hidden /> Bring back
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
