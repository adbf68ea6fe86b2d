import { useQueryClient } from '@tanstack/react-query';
import { CircleCheck, RotateCcw, TriangleAlert } from 'lucide-react';
import { type KeyboardEvent, useMemo, useRef, useState } from 'react';
import type { ShotFinding } from '../../api/client';
import { useShotFindings } from '../../shot/useShotFindings';
import { useDesk } from '../../state/desk';
import { useChecked } from '../../state/findings';
import { useStudio } from '../../state/studio';
import { entriesOf, type Entry, type EntryMend, HARMS } from './entries';
import { EntryRow } from './EntryRow';
import { SafeMends } from './SafeMends';

/** How many of one harm are listed before somebody asks for the others. */
const MOST = 8;
const NONE: ShotFinding[] = [];

/** Everything that is wrong with the rig and the open shot, ordered by who would notice, each with its picture and its mend. */
export function CheckPage() {
  const { view, line, edit, editLine } = useStudio();
  const queries = useQueryClient();
  const checked = useChecked();
  const shot = useShotFindings(true);
  const found = checked.data;
  const shotFound = shot.findings ?? NONE;
  const shotName = line?.shot.name ?? '';
  const all = useMemo(
    () => (found ? entriesOf(found.findings, shotFound, view.character, shotName) : []),
    [found, shotFound, view.character, shotName],
  );
  const [open, setOpen] = useState<string | null>(null);
  const [accepting, setAccepting] = useState<string | null>(null);
  const [showAccepted, setShowAccepted] = useState(false);
  const [whole, setWhole] = useState<string[]>([]);
  const list = useRef<HTMLDivElement>(null);

  const wrong = all.filter((e) => e.accepted === null);
  const accepted = all.filter((e) => e.accepted !== null);
  const clean = found ? found.checks.filter((c) => !found.findings.some((f) => f.check === c)).length : 0;
  const busy = checked.isFetching || shot.measuring;
  const current = wrong.find((e) => e.key === open) ?? wrong[0];

  const make = (what: { edit?: EntryMend['edit']; shot?: EntryMend['shot'] }) =>
    what.shot ? editLine(what.shot) : what.edit ? edit(what.edit) : Promise.resolve(false);
  const go = (e: Entry) => {
    const desk = useDesk.getState();
    desk.rest();
    if (e.frame !== null) desk.seek(e.frame);
    desk.turnAll((e.pose.dials ?? {}) as Record<string, number>);
    for (const [part, drawing] of Object.entries(e.pose.picks ?? {})) desk.pick(part, drawing);
    if (view.character.rig.parts.some((p) => p.id === e.part)) desk.select(e.part);
    desk.go(e.bench);
  };

  /** Up and down from finding to finding, Enter mends, A accepts; within fields the keys are theirs. */
  const keys = (e: KeyboardEvent) => {
    if (e.ctrlKey || e.metaKey || e.altKey || (e.target as HTMLElement).closest('input, textarea')) return;
    const heads = [...(list.current?.querySelectorAll<HTMLElement>('[data-entry]') ?? [])];
    const at = heads.indexOf((e.target as HTMLElement).closest<HTMLElement>('[data-entry]') ?? heads[0]!);
    if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
      const next = heads[Math.max(0, Math.min(heads.length - 1, at + (e.key === 'ArrowDown' ? 1 : -1)))];
      if (next) {
        setOpen(next.dataset.entry!);
        next.focus();
      }
    } else if (e.key === 'a' || e.key === 'A') {
      const key = heads[at]?.dataset.entry;
      if (key) {
        setOpen(key);
        setAccepting(key);
      }
    } else if (e.key === 'Enter' && (e.target as HTMLElement).dataset.entry === current?.key) {
      const mend = current?.mends[0];
      if (!mend) return;
      void make(mend);
    } else return;
    e.preventDefault();
    e.stopPropagation();
  };

  return (
    <section aria-label="Check" className="flex min-h-0 flex-col" onKeyDown={keys}>
      <header className="flex flex-wrap items-baseline gap-x-3">
        <h1 className="text-2xl font-bold">Check</h1>
        <p className="text-[12.5px] text-faint" role="status">
          {busy ? 'every dial is being swept …' : 'swept at 25 places a dial, and every two at their ends'}
        </p>
      </header>
      <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1.5">
        {found && (
          <>
            <span className="flex items-center gap-1.5 font-semibold">
              {wrong.length > 0 ? (
                <TriangleAlert size={15} className="text-wrong" aria-hidden />
              ) : (
                <CircleCheck size={15} className="text-good" aria-hidden />
              )}
              {wrong.length === 0 ? 'nothing to fix' : `${wrong.length} to fix`}
            </span>
            {accepted.length > 0 && (
              <button
                className="underline decoration-dotted underline-offset-4"
                aria-expanded={showAccepted}
                onClick={() => setShowAccepted(!showAccepted)}
              >
                {accepted.length} accepted
              </button>
            )}
            <span className="flex items-center gap-1.5 text-good">
              <CircleCheck size={15} aria-hidden />
              {clean} of {found.checks.length} checks good
            </span>
          </>
        )}
        <span className="ml-auto flex gap-2">
          <button
            className="btn px-2"
            aria-label="Check again"
            title="Check again"
            disabled={busy}
            onClick={() => {
              void queries.invalidateQueries({ queryKey: ['findings', view.id] });
              void queries.invalidateQueries({ queryKey: ['shot-findings'] });
            }}
          >
            <RotateCcw size={14} aria-hidden />
          </button>
          {found && <SafeMends any={wrong.some((e) => e.frame === null && e.mends.length === 1)} />}
        </span>
      </div>
      {!found && <p className="mt-3 text-[13px] text-faint">Every check is being made …</p>}
      <div ref={list} className="mt-1 min-h-0 flex-1 overflow-y-auto pr-1 pb-3">
        {found && wrong.length === 0 && (
          <p className="mt-3 flex gap-2 rounded-lg border border-line bg-paper p-3 text-[13px]">
            <CircleCheck size={17} className="mt-px shrink-0 text-good" aria-hidden />
            Nothing is left to fix. What has nothing to be measured by was not looked at: an eye without a
            white, a hand without an arm, pieces of lines alone.
          </p>
        )}
        {HARMS.map(({ harm, title, who }) => {
          const own = wrong.filter((e) => e.harm === harm);
          const shown = whole.includes(harm) ? own : own.slice(0, MOST);
          return (
            own.length > 0 && (
              <section key={harm} aria-label={title} className="mt-2.5">
                <div className="flex items-baseline gap-2">
                  <h2 className="text-[15px] font-semibold">{title}</h2>
                  <span className="text-[12.5px] text-faint">{who}</span>
                  <span className="ml-auto text-[12.5px] text-faint">{own.length}</span>
                </div>
                <ul className="mt-1 space-y-1.5">
                  {shown.map((e) => (
                    <EntryRow
                      key={e.key}
                      entry={e}
                      open={e.key === current?.key}
                      accepting={accepting === e.key}
                      onOpen={() => setOpen(e.key)}
                      onGo={() => go(e)}
                      onMend={(m) => void make(m)}
                      onAccept={(reason) => {
                        if (reason === null) setAccepting(accepting === e.key ? null : e.key);
                        else void make(e.accept(reason)).then((ok) => ok && setAccepting(null));
                      }}
                    />
                  ))}
                  {shown.length < own.length && (
                    <li>
                      <button className="btn" onClick={() => setWhole([...whole, harm])}>
                        {own.length - shown.length} more
                      </button>
                    </li>
                  )}
                </ul>
              </section>
            )
          );
        })}
        {showAccepted && accepted.length > 0 && (
          <section aria-label="Accepted" className="mt-3">
            <h2 className="text-[15px] font-semibold">Accepted</h2>
            <ul className="mt-1 space-y-1">
              {accepted.map((e) => (
                <li
                  key={e.key}
                  className="flex items-center gap-2.5 rounded-lg border border-line bg-paper px-3 py-1.5 text-[13px]"
                >
                  <span className="min-w-0 flex-1">
                    <b>{e.title}</b> <span className="text-faint">{e.message}</span>
                    <br />“{e.accepted}”
                  </span>
                  <button className="btn shrink-0" onClick={() => void make(e.reopen())}>
                    Take up again
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </section>
  );
}
