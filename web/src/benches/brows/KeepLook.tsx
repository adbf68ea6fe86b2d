import { useState } from 'react';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';

/** Where the head and the eyes point, and whether they are shut, is seldom a part of an expression. */
const SELDOM = ['TURN', 'GAZE_ACROSS', 'GAZE_DOWN', 'BLINK'];

/** Gives the present pose a name: which of what is away from rest belongs to it, and where it is shown. */
export function KeepLook({ done }: { done: () => void }) {
  const { view, edit } = useStudio();
  const { character } = view;
  const dials = useDesk((s) => s.dials);
  const looks = useDesk((s) => s.looks);
  const picks = useDesk((s) => s.picks);
  const [name, setName] = useState('');
  const [collection, setCollection] = useState('My looks');
  const [turned, setTurned] = useState<Record<string, boolean>>({});
  const inLooks = new Set(
    character.library.looks.filter((l) => looks[l.id]).flatMap((l) => Object.keys(l.dials)),
  );
  const away = character.controls.dials.filter(
    (d) => inLooks.has(d.id) || (dials[d.id] !== undefined && dials[d.id] !== d.rest),
  );
  const kept = away.filter((d) => turned[d.id] ?? !SELDOM.includes(d.purpose));
  const collections = [...new Set(character.library.looks.map((l) => l.collection).filter((c) => c !== ''))];
  const ready = name.trim() !== '' && (kept.length > 0 || Object.keys(picks).length > 0);
  const keep = async () => {
    const good = await edit({
      kind: 'keep-look',
      name: name.trim(),
      collection: collection.trim(),
      dials,
      looks,
      drawings: picks,
      keep: kept.map((d) => d.id),
    });
    if (good) done();
  };
  return (
    <form
      className="mt-2 rounded-xl border border-doing bg-paper p-3"
      aria-label="Keep a look"
      onSubmit={(e) => {
        e.preventDefault();
        if (ready) void keep();
      }}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === 'Escape') done();
      }}
    >
      {away.length === 0 && Object.keys(picks).length === 0 ? (
        <p className="text-[13px]">
          Everything is at rest. Mix looks by their strengths or move some dials first, then keep what you
          see.
        </p>
      ) : (
        <>
          <div className="flex gap-2">
            <input
              className="field min-w-0 flex-1"
              aria-label="Name of the new look"
              placeholder="Name, for example “sly”"
              value={name}
              autoFocus
              onChange={(e) => setName(e.target.value)}
            />
            <input
              className="field w-40"
              aria-label="Collection"
              list="collections"
              value={collection}
              onChange={(e) => setCollection(e.target.value)}
            />
            <datalist id="collections">
              {collections.map((c) => (
                <option key={c} value={c} />
              ))}
            </datalist>
            <button className="btn-do" disabled={!ready}>
              Keep
            </button>
            <button type="button" className="btn" onClick={done}>
              Cancel
            </button>
          </div>
          <fieldset className="mt-2 flex flex-wrap gap-x-3 gap-y-1 text-[12.5px]">
            <legend className="text-faint">What belongs to it</legend>
            {away.map((d) => (
              <label key={d.id} className="flex items-center gap-1">
                <input
                  type="checkbox"
                  className="accent-(--doing)"
                  checked={kept.includes(d)}
                  onChange={(e) => setTurned({ ...turned, [d.id]: e.target.checked })}
                />
                {d.name}
              </label>
            ))}
            {Object.keys(picks).map((p) => (
              <span key={p} className="text-faint">
                + the drawing of {character.rig.parts.find((q) => q.id === p)?.name ?? p}
              </span>
            ))}
          </fieldset>
        </>
      )}
    </form>
  );
}
