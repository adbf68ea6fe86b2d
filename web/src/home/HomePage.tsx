import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Archive, FilePlus2, Search, Upload } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { api, type Item } from '../api/client';
import { useDrop } from '../app/drop';
import { FinishedHeads } from '../app/FinishedHeads';
import { useDesk } from '../state/desk';
import { asMessage } from '../state/messages';
import { CharacterTile } from './CharacterTile';
import { RecentShots } from './RecentShots';
import { type Order, shared, sorted } from './sorted';
import { Tour } from './Tour';
import { useTour } from './tourState';
import { Cells } from '../ui/Cells';

const ORDERS: [Order, string][] = [
  ['worked', 'last worked on'],
  ['name', 'name'],
  ['age', 'first come'],
];

interface Told {
  message: string;
  bad?: boolean;
  undo?: () => void;
}

/** All characters by their faces: found, opened, copied, put away and brought back. */
export function HomePage({ characters }: { characters: Item[] }) {
  const lost = useDesk((s) => s.lost);
  const { chooseArt, problem, dismiss } = useDrop();
  const queries = useQueryClient();
  const [typed, setTyped] = useState('');
  const [order, setOrder] = useState<Order>('worked');
  const [archived, setArchived] = useState(false);
  const [told, tell] = useState<Told | null>(null);
  const search = useRef<HTMLInputElement>(null);
  const tour = useTour((s) => s.open);
  const away = useQuery({ queryKey: ['characters', 'away'], queryFn: api.charactersAway });
  const shown = sorted(archived ? (away.data?.items ?? []) : characters, typed, order);
  const twice = shared(characters);

  // whoever types without a field before them looks for somebody
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.key.length !== 1 || e.key === ' ') return;
      if (
        e.target instanceof HTMLElement &&
        e.target.closest('input, textarea, select, [role="dialog"], [role="menu"]')
      )
        return;
      search.current?.focus();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);

  const does = async (work: Promise<unknown>, then?: Told) => {
    try {
      await work;
      await queries.invalidateQueries({ queryKey: ['characters'] });
      void queries.invalidateQueries({ queryKey: ['latest'] });
      tell(then ?? null);
    } catch (e) {
      tell({ message: asMessage(e).message, bad: true });
    }
  };
  const archive = (c: Item) =>
    void does(api.putAway(c.id), {
      message: `${c.name} is archived, with its shots.`,
      undo: () => void does(api.bringBack(c.id), { message: `${c.name} is back.` }),
    });

  return (
    <main aria-label="Characters" className="flex h-full flex-col overflow-hidden" data-testid="home">
      <header className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-line bg-paper px-7 py-3 max-[1100px]:px-4">
        <h1 className="font-display text-[22px] font-extrabold tracking-tight">Leeward</h1>
        <label className="flex min-w-0 flex-[0_1_330px] items-center gap-2 rounded-md border border-line bg-card px-2.5 py-1.5">
          <Search size={15} aria-hidden />
          <input
            ref={search}
            type="search"
            aria-label="Find a character"
            placeholder="Find a character"
            className="min-w-0 flex-1 bg-transparent outline-none placeholder:text-faint"
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') setTyped('');
              if (e.key === 'Enter' && shown[0] && !archived) useDesk.getState().open(shown[0].id);
            }}
          />
        </label>
        <div className="ml-auto flex flex-wrap items-center gap-2">
          <div role="group" aria-label="Sort by" className="flex items-center gap-1 text-[13px]">
            <span className="mr-1 text-faint">Sort by</span>
            {ORDERS.map(([key, words]) => (
              <button key={key} className="btn" aria-pressed={order === key} onClick={() => setOrder(key)}>
                {words}
              </button>
            ))}
          </div>
          <button className="btn" aria-pressed={archived} onClick={() => setArchived(!archived)}>
            <Archive size={14} aria-hidden /> Archived <b>{away.data?.total ?? 0}</b>
          </button>
          <button className="btn-do" onClick={chooseArt} title="Choose layered art, or drop it anywhere">
            <FilePlus2 size={15} aria-hidden /> New character
          </button>
        </div>
      </header>
      <div className="flex min-h-0 flex-1 gap-6 overflow-y-auto px-7 pt-4 pb-6 max-[1100px]:gap-4 max-[1100px]:px-4 max-[760px]:flex-col">
        <section aria-labelledby="cast" className="min-w-0 flex-1">
          <h2 id="cast" className="text-[22px] font-bold">
            {archived ? 'Archived' : 'Characters'}
            <span className="ml-3 font-sans text-[13px] font-normal text-faint">
              {shown.length} of {archived ? (away.data?.total ?? 0) : characters.length}
            </span>
          </h2>
          <Cells
            as="ul"
            className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(min(240px,100%),1fr))] gap-3.5 min-[1900px]:grid-cols-[repeat(auto-fill,minmax(340px,1fr))]"
          >
            {shown.map((c) => (
              <CharacterTile
                key={c.id}
                character={c}
                archived={archived}
                dated={twice.has(c.name)}
                open={() => useDesk.getState().open(c.id)}
                duplicate={() =>
                  void does(api.duplicateCharacter(c.id), { message: `${c.name} has a copy.` })
                }
                archive={() => archive(c)}
                restore={() => void does(api.bringBack(c.id), { message: `${c.name} is back.` })}
                rename={(name) =>
                  does(api.edit(c.id, c.revision, { kind: 'rename', name }), {
                    message: `${c.name} is called ${name}.`,
                    undo: () => void does(api.undo(c.id, c.revision + 1)),
                  })
                }
              />
            ))}
          </Cells>
          {shown.length === 0 && (
            <p className="mt-2 text-faint">
              {typed !== ''
                ? `Nobody’s name holds “${typed}”.`
                : archived
                  ? 'Nobody is archived.'
                  : 'There is no character yet. Drop layered art anywhere, or begin with a head that is finished.'}
            </p>
          )}
          {lost && (
            <p role="alert" className="mt-3 flex items-center gap-3 rounded-md bg-wrong-soft p-3 text-wrong">
              <span className="min-w-0 flex-1">
                The character of that address is not here. It may be archived, or be in another Leeward.
              </span>
              <button className="btn" onClick={() => setArchived(true)}>
                Look among the archived
              </button>
              <button className="btn" onClick={() => useDesk.setState({ lost: false })}>
                Close
              </button>
            </p>
          )}
          {problem && (
            <p role="alert" className="mt-4 flex gap-3 rounded-md bg-wrong-soft p-3 text-wrong">
              <span className="min-w-0 flex-1">
                <b>{problem.file}</b>: {problem.message}
              </span>
              <button className="btn" onClick={dismiss}>
                Read
              </button>
            </p>
          )}
          {!archived && (
            <div className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl border-2 border-dashed border-faint px-5 py-4">
              <Upload aria-hidden />
              <p className="min-w-0 flex-1">
                <b>Drop layered art or a bundle anywhere</b>{' '}
                <span className="text-faint">
                  SVG, PSD, OpenRaster, a ZIP of PNG layers, a Leeward bundle
                </span>
              </p>
              <a className="btn" href="/api/v1/blank-face.svg" download>
                Blank template
              </a>
              <button className="btn" onClick={chooseArt}>
                Choose files …
              </button>
            </div>
          )}
          {!archived && (
            <div className="mt-4">
              <h2 className="text-[15px] font-semibold">Begin with a head that is finished</h2>
              <FinishedHeads begun={(id) => useDesk.getState().open(id)} />
            </div>
          )}
        </section>
        <aside
          aria-label="Tour and latest shots"
          className="w-[340px] shrink-0 max-[1100px]:w-[270px] max-[760px]:w-full"
        >
          {tour ? (
            <Tour characters={characters} />
          ) : (
            <button className="btn" onClick={() => useTour.getState().show(true)}>
              A tour, by doing …
            </button>
          )}
          <RecentShots />
        </aside>
      </div>
      {told && (
        <div
          role={told.bad ? 'alert' : 'status'}
          className={`fixed bottom-4 left-1/2 z-40 flex -translate-x-1/2 items-center gap-3 rounded-lg border px-4 py-2 shadow-lg ${
            told.bad ? 'border-wrong bg-wrong-soft text-wrong' : 'border-line bg-card'
          }`}
        >
          {told.message}
          {told.undo && (
            <button className="btn" onClick={told.undo}>
              Undo
            </button>
          )}
          <button className="btn" onClick={() => tell(null)}>
            Close
          </button>
        </div>
      )}
      <section id="menus" aria-label="Menus" className="contents" />
    </main>
  );
}
