import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Archive, Copy, Search } from 'lucide-react';
import { useState } from 'react';
import { api, type Item } from '../../api/client';
import { named } from '../../app/script';
import { useDesk } from '../../state/desk';
import { NameInput } from '../../ui/NameInput';
import { useStudio } from '../../state/studio';

/** From how many lines on they are looked for and kept in a box of their own. */
const MANY = 9;

/** The open line is seen in its list. */
function show(button: HTMLButtonElement | null) {
  button?.scrollIntoView({ block: 'nearest' });
}

/** All lines of the character: found, ordered, copied, put away and brought back. */
export function LineList() {
  const { view, changeLine } = useStudio();
  const [naming, setNaming] = useState<string | null>(null);
  const queries = useQueryClient();
  const open = useDesk((s) => s.line);
  const lines = useQuery({ queryKey: ['lines', view.id], queryFn: () => api.lines(view.id) });
  const [away, showAway] = useState(false);
  const gone = useQuery({
    queryKey: ['lines', view.id, 'away'],
    queryFn: () => api.linesAway(view.id),
    enabled: away,
  });
  const [typed, type] = useState('');
  const [order, setOrder] = useState<'made' | 'name' | 'changed'>('made');
  const all = lines.data?.items ?? [];
  const here = all.some((l) => l.id === open);
  const wanted = typed.trim().toLowerCase();
  const found = all.filter((l) => l.name.toLowerCase().includes(wanted));
  const shown =
    order === 'name'
      ? named(found)
      : order === 'changed'
        ? [...found].sort((a, b) => b.changedAt.localeCompare(a.changedAt))
        : found;
  const again = () => queries.invalidateQueries({ queryKey: ['lines', view.id] });
  const copy = async (id: string) => {
    const line = await api.duplicateLine(id);
    queries.setQueryData(['line', line.id], line);
    await again();
    useDesk.getState().say(line.id);
  };
  const put = async (id: string) => {
    await api.putLineAway(id);
    const next = all.find((l) => l.id !== id);
    useDesk.getState().say(next?.id ?? null);
    await again();
  };
  const bring = async (item: Item) => {
    await api.bringLineBack(item.id);
    await again();
    useDesk.getState().say(item.id);
  };
  return (
    <div className="mt-2">
      {all.length >= MANY && (
        <div className="mb-1.5 flex items-center gap-2 text-[13px]">
          <label className="relative flex-1">
            <Search size={13} aria-hidden className="absolute top-1/2 left-2 -translate-y-1/2 text-faint" />
            <input
              aria-label="Find a line"
              className="field w-full py-0.5 pl-7"
              placeholder={`Find among ${all.length} lines`}
              value={typed}
              onChange={(e) => type(e.target.value)}
              onKeyDown={(e) => {
                if (e.key === 'Escape') type('');
                if (e.key === 'Enter' && shown[0]) useDesk.getState().say(shown[0].id);
              }}
            />
          </label>
          <label className="flex items-center gap-1.5 text-faint">
            by
            <select
              aria-label="Order of the lines"
              className="field py-0"
              value={order}
              onChange={(e) => setOrder(e.target.value as 'made')}
            >
              <option value="made">time made</option>
              <option value="name">name</option>
              <option value="changed">last change</option>
            </select>
          </label>
        </div>
      )}
      <div
        className={`flex flex-wrap gap-1.5 ${all.length >= MANY ? 'max-h-36 overflow-y-auto rounded-lg border border-line p-1.5' : ''}`}
        role="group"
        aria-label="Lines"
      >
        {shown.map((l) =>
          l.id === naming && l.id === open ? (
            <NameInput
              key={l.id}
              label={`Name of the line ${l.name}`}
              name={l.name}
              rename={(name) =>
                changeLine((v) => api.editLine(v.id, v.revision, { kind: 'rename-shot', name }))
              }
              done={() => setNaming(null)}
              className="max-w-56"
            />
          ) : (
            <button
              key={l.id}
              className="btn max-w-full truncate"
              aria-pressed={l.id === open}
              ref={l.id === open ? show : undefined}
              title={`${l.name} – double-click or F2 renames it`}
              onClick={() => useDesk.getState().say(l.id)}
              onDoubleClick={() => setNaming(l.id)}
              onKeyDown={(e) => e.key === 'F2' && l.id === open && setNaming(l.id)}
            >
              {l.name}
            </button>
          ),
        )}
        {shown.length === 0 && <p className="p-1 text-faint">No line is called so.</p>}
      </div>
      <div className="mt-1.5 flex items-center gap-1.5 text-[13px]">
        {open && here && (
          <>
            <button className="btn px-2 py-0" onClick={() => void copy(open)}>
              <Copy size={13} aria-hidden /> Copy
            </button>
            <button
              className="btn px-2 py-0"
              title="Out of the list; it can be brought back"
              onClick={() => void put(open)}
            >
              <Archive size={13} aria-hidden /> Archive
            </button>
          </>
        )}
        <button
          className="ml-auto text-faint underline-offset-2 hover:underline"
          aria-expanded={away}
          onClick={() => showAway(!away)}
        >
          Archived lines
        </button>
      </div>
      {away && (
        <ul className="mt-1 flex flex-wrap gap-1.5" aria-label="Lines that were archived">
          {gone.data?.items.map((l) => (
            <li key={l.id}>
              <button className="btn border-dashed py-0" title="Bring it back" onClick={() => void bring(l)}>
                {l.name}
              </button>
            </li>
          ))}
          {gone.data?.items.length === 0 && <li className="text-[13px] text-faint">None was.</li>}
        </ul>
      )}
    </div>
  );
}
