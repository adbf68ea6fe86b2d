import { useQuery } from '@tanstack/react-query';
import { ChevronDown, ListPlus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { api, type Shot } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';

/** What is said in the shot, and where: lines are placed, moved and lifted. */
export function Lines({ shot }: { shot: Shot }) {
  const { view, line, changeLine, editLine } = useStudio();
  const shots = useQuery({ queryKey: ['lines', view.id], queryFn: () => api.lines(view.id) });
  const others = (shots.data?.items ?? []).filter((s) => s.id !== line?.id);
  return (
    <Popover.Root>
      <Popover.Trigger className="btn px-2">
        {shot.lines.length === 1 ? '1 line' : `${shot.lines.length} lines`}{' '}
        <ChevronDown size={13} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          aria-label="Lines in this shot"
          className="z-50 max-h-[60vh] w-[330px] overflow-y-auto rounded-lg border border-line bg-card p-3 text-[13px] shadow-xl"
        >
          {shot.lines.map((p) => (
            <div key={p.at} className="mb-2 flex items-center gap-2">
              <span className="min-w-0 flex-1 truncate" title={p.line.text}>
                “{p.line.text}”
              </span>
              <label className="flex items-center gap-1">
                <span className="text-faint">from</span>
                <input
                  key={p.at}
                  className="field w-14 py-0"
                  aria-label="Frame it begins at"
                  defaultValue={p.at + 1}
                  onBlur={(e) => {
                    const to = Math.round(Number(e.target.value)) - 1;
                    if (Number.isFinite(to) && to >= 0 && to !== p.at)
                      void editLine({ kind: 'move-line', at: p.at, to });
                    else e.target.value = String(p.at + 1);
                  }}
                  onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
                />
              </label>
              <button
                className="btn px-1.5 py-0"
                onClick={() => void editLine({ kind: 'lift-line', at: p.at })}
              >
                Remove
              </button>
            </div>
          ))}
          {shot.lines.length === 0 && <p className="mb-2 text-faint">Nothing is said in this shot.</p>}
          {others.length > 0 && <h2 className="mt-1 mb-1 font-semibold">Place at this frame</h2>}
          {others.map((s) => (
            <button
              key={s.id}
              className="btn mb-1 w-full text-left"
              onClick={() =>
                void changeLine((l) => api.placeLine(l.id, l.revision, useDesk.getState().frame, s.id))
              }
            >
              <ListPlus size={13} aria-hidden /> <span className="min-w-0 truncate">{s.name}</span>
            </button>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
