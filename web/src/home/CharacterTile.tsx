import { useQuery } from '@tanstack/react-query';
import { Archive, ArchiveRestore, Check, Copy, PencilLine } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { api, type Item } from '../api/client';
import { useDesk } from '../state/desk';
import { BENCH_NAMES, BENCHES, type Bench } from '../state/benches';
import { type Doing, RightMenu } from '../ui/RightMenu';
import { told } from '../ui/told';

/** A bench as the server names the stage of the work it is for. */
const benchOf = (step: string) => step.toLowerCase().replaceAll('_', '-') as Bench;

/** One character: its face, when it was worked on, which benches are done and which one waits. */
export function CharacterTile({
  character: c,
  archived,
  dated,
  open,
  duplicate,
  archive,
  restore,
  rename,
}: {
  character: Item;
  archived: boolean;
  /** Whether another one has its name. */
  dated: boolean;
  open: () => void;
  duplicate: () => void;
  archive: () => void;
  restore: () => void;
  rename: (name: string) => Promise<void>;
}) {
  const tile = useRef<HTMLLIElement>(null);
  const near = useNear(tile);
  const [draft, setDraft] = useState<string | null>(null);
  const card = useQuery({
    queryKey: ['card', c.id, c.revision],
    queryFn: () => api.card(c.id),
    enabled: near && !archived,
    staleTime: 20_000,
  });
  const done = new Set(card.data?.done.map(benchOf));
  const next = card.data?.next ? benchOf(card.data.next) : null;
  const when = told(c.changedAt, new Date());
  const keep = () => {
    const name = draft?.trim();
    setDraft(null);
    if (name && name !== c.name) void rename(name);
  };
  const doings: Doing[] = archived
    ? [{ name: 'Bring back', does: restore }]
    : [
        { name: 'Open', does: open, keys: 'Enter' },
        { name: 'Rename', does: () => setDraft(c.name), keys: 'F2' },
        { name: 'Duplicate', does: duplicate },
        { name: 'Archive', does: archive, keys: 'Delete' },
      ];
  return (
    <RightMenu label={c.name} groups={[doings]}>
      <li
        ref={tile}
        data-testid="character"
        className="group/tile relative flex flex-col overflow-hidden rounded-xl border border-line bg-card focus-within:border-chosen focus-within:shadow-[inset_0_0_0_1px_var(--chosen)] hover:border-chosen hover:shadow-[inset_0_0_0_1px_var(--chosen)]"
        onKeyDown={(e) => {
          if (draft !== null) return;
          if (e.key === 'F2' && !archived) setDraft(c.name);
          if (e.key === 'Delete' && !archived) archive();
        }}
      >
        <button
          className="block w-full bg-stage"
          aria-label={archived ? `${c.name}, archived` : `Open ${c.name}${dated ? `, ${when}` : ''}`}
          title={archived ? 'Bring it back to open it' : 'Open (Enter); F2 renames, Delete archives'}
          disabled={archived}
          onClick={open}
        >
          {near ? (
            <img
              src={api.faceUrl(c.id, c.revision)}
              alt=""
              decoding="async"
              className={`h-[188px] w-full object-contain pt-2 min-[1900px]:h-[260px] ${archived ? 'opacity-60 grayscale' : ''}`}
            />
          ) : (
            <span className="block h-[188px] min-[1900px]:h-[260px]" />
          )}
        </button>
        <div className="border-t border-line px-3.5 pt-2 pb-3">
          <div className="flex items-baseline gap-2">
            {draft === null ? (
              <h3
                className="min-w-0 flex-1 truncate text-[17px] font-semibold"
                title="Double-click to rename"
                onDoubleClick={() => !archived && setDraft(c.name)}
              >
                {c.name}
              </h3>
            ) : (
              <input
                aria-label={`New name of ${c.name}`}
                className="field min-w-0 flex-1"
                autoFocus
                maxLength={80}
                value={draft}
                onFocus={(e) => e.target.select()}
                onChange={(e) => setDraft(e.target.value)}
                onBlur={keep}
                onKeyDown={(e) => {
                  e.stopPropagation();
                  if (e.key === 'Enter') keep();
                  if (e.key === 'Escape') setDraft(null);
                }}
              />
            )}
            <span className="shrink-0 text-[12px] text-faint">{when}</span>
          </div>
          {/* facts give way to what can be done */}
          <div className="mt-1 grid">
            <div className="col-start-1 row-start-1 flex min-h-7 items-center justify-between text-[12.5px] text-faint group-focus-within/tile:invisible group-hover/tile:invisible">
              <span>
                {c.revision} {c.revision === 1 ? 'revision' : 'revisions'}
              </span>
              {next && (
                <span>
                  next: <span className="text-ink">{BENCH_NAMES[next]}</span>
                </span>
              )}
            </div>
            <div className="col-start-1 row-start-1 flex min-h-7 items-center gap-1.5 opacity-0 group-focus-within/tile:opacity-100 group-hover/tile:opacity-100">
              {archived ? (
                <Do press={restore} label={`Bring ${c.name} back`}>
                  <ArchiveRestore size={13} aria-hidden /> Bring back
                </Do>
              ) : (
                <>
                  <Do press={duplicate} label={`Duplicate ${c.name}`}>
                    <Copy size={13} aria-hidden /> Duplicate
                  </Do>
                  <Do press={archive} label={`Archive ${c.name}`}>
                    <Archive size={13} aria-hidden /> Archive
                  </Do>
                  <Do press={() => setDraft(c.name)} label={`Rename ${c.name}`}>
                    <PencilLine size={13} aria-hidden />
                  </Do>
                </>
              )}
            </div>
          </div>
          {!archived && (
            <ol className="mt-2 flex gap-[3px]" aria-label={`How far ${c.name} is`}>
              {BENCHES.map((b) => (
                <li key={b} className="min-w-0 flex-1">
                  <button
                    className={`grid h-6 w-full place-items-center rounded-[4px]`}
                    aria-label={`${BENCH_NAMES[b]}: ${done.has(b) ? 'done' : b === next ? 'next' : 'not yet'}`}
                    title={`${BENCH_NAMES[b]}${done.has(b) ? ', done' : b === next ? ', next' : ''}`}
                    onClick={() => {
                      open();
                      useDesk.getState().go(b);
                    }}
                  >
                    <span
                      className={`grid h-2.5 w-full place-items-center rounded-[3px] border ${
                        done.has(b)
                          ? 'border-transparent bg-good-soft text-good'
                          : b === next
                            ? 'border-doing'
                            : 'border-line'
                      }`}
                    >
                      {done.has(b) && <Check size={9} strokeWidth={3.5} aria-hidden />}
                    </span>
                  </button>
                </li>
              ))}
            </ol>
          )}
        </div>
      </li>
    </RightMenu>
  );
}

function Do({ press, label, children }: { press: () => void; label: string; children: React.ReactNode }) {
  return (
    <button className="btn min-h-6 px-2 py-0.5 text-[12px]" aria-label={label} onClick={press}>
      {children}
    </button>
  );
}

/** Whether something is in sight, or was: what is far down a long page costs nothing until then. */
function useNear(element: React.RefObject<HTMLElement | null>): boolean {
  const [near, setNear] = useState(false);
  useEffect(() => {
    const e = element.current;
    if (!e || near) return;
    const seen = new IntersectionObserver((all) => all.some((x) => x.isIntersecting) && setNear(true), {
      rootMargin: '300px',
    });
    seen.observe(e);
    return () => seen.disconnect();
  }, [element, near]);
  return near;
}
