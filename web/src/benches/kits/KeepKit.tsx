import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Part } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';

/** Keeps what the ticked parts show now under a name. */
export function KeepKit({ parts, done }: { parts: Part[]; done: () => void }) {
  const { view, director, edit } = useStudio();
  const [name, setName] = useState('');
  const [set, setSet] = useState('');
  const sets = [...new Set(view.character.library.kits.map((k) => k.set))].filter((s) => s !== '');
  const again = view.character.library.kits.some(
    (k) =>
      k.name.toLowerCase() === name.trim().toLowerCase() && k.set.toLowerCase() === set.trim().toLowerCase(),
  );
  const keep = async () => {
    // what was picked counts before the stage has answered
    const { picks } = useDesk.getState();
    const choices = Object.fromEntries(
      parts.map((p) => [p.id, picks[p.id] ?? director.shownOf(p.id) ?? 'nothing']),
    );
    if (await edit({ kind: 'keep-kit', name, set, choices })) {
      setName('');
      done();
    }
  };
  return (
    <form
      className="mt-2 flex flex-wrap items-center gap-2 rounded-xl border border-line bg-paper px-3 py-2 text-[13px]"
      aria-label="Keep as a kit"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <input
        className="field min-w-0 flex-1"
        placeholder="name of the kit"
        aria-label="Name of the kit"
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <input
        className="field w-28"
        placeholder="Group"
        aria-label="Set it is offered among"
        list="kit-sets"
        value={set}
        onChange={(e) => setSet(e.target.value)}
      />
      <datalist id="kit-sets">
        {sets.map((s) => (
          <option key={s}>{s}</option>
        ))}
      </datalist>
      <button className="btn-do" disabled={parts.length === 0 || name.trim() === ''}>
        <Plus size={14} aria-hidden /> {again ? 'Update the kit' : 'Keep as a kit'}
      </button>
      <p className="w-full text-[12.5px] text-faint">
        {parts.length === 0
          ? 'Pick a drawing above, or tick a part to keep what it shows.'
          : `It chooses ${parts.map((p) => p.name).join(', ')}.`}
      </p>
    </form>
  );
}
