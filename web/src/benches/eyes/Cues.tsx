import { Play, Sparkles, X } from 'lucide-react';
import { useState } from 'react';
import type { Cue } from '../../api/client';
import { usePlayCue } from '../../state/usePlayCue';
import { useStudio } from '../../state/studio';
import { EditableName } from '../../ui/EditableName';
import { CueTrack } from './CueTrack';

/** Small animations of the eyes: played over the pose that is on the stage, and changed key by key. */
export function Cues() {
  const { view, edit } = useStudio();
  const play = usePlayCue();
  const { character } = view;
  const [chosen, setChosen] = useState<string | null>(null);
  const cue = character.library.cues.find((c) => c.id === chosen);
  const length = (c: Cue) =>
    1 + Math.max(0, ...Object.values(c.tracks).flatMap((keys) => keys.map((k) => k.frame)));
  return (
    <section className="mt-3 pb-3" aria-label="Cues">
      <div className="flex flex-wrap items-baseline gap-x-2 gap-y-1">
        <h2 className="text-[15px] font-semibold">Cues</h2>
        <p className="min-w-32 flex-1 truncate text-[12.5px] text-faint">
          small animations; drop them in on Lines
        </p>
        <button className="btn" onClick={() => void edit({ kind: 'make-cues' })}>
          <Sparkles size={14} aria-hidden /> Make the usual four
        </button>
      </div>
      {character.library.cues.length > 0 && (
        <ul className="mt-1.5 grid grid-cols-[repeat(auto-fill,minmax(min(210px,100%),1fr))] gap-1.5">
          {character.library.cues.map((c) => (
            <li
              key={c.id}
              className={`flex items-center gap-1.5 rounded-lg border bg-paper px-2 py-1 ${c.id === chosen ? 'border-doing' : 'border-line'}`}
            >
              <button className="btn-do px-2 py-1" aria-label={`Play ${c.name}`} onClick={() => play(c.id)}>
                <Play size={13} aria-hidden />
              </button>
              <EditableName
                label="Name of the cue"
                name={c.name}
                rename={(name) => edit({ kind: 'set-cue', cue: { ...c, name } })}
                className="min-w-0 flex-1 truncate text-[13px]"
              />
              <span className="text-[11.5px] whitespace-nowrap text-faint tabular-nums">{length(c)} fr.</span>
              <button
                className="text-[12px] text-faint underline decoration-dotted"
                aria-expanded={c.id === chosen}
                aria-label={`Keys of ${c.name}`}
                onClick={() => setChosen(c.id === chosen ? null : c.id)}
              >
                keys
              </button>
              <button
                className="p-0.5 text-faint hover:text-wrong"
                aria-label={`Delete the cue ${c.name}`}
                onClick={() => void edit({ kind: 'drop-cue', cue: c.id })}
              >
                <X size={13} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      )}
      {cue && (
        <div className="mt-1.5 space-y-1 rounded-lg border border-line bg-paper p-2">
          {Object.entries(cue.tracks).map(([id, keys]) => (
            <CueTrack
              key={id}
              dial={character.controls.dials.find((d) => d.id === id)}
              name={id}
              keys={keys}
              frames={length(cue)}
              keep={(next) =>
                void edit({ kind: 'set-cue', cue: { ...cue, tracks: { ...cue.tracks, [id]: next } } })
              }
            />
          ))}
          <p className="text-[11.5px] text-faint">
            Drag keys; double-click for one more, Delete for one less. A dial that is gone is kept and
            skipped.
          </p>
        </div>
      )}
    </section>
  );
}
