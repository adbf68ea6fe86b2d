import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Bookmark, Sparkles, TriangleAlert, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { api, type LooksView } from '../../api/client';
import { faceBox } from '../../stage/view';
import { useDesk } from '../../state/desk';
import { usePictures } from '../../state/pictures';
import { useSettled } from '../../state/settled';
import { useStudio } from '../../state/studio';
import { EditableName } from '../../ui/EditableName';
import { FaceCrop } from '../../ui/FaceCrop';
import { KeepLook } from './KeepLook';
import { Cells } from '../../ui/Cells';

type Entry = LooksView['looks'][number];

/** Every look as a face, in its collection; each is mixed into the pose by its strength. */
export function LookSheet() {
  const { view, artwork, edit } = useStudio();
  const { character } = view;
  const turn = character.controls.dials.find((d) => d.purpose === 'TURN');
  const turned = useSettled((s) => (turn ? s.dials[turn.id] : undefined), 300);
  const [keeping, setKeeping] = useState(false);
  const sheet = useQuery({
    queryKey: ['looks', view.id, view.revision],
    queryFn: () => api.looks(view.id),
    placeholderData: keepPreviousData,
  });
  const dials = turn && turned !== undefined ? { [turn.id]: turned } : {};
  const frames = usePictures((sheet.data?.looks ?? []).map((l) => ({ dials, looks: { [l.look.id]: 1 } })));
  const box = useMemo(() => faceBox(character, artwork), [character, artwork]);
  const groups = useMemo(() => {
    const found = new Map<string, { entry: Entry; index: number }[]>();
    sheet.data?.looks.forEach((entry, i) => {
      const key = entry.look.collection;
      found.set(key, [...(found.get(key) ?? []), { entry, index: i }]);
    });
    return [...found];
  }, [sheet.data]);
  const made = character.controls.dials.some((d) => d.purpose === 'ACTION_UNIT');
  return (
    <section className="mt-4 pb-3" aria-label="Looks">
      <div className="flex items-center gap-2">
        <h2 className="text-lg font-bold">Looks</h2>
        <button className="btn ml-auto" onClick={() => setKeeping(!keeping)} aria-expanded={keeping}>
          <Bookmark size={14} aria-hidden /> Keep this pose as a look
        </button>
        {(made || groups.length > 0) && (
          <button
            className="btn"
            title="From the pieces as they are now; looks of your own stay"
            onClick={() => void edit({ kind: 'make-looks' })}
          >
            <Sparkles size={14} aria-hidden /> {made ? 'Rebuild' : 'Make'} the six
          </button>
        )}
      </div>
      {keeping && <KeepLook done={() => setKeeping(false)} />}
      {groups.length === 0 && sheet.data && (
        <div className="mt-2 flex items-center gap-3 rounded-xl border border-dashed border-line bg-paper p-4">
          <p className="flex-1 text-[13.5px]">
            No looks yet. The six prototypes – happiness, sadness, surprise, fear, anger, disgust – are made
            from facial action units with the pieces this face has; each says what it has to do without.
          </p>
          <button className="btn-do shrink-0" onClick={() => void edit({ kind: 'make-looks' })}>
            <Sparkles size={14} aria-hidden /> Make the six looks
          </button>
        </div>
      )}
      {groups.map(([name, entries]) => (
        <div key={name} className="mt-2.5">
          <h3 className="text-[12.5px] text-faint">{name || 'Without a collection'}</h3>
          <Cells className="mt-1 grid grid-cols-3 gap-2">
            {entries.map(({ entry, index }) => (
              <LookCard
                key={entry.look.id}
                entry={entry}
                picture={
                  sheet.data && box ? (
                    <FaceCrop
                      character={character}
                      artwork={artwork}
                      frame={frames[index]}
                      box={box}
                      label=""
                      className="block aspect-[100/94] w-full bg-drawn"
                    />
                  ) : null
                }
              />
            ))}
          </Cells>
        </div>
      ))}
    </section>
  );
}

function LookCard({ entry, picture }: { entry: Entry; picture: React.ReactNode }) {
  const { edit } = useStudio();
  const { look } = entry;
  const strength = useDesk((s) => s.looks[look.id] ?? 0);
  const set = (v: number) => useDesk.getState().look(look.id, v);
  const faults = [...entry.lacks, ...entry.skipped.map((s) => `${s} is not there any more and is skipped.`)];
  return (
    <div
      data-testid={`look-${look.id}`}
      data-copies={`look:${look.id}`}
      className={`group overflow-hidden rounded-xl border bg-paper ${
        strength > 0 ? 'border-doing ring-2 ring-doing' : 'border-line hover:border-faint'
      }`}
    >
      <button
        className="relative block w-full"
        aria-pressed={strength > 0}
        aria-label={`${look.name}: ${strength > 0 ? 'remove it from the pose' : 'mix it into the pose'}`}
        onClick={() => set(strength > 0 ? 0 : 1)}
      >
        {picture}
        {faults.length > 0 && (
          <span
            className="absolute top-1.5 right-1.5 rounded-full bg-wrong-soft p-1 text-wrong"
            title={faults.join('\n')}
          >
            <TriangleAlert size={13} aria-label={faults.join(' ')} />
          </span>
        )}
      </button>
      <div className="px-2 pt-1 pb-1.5">
        <div className="flex items-center gap-1">
          <EditableName
            label="Name of the look"
            name={look.name}
            rename={(name) => edit({ kind: 'name-look', look: look.id, name, collection: look.collection })}
            className="min-w-0 flex-1 truncate text-[13px]"
          />
          <button
            className="p-0.5 text-faint opacity-0 group-hover:opacity-100 hover:text-wrong focus-visible:opacity-100"
            aria-label={`Delete the look ${look.name}`}
            onClick={() => {
              set(0);
              void edit({ kind: 'drop-look', look: look.id });
            }}
          >
            <X size={13} aria-hidden />
          </button>
        </div>
        <label className="flex items-center gap-1.5">
          <input
            type="range"
            min={0}
            max={100}
            value={Math.round(strength * 100)}
            aria-label={`Strength of ${look.name}`}
            className="w-full min-w-0 accent-(--doing)"
            onChange={(e) => set(Number(e.target.value) / 100)}
          />
          <span className="w-10 shrink-0 text-right text-[11.5px] whitespace-nowrap tabular-nums text-faint">
            {Math.round(strength * 100)} %
          </span>
        </label>
      </div>
    </div>
  );
}
