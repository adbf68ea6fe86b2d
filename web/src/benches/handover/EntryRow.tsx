import { useState } from 'react';
import { change, words } from '../../state/measures';
import type { Entry, EntryMend } from './entries';
import { Evidence } from './Evidence';

/** Longest reason that is taken. */
const LONGEST = 300;

/** One thing that is wrong; the one that is open shows how it is and how its mend would leave it. */
export function EntryRow({
  entry,
  open,
  accepting,
  onOpen,
  onGo,
  onMend,
  onAccept,
}: {
  entry: Entry;
  open: boolean;
  /** Whether a reason is being typed. */
  accepting: boolean;
  onOpen: () => void;
  onGo: () => void;
  onMend: (mend: EntryMend) => void;
  /** With the reason; null opens the field for one, and closes it. */
  onAccept: (reason: string | null) => void;
}) {
  const [reason, setReason] = useState('');
  const [first] = entry.mends;
  return (
    <li
      data-testid={`entry-${entry.key.split('/').slice(0, 3).join('-')}`}
      className={`rounded-lg bg-paper text-[13px] ${open ? 'border-2 border-chosen' : 'border border-line'}`}
    >
      <div className="flex items-start gap-3 p-2">
        <Evidence entry={entry} mend={first?.edit} large={open} />
        <div className="flex min-w-0 flex-1 flex-col gap-1 self-stretch">
          <button
            data-entry={entry.key}
            aria-expanded={open}
            className="min-w-0 text-left"
            onClick={onOpen}
            onFocus={onOpen}
          >
            <span className="block text-[14px] font-semibold">{entry.title}</span>
            <span className={open ? 'block' : 'line-clamp-1'}>{entry.message}</span>
            <span className="block text-[12px] text-faint">{entry.place}</span>
          </button>
          {open && (
            <div className="mt-auto flex flex-wrap items-center gap-1.5">
              {entry.mends.map((m, i) => (
                <button key={m.label} className={i === 0 ? 'btn-do' : 'btn'} onClick={() => onMend(m)}>
                  {m.label}
                  {change(entry.measure, m.leaves) && (
                    <span className="opacity-80">{change(entry.measure, m.leaves)}</span>
                  )}
                </button>
              ))}
              <button className="btn" onClick={onGo}>
                Go there
              </button>
              <button className="btn" aria-expanded={accepting} onClick={() => onAccept(null)}>
                Accept …
              </button>
            </div>
          )}
        </div>
        {!open && (
          <span className="flex shrink-0 flex-col items-end gap-1">
            <b className="text-[15px] leading-4">{words(entry.measure)}</b>
            <span className="flex gap-1">
              {first && (
                <button className="btn" onClick={() => onMend(first)}>
                  Mend
                </button>
              )}
              <button className="btn" onClick={onGo}>
                Go there
              </button>
            </span>
          </span>
        )}
      </div>
      {open && accepting && (
        <form
          className="flex items-center gap-1.5 border-t border-line px-2 py-1.5"
          onSubmit={(e) => {
            e.preventDefault();
            onAccept(reason);
          }}
        >
          <input
            autoFocus
            aria-label="Why it is meant to be so"
            placeholder="why it is meant to be so"
            className="field min-w-0 flex-1"
            maxLength={LONGEST}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') {
                e.stopPropagation();
                onAccept(null);
              }
            }}
          />
          <button className="btn-do" disabled={reason.trim() === ''}>
            Accept
          </button>
        </form>
      )}
    </li>
  );
}
