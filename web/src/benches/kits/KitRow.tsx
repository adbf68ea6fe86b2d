import { useQuery, keepPreviousData } from '@tanstack/react-query';
import { Star, Trash2 } from 'lucide-react';
import { api, type Kit } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { EditableName } from '../../ui/EditableName';
import { FaceCrop } from '../../ui/FaceCrop';
import { KeyField } from '../../ui/KeyField';
import { useWheelSteps } from '../../ui/wheel';
import { worn } from './wardrobe';

/** The kits of one set side by side, each as the whole character wears it. */
export function KitRow({ set, kits }: { set: string; kits: Kit[] }) {
  const { view } = useStudio();
  const picks = useDesk((s) => s.picks);
  const shown = (part: string) => picks[part] ?? view.character.rig.parts.find((p) => p.id === part)?.shown;
  const on = worn(kits, shown);
  const wheel = useWheelSteps((by) => {
    const next = kits[(on < 0 ? (by > 0 ? 0 : kits.length - 1) : on + by + kits.length) % kits.length]!;
    if (worn([next], shown) < 0) useDesk.getState().wear(next.choices);
  });
  return (
    <section className="mt-3" aria-label={set || 'Kits'}>
      {set && <h2 className="text-[15px] font-semibold">{set}</h2>}
      <div ref={wheel} className="mt-1 grid grid-cols-3 gap-2" title="The wheel steps through them">
        {kits.map((k, i) => (
          <KitCard key={k.id} kit={k} on={i === on} />
        ))}
      </div>
    </section>
  );
}

function KitCard({ kit, on }: { kit: Kit; on: boolean }) {
  const { view, artwork, edit } = useStudio();
  const { character } = view;
  const pose = useQuery({
    queryKey: ['kit', view.id, view.revision, kit.choices],
    queryFn: () => api.pose(view.id, { pose: { dials: {}, picks: kit.choices, pins: {}, looks: {} } }),
    placeholderData: keepPreviousData,
  });
  const isDefault = worn([kit], (id) => character.rig.parts.find((p) => p.id === id)?.shown) === 0;
  const { width, height } = character.sheet.canvas;
  return (
    <figure
      className={`relative overflow-hidden rounded-xl border bg-card ${on ? 'border-doing ring-2 ring-doing' : 'border-line'}`}
    >
      <button
        className="block w-full bg-drawn"
        aria-label={`Put on ${kit.name}`}
        aria-pressed={on}
        title={`${Object.keys(kit.choices).length} parts`}
        onClick={() => useDesk.getState().wear(kit.choices)}
      >
        {pose.data ? (
          <FaceCrop
            character={character}
            artwork={artwork}
            frame={pose.data.frame}
            box={{ x: 0, y: 0, w: width, h: height }}
            label=""
            className="mx-auto block h-[150px] w-full"
          />
        ) : (
          <span className="block h-[150px]" />
        )}
      </button>
      <figcaption className="space-y-1 px-2 py-1.5">
        <EditableName
          label="Name of the kit"
          name={kit.name}
          rename={(name) => edit({ kind: 'name-kit', kit: kit.id, name, set: kit.set })}
          className="text-[13.5px]"
        />
        <span className="flex items-center gap-1">
          <KeyField
            label={`Key for the kit ${kit.name}`}
            title="Click, then press a letter or a digit: from then on that key puts this kit on"
            value={kit.key}
            give={(key) => edit({ kind: 'key-kit', kit: kit.id, key })}
          />
          <button
            className={`ml-auto rounded p-1 ${isDefault ? 'text-doing' : 'text-faint hover:text-doing'}`}
            aria-label={isDefault ? `${kit.name} is worn by default` : `Wear ${kit.name} by default`}
            title={isDefault ? 'Worn by default' : 'Wear it by default'}
            disabled={isDefault}
            onClick={() => void edit({ kind: 'show-kit', kit: kit.id })}
          >
            <Star size={14} fill={isDefault ? 'currentColor' : 'none'} aria-hidden />
          </button>
          <button
            className="rounded p-1 text-faint hover:text-wrong"
            aria-label={`Delete the kit ${kit.name}`}
            title="Delete the kit; its drawings stay"
            onClick={() => void edit({ kind: 'drop-kit', kit: kit.id })}
          >
            <Trash2 size={14} aria-hidden />
          </button>
        </span>
      </figcaption>
    </figure>
  );
}
