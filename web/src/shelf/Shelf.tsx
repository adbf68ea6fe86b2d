import { ChevronDown, ChevronRight, RotateCcw, Search } from 'lucide-react';
import { useState } from 'react';
import { useRoom } from '../room/room';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { GazePad } from './GazePad';
import { GROUP_WORDS, groupOf, GROUPS, type GroupName, shelved, usuallyPinned } from './groups';
import { usePinned } from './pinned';
import { Ruler } from './Ruler';
import { upwards } from './values';

/** Dials up to which all of them are in sight without a name for each group. */
const FEW = 6;

/** Every dial, on every bench, under the face: pinned ones first, then group by group. */
export function Shelf() {
  const { view } = useStudio();
  const { character } = view;
  const dial = (id: string) => character.controls.dials.find((d) => d.id === id);
  const away = useDesk((s) =>
    [s.dials, s.picks, s.pins, s.looks].some((held) => Object.keys(held).length > 0),
  );
  // a look is steered on its pad alone; the head has stops and drawings to rest on, which only rulers show
  const onPads = new Set(
    character.controls.pads
      .flatMap((p) => [p.across, p.down])
      .filter((id) => dial(id)?.purpose.startsWith('GAZE')),
  );
  const [typed, setTyped] = useState('');
  const [only, setOnly] = useState<GroupName | null>(null);
  const folded = usePinned((s) => s.folded);
  const tall = useRoom((s) => s.size.shelf);
  const selected = useDesk((s) => s.part);
  const near = selected ? upwards(character.rig.parts, selected) : [];
  const here = (id: string | undefined) => id !== undefined && near.includes(id);
  const all = character.controls.dials.filter((d) => !onPads.has(d.id));
  const many = all.length > FEW;
  const chosen = usePinned((s) => s.dials[view.id]);
  const pinned = chosen ?? (many ? usuallyPinned(all, character) : []);
  const looked = typed.trim() !== '';
  const groups = shelved(character, all, pinned, typed, only)
    // what hangs on the chosen part comes first in its group, and its group is open
    .map((g) => ({
      ...g,
      dials: [...g.dials].sort((a, b) => Number(here(b.hangsOn)) - Number(here(a.hangsOn))),
    }));
  const there = GROUPS.filter((g) => all.some((d) => groupOf(d, character) === g));
  return (
    <section
      aria-label="Dials"
      // a layer of its own: values that change sixty times a second paint nothing around it
      className="@container flex h-full min-h-0 flex-col border-t border-line bg-paper px-4 py-2 will-change-transform"
      style={tall === undefined ? { maxHeight: 'min(176px, 26vh)' } : undefined}
    >
      {many && (
        <div className="mb-1 flex shrink-0 items-center gap-1.5 text-[12px]">
          <label className="flex min-w-0 flex-[0_1_150px] items-center gap-1.5 rounded-md border border-line bg-card px-1.5 py-0.5">
            <Search size={13} aria-hidden className="shrink-0" />
            <input
              type="search"
              aria-label="Find a dial"
              placeholder="Find a dial"
              className="w-full min-w-0 bg-transparent outline-none placeholder:text-faint"
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
              onKeyDown={(e) => {
                e.stopPropagation();
                if (e.key === 'Escape') setTyped('');
              }}
            />
          </label>
          <div
            role="group"
            aria-label="Which dials"
            className="flex min-w-0 flex-1 gap-0.5 overflow-x-auto [scrollbar-width:none]"
          >
            {[null, ...there].map((g) => (
              <button
                key={g ?? 'all'}
                aria-pressed={only === g && !looked}
                className="min-h-6 shrink-0 rounded-md px-1.5 whitespace-nowrap hover:bg-tide/60 aria-pressed:bg-chosen-soft aria-pressed:shadow-[inset_0_0_0_1.5px_var(--chosen)]"
                onClick={() => {
                  setTyped('');
                  setOnly(g);
                }}
              >
                {g ? GROUP_WORDS[g] : 'All'}{' '}
                <span className="text-faint">
                  {g ? all.filter((d) => groupOf(d, character) === g).length : all.length}
                </span>
              </button>
            ))}
          </div>
          <Rest away={away} />
        </div>
      )}
      <div className="flex min-h-0 flex-1 items-start gap-4">
        {character.controls.pads.map((p) => {
          const across = dial(p.across);
          const down = dial(p.down);
          return across && down ? (
            // where there is little room the head keeps to its rulers
            <div
              key={p.name}
              className={onPads.has(p.across) ? '@max-[340px]:hidden' : '@max-[520px]:hidden'}
            >
              <GazePad name={p.name} across={across} down={down} field={p.field} />
            </div>
          ) : null;
        })}
        <div
          className="h-full min-w-0 flex-1 overflow-y-auto pr-1.5 [scrollbar-width:thin]"
          data-testid="rulers"
        >
          {all.length === 0 && character.controls.pads.length === 0 && (
            <p className="text-faint">
              No dials: no head, eyes or lids were found in this art. The Intake bench says what is missing.
            </p>
          )}
          {groups.length === 0 && looked && <p className="text-faint">No dial is called “{typed}”.</p>}
          {groups.map((g) => {
            const shut =
              many &&
              !looked &&
              only === null &&
              folded.includes(g.group) &&
              !g.dials.some((d) => here(d.hangsOn));
            return (
              <div key={g.group}>
                {many && (groups.length > 1 || g.group !== only) && (
                  <button
                    className="flex min-h-6 w-full items-center gap-1 text-left text-[12px] text-faint hover:text-ink"
                    aria-expanded={!shut}
                    onClick={() => usePinned.getState().fold(g.group)}
                  >
                    {shut ? <ChevronRight size={13} aria-hidden /> : <ChevronDown size={13} aria-hidden />}
                    <b className="text-ink">{g.group === 'pinned' ? 'Pinned' : GROUP_WORDS[g.group]}</b>
                    {g.dials.length}
                    <span className="ml-1 h-px flex-1 bg-line" />
                  </button>
                )}
                {!shut && (
                  <div className="@min-[480px]:grid @min-[480px]:grid-cols-[repeat(auto-fill,minmax(min(230px,45%),1fr))] @min-[480px]:gap-x-4">
                    {g.dials.map((d) => (
                      <div key={d.id} className={here(d.hangsOn) ? 'border-l-2 border-doing pl-1' : ''}>
                        <Ruler
                          dial={d}
                          pin={{
                            pinned: pinned.includes(d.id),
                            toggle: () => usePinned.getState().toggle(view.id, d.id, pinned),
                          }}
                        />
                      </div>
                    ))}
                  </div>
                )}
              </div>
            );
          })}
        </div>
        {!many && <Rest away={away} />}
      </div>
    </section>
  );
}

function Rest({ away }: { away: boolean }) {
  return (
    <button
      className="btn px-1.5"
      disabled={!away}
      onClick={() => useDesk.getState().rest()}
      aria-label="Everything back to rest"
      title="Everything back to rest (0)"
    >
      <RotateCcw size={14} aria-hidden />
    </button>
  );
}
