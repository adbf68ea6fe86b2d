import { useState } from 'react';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { KitRow } from './kits/KitRow';
import { KeepKit } from './kits/KeepKit';
import { bySet, wardrobe } from './kits/wardrobe';
import { WornPart } from './kits/WornPart';

/** Everything that is exchanged on the body: sets of one part, and kits that choose over several at once. */
export function KitsBench() {
  const { view } = useStudio();
  const { character } = view;
  const picks = useDesk((s) => s.picks);
  const [wanted, setWanted] = useState('');
  /** Parts ticked or unticked by hand; the rest are in a kit when they are picked. */
  const [ticked, setTicked] = useState<Record<string, boolean>>({});
  const inKit = (part: string) => ticked[part] ?? picks[part] !== undefined;
  const parts = wardrobe(character.rig.parts);
  const fits = (text: string) => text.toLowerCase().includes(wanted.trim().toLowerCase());
  const found = parts.filter(
    (p) =>
      inKit(p.id) || fits(p.name) || p.drawings.some((d) => fits(d.name)) || fits(p.role.replace('_', ' ')),
  );
  return (
    <>
      <header className="flex items-baseline gap-3">
        <h1 className="text-2xl font-bold">Kits</h1>
        <span className="min-w-0 flex-1 text-[13px] text-faint">
          A choice over several parts at once, put on by a click or a key
        </span>
      </header>
      {character.library.kits.length === 0 && (
        <p className="mt-2 rounded-lg border border-dashed border-line bg-paper p-3 text-[13px]">
          No kit yet. Pick what goes together below – a coat with its sleeves and its hood, a cap with its
          back piece, or nothing where something comes off – then give it a name and keep it.
        </p>
      )}
      {bySet(character.library.kits).map(([set, kits]) => (
        <KitRow key={set} set={set} kits={kits} />
      ))}
      <div className="mt-4 flex items-baseline gap-2">
        <h2 className="flex-1 text-[15px] font-semibold">What can be worn</h2>
        <input
          type="search"
          className="field w-36 py-0.5 text-[12.5px]"
          placeholder="find …"
          aria-label="Find a part or a drawing"
          value={wanted}
          onChange={(e) => setWanted(e.target.value)}
        />
      </div>
      {parts.length === 0 ? (
        <p className="mt-1 text-faint">
          No part of this character can be exchanged. Give one a second drawing on the Parts bench, or drag a
          drawing onto it on the Intake bench.
        </p>
      ) : (
        <ul
          className="mt-1 divide-y divide-line rounded-xl border border-line bg-paper"
          aria-label="What can be worn"
        >
          {found.map((p) => (
            <WornPart
              key={p.id}
              part={p}
              ticked={inKit(p.id)}
              tick={(on) => setTicked((t) => ({ ...t, [p.id]: on }))}
            />
          ))}
          {found.length === 0 && <li className="p-3 text-faint">Nothing is called that.</li>}
        </ul>
      )}
      <div className="sticky -bottom-4 z-10 -mx-5 -mb-4 bg-chart px-5 pt-0.5 pb-6">
        <KeepKit parts={parts.filter((p) => inKit(p.id))} done={() => setTicked({})} />
      </div>
    </>
  );
}
