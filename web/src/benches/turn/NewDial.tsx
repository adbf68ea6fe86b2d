import { useEffect, useState } from 'react';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { NumberField } from '../../ui/NumberField';

/** A dial that does nothing yet: what it is called and how far it goes. */
export function NewDial({ done }: { done: () => void }) {
  const { view, edit } = useStudio();
  const [name, setName] = useState('');
  const [range, setRange] = useState({ from: -1, to: 1, rest: 0 });
  const [unit, setUnit] = useState('');
  const [before, setBefore] = useState<string[] | null>(null);
  const { dials } = view.character.controls;
  // the dial that was not there before is the new one
  const fresh = before && dials.find((d) => !before.includes(d.id))?.id;
  useEffect(() => {
    if (!fresh) return;
    useDesk.getState().openDial(fresh);
    done();
  }, [fresh, done]);
  const make = async () => {
    setBefore(dials.map((d) => d.id));
    if (!(await edit({ kind: 'new-dial', name, ...range, unit }))) setBefore(null);
  };
  return (
    <form
      className="mt-3 rounded-xl border border-line bg-paper p-3"
      aria-label="New dial"
      onSubmit={(e) => {
        e.preventDefault();
        void make();
      }}
    >
      <label className="flex items-center gap-1.5">
        <span className="w-14 shrink-0 text-right text-[12px] text-faint">name</span>
        <input
          autoFocus
          className="field w-full"
          value={name}
          placeholder="Sneer, Ear droop, Hat brim …"
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      <div className="mt-2 grid grid-cols-4 gap-2">
        <NumberField label="from" value={range.from} keep={(from) => setRange({ ...range, from })} />
        <NumberField label="to" value={range.to} keep={(to) => setRange({ ...range, to })} />
        <NumberField label="rest" value={range.rest} keep={(rest) => setRange({ ...range, rest })} />
        <label className="flex items-center gap-1.5">
          <span className="w-14 shrink-0 text-right text-[12px] text-faint">unit</span>
          <input className="field w-full min-w-0" value={unit} onChange={(e) => setUnit(e.target.value)} />
        </label>
      </div>
      <div className="mt-2.5 flex items-center gap-2">
        <button className="btn-do" disabled={name.trim() === ''}>
          Make it
        </button>
        <button type="button" className="btn" onClick={done}>
          Cancel
        </button>
        <p className="text-[12.5px] text-faint">Then put it somewhere, press Record, and pose the face.</p>
      </div>
    </form>
  );
}
