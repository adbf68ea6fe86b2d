import { useState } from 'react';
import { useActed } from '../state/acted';
import { useStudio } from '../state/studio';
import { type Chosen } from './sheetState';

export const CUE_NAME = 'name-of-the-cue';

/** Names what the chosen dials do, so that it can be dropped in anywhere. */
export function KeepCue({ chosen, done }: { chosen: Chosen; done: () => void }) {
  const { edit, tell, view } = useStudio();
  const open = useActed((s) => s.open);
  const [name, setName] = useState('');
  const keep = async () => {
    const { cues } = view.character.library;
    const stem = `cue-${
      name
        .trim()
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') || 'own'
    }`;
    let id = stem;
    for (let n = 2; cues.some((c) => c.id === id); n++) id = `${stem}-${n}`;
    const cue = open?.cueOf(chosen.tracks, chosen.from, chosen.to, id, name.trim());
    if (!cue || typeof cue === 'string')
      return tell({ message: cue || 'The page has not loaded its rules. Reload the page.', bad: true });
    if (await edit({ kind: 'set-cue', cue })) {
      tell({ message: `“${cue.name}” is a cue now: it is under + at the head of Cues.`, bad: false });
      done();
    }
  };
  return (
    <form
      className="flex items-center gap-1.5"
      onSubmit={(e) => {
        e.preventDefault();
        if (name.trim()) void keep();
      }}
    >
      <input
        className="field w-[130px] py-0.5"
        id={CUE_NAME}
        aria-label="Name of the cue"
        placeholder="name of the cue"
        value={name}
        maxLength={60}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === 'Escape') done();
        }}
      />
      <button className="btn" disabled={name.trim() === ''}>
        Keep
      </button>
    </form>
  );
}
