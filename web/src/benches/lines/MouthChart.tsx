import { useQueries } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api } from '../../api/client';
import { useSettled } from '../../state/settled';
import { useStudio } from '../../state/studio';
import { FaceCrop } from '../../ui/FaceCrop';
import { follow, mouthBox } from '../mouths/box';
import { Cells } from '../../ui/Cells';

/** The 15 classes, each as the real face with the mouth that serves it. */
export function MouthChart() {
  const { view, artwork, edit } = useStudio();
  const dials = useSettled((s) => s.dials, 350);
  const [giving, setGiving] = useState<string | null>(null);
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const served = [...new Set(view.mouths.map((m) => m.drawing))];
  const frames = useQueries({
    queries: served.map((drawing) => ({
      queryKey: ['mouth', view.id, view.revision, drawing, dials],
      queryFn: () => api.pose(view.id, { pose: { dials, pins: { [mouth!.id]: drawing } } }),
      enabled: mouth !== undefined,
      staleTime: Infinity,
      placeholderData: (old: Awaited<ReturnType<typeof api.pose>> | undefined) => old,
    })),
  });
  const box = useMemo(() => mouthBox(view.character, artwork, mouth), [view.character, artwork, mouth]);
  if (!mouth || !box) return null;
  return (
    <section className="mt-4 pb-2">
      <h2 className="text-[15px] font-semibold">
        Mouth chart{' '}
        <span className="font-sans text-[12.5px] font-normal text-faint">
          {view.mouths.filter((m) => m.own).length} of 15 classes have a mouth of their own
        </span>
      </h2>
      <Cells className="mt-1.5 grid grid-cols-5 gap-1.5">
        {view.mouths.map((m) => {
          const frame = frames[served.indexOf(m.drawing)]?.data?.frame;
          return (
            <button
              key={m.viseme}
              className={`overflow-hidden rounded-lg border bg-card text-left ${
                giving === m.viseme
                  ? 'border-doing'
                  : m.own
                    ? 'border-line hover:border-faint'
                    : 'border-dashed border-faint'
              }`}
              title={`${m.why}${m.examples.length ? ` – ${m.examples.join(', ')}` : ''}`}
              onClick={() => setGiving(giving === m.viseme ? null : m.viseme)}
            >
              {frame ? (
                <FaceCrop
                  character={view.character}
                  artwork={artwork}
                  frame={frame}
                  box={follow(box, frame, mouth.id)}
                  label={`${m.sounds}: ${m.why}`}
                  className="h-[70px] w-full"
                />
              ) : (
                <span className="block h-[70px]" />
              )}
              <span className="block truncate px-1.5 py-0.5 text-[11.5px]">
                <b>{m.sounds}</b>
                {!m.own && <span className="text-faint"> nearest</span>}
              </span>
            </button>
          );
        })}
      </Cells>
      {giving && (
        <div className="mt-2 rounded-lg border border-line bg-paper p-2.5 text-[13px]">
          <p className="mb-1.5">
            Another mouth for <b>{view.mouths.find((m) => m.viseme === giving)?.sounds}</b>:
          </p>
          <div className="flex flex-wrap gap-1">
            {mouth.drawings.map((d) => (
              <button
                key={d.id}
                className="btn px-1.5 text-[12px]"
                aria-pressed={view.mouths.find((m) => m.viseme === giving)?.drawing === d.id}
                onClick={async () => {
                  await edit({
                    kind: 'serve-sound',
                    mood: '',
                    viseme: giving as 'REST',
                    drawing: d.id,
                  });
                  setGiving(null);
                }}
              >
                {d.name}
              </button>
            ))}
          </div>
        </div>
      )}
    </section>
  );
}
