import { X } from 'lucide-react';
import type { Dial } from '../../api/client';
import { shown } from '../../shelf/values';
import { useStudio } from '../../state/studio';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';

/** Which dials this one follows, by how much and how much later; and what it is corrected for together with others. */
export function Followed({ dial }: { dial: Dial }) {
  const { view, edit } = useStudio();
  const { controls, rig } = view.character;
  const { dials } = controls;
  const name = (id: string) => dials.find((d) => d.id === id)?.name ?? id;
  const others = dials.filter((d) => d.id !== dial.id && !dial.follows.some((f) => f.leader === d.id));
  const mine = controls.correctives.filter((k) => k.a === dial.id || k.b === dial.id);
  return (
    <section className="mt-3" aria-label="Other dials">
      <h2 className="text-[15px] font-semibold">Together with other dials</h2>
      {dial.follows.map((f) => {
        const leader = dials.find((d) => d.id === f.leader);
        const set = (change: Partial<typeof f>) =>
          void (async () => {
            if (change.later !== undefined && change.later !== f.later)
              await edit({ kind: 'unfollow', dial: dial.id, leader: f.leader, later: f.later });
            await edit({ kind: 'follow-dial', dial: dial.id, follow: { ...f, ...change } });
          })();
        return (
          <div
            key={f.leader + f.later}
            className="mt-1.5 grid grid-cols-[1fr_1fr_1fr_1fr_auto] items-center gap-1.5 rounded-lg border border-line bg-paper px-2 py-1.5"
          >
            <span className="text-[12.5px]">
              follows <b>{name(f.leader)}</b>
            </span>
            <NumberField
              label={leader ? `at ${shown(leader, leader.from)}` : 'below'}
              unit={dial.unit}
              value={f.below}
              keep={(below) => set({ below })}
            />
            <NumberField
              label={leader ? `at ${shown(leader, leader.to)}` : 'above'}
              unit={dial.unit}
              value={f.above}
              keep={(above) => set({ above })}
            />
            <NumberField
              label="later by"
              unit=" fr"
              value={f.later}
              keep={(later) => set({ later: Math.round(later) })}
            />
            <button
              className="p-1 text-faint hover:text-wrong"
              aria-label={`No longer follow ${name(f.leader)}`}
              onClick={() => void edit({ kind: 'unfollow', dial: dial.id, leader: f.leader, later: f.later })}
            >
              <X size={14} aria-hidden />
            </button>
          </div>
        );
      })}
      {mine.map((k) => (
        <div
          key={k.a + k.atA + k.b + k.atB}
          className="mt-1.5 rounded-lg border border-line bg-paper px-2 py-1.5 text-[12.5px]"
        >
          correction for <b>{name(k.a)}</b> at {k.atA} together with <b>{name(k.b)}</b> at {k.atB}
          <ul className="mt-0.5 flex flex-wrap gap-1">
            {Object.keys(k.offsets).map((part) => (
              <li
                key={part}
                className="flex items-center gap-0.5 rounded-full border border-line bg-card px-2"
              >
                {rig.parts.find((p) => p.id === part)?.name ?? part}
                <button
                  className="text-faint hover:text-wrong"
                  aria-label={`No correction of ${part}`}
                  onClick={() =>
                    void edit({ kind: 'forget-corner', a: k.a, atA: k.atA, b: k.b, atB: k.atB, part })
                  }
                >
                  <X size={12} aria-hidden />
                </button>
              </li>
            ))}
          </ul>
        </div>
      ))}
      {others.length > 0 && (
        <div className="mt-1.5 w-64">
          <Choice
            label="follow"
            value=""
            options={[['', 'no other dial'], ...others.map((d): [string, string] => [d.id, d.name])]}
            choose={(leader) =>
              leader &&
              void edit({
                kind: 'follow-dial',
                dial: dial.id,
                follow: {
                  leader,
                  below: (dial.from - dial.rest) / 4,
                  above: (dial.to - dial.rest) / 4,
                  later: 0,
                },
              })
            }
          />
        </div>
      )}
    </section>
  );
}
