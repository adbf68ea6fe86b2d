import { Eye, FolderPlus, Lock, Spotlight, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { Choice } from '../../ui/Choice';

/** What can be done to several parts at once. */
export function SeveralCard({ parts }: { parts: string[] }) {
  const { view, edit } = useStudio();
  const [name, setName] = useState('');
  const { character } = view;
  const toggle = useDesk((s) => s.toggle);
  const names = parts.map((id) => character.rig.parts.find((p) => p.id === id)?.name ?? id);
  return (
    <section className="mt-3 rounded-xl border border-line bg-paper p-3" aria-label="The chosen parts">
      <h2 className="text-lg font-semibold">{parts.length} parts</h2>
      <p className="text-[12.5px] text-faint">{names.join(', ')}</p>
      <form
        className="mt-2 flex gap-1.5"
        onSubmit={(e) => {
          e.preventDefault();
          void edit({ kind: 'add-group', name: name || 'group', parts }).then((done) => done && setName(''));
        }}
      >
        <input
          className="field min-w-0 flex-1"
          aria-label="Name of the group"
          placeholder="name of the group"
          value={name}
          maxLength={80}
          onChange={(e) => setName(e.target.value)}
        />
        <button className="btn">
          <FolderPlus size={14} aria-hidden /> Group them
        </button>
      </form>
      <div className="mt-2 flex flex-wrap gap-1.5">
        <button className="btn" onClick={() => toggle('hidden', parts)}>
          <Eye size={14} aria-hidden /> Hide or show
        </button>
        <button className="btn" onClick={() => toggle('locked', parts)}>
          <Lock size={14} aria-hidden /> Lock or unlock
        </button>
        <button className="btn" onClick={() => toggle('solo', parts)}>
          <Spotlight size={14} aria-hidden /> Alone
        </button>
        <button
          className="btn"
          onClick={() => {
            useDesk.getState().select(null);
            void edit({ kind: 'discard', parts });
          }}
        >
          <Trash2 size={14} aria-hidden /> Delete
        </button>
      </div>
      <div className="mt-2 max-w-60">
        <Choice
          label="follow"
          value="-"
          options={[
            ['-', 'choose …'],
            ['', 'nothing'],
            ...character.rig.parts
              .filter((p) => !parts.includes(p.id))
              .map((p): [string, string] => [p.id, p.name]),
          ]}
          choose={(to) => to !== '-' && void edit({ kind: 'hang', parts, ...(to ? { parent: to } : {}) })}
        />
      </div>
    </section>
  );
}
