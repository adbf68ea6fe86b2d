import { useQuery } from '@tanstack/react-query';
import { api, type Dial, type EyesView } from '../../api/client';
import { frameOf } from '../../stage/series';
import { useDesk } from '../../state/desk';
import { useSettled } from '../../state/settled';
import { useStudio } from '../../state/studio';
import { FaceCrop } from '../../ui/FaceCrop';

const STEPS = 5;

/** The blink from open to shut as it really is in the present pose; a click holds the eyes there. */
export function BlinkStrip({ eyes, blink }: { eyes: EyesView['eyes']; blink: Dial }) {
  const { view, artwork, director } = useStudio();
  const { character } = view;
  const dials = useSettled((s) => s.dials, 200);
  const others = JSON.stringify({ ...dials, [blink.id]: 0 });
  const strip = useQuery({
    queryKey: ['blink-strip', view.id, view.revision, others],
    queryFn: ({ signal }) => api.sweep(view.id, director.moment(), blink.id, STEPS, signal),
    placeholderData: (old) => old,
  });
  const now = useDesk((s) => s.dials[blink.id] ?? blink.rest);
  const left = Math.min(...eyes.map((e) => e.box.minX));
  const right = Math.max(...eyes.map((e) => e.box.maxX));
  const top = Math.min(...eyes.map((e) => e.box.minY));
  const bottom = Math.max(...eyes.map((e) => e.box.maxY));
  const w = Math.max((right - left) * 1.1, (bottom - top) * 2.6);
  const h = w / 2;
  const box = { x: (left + right - w) / 2, y: (top + bottom - h) / 2, w, h };
  const words = ['open', '¼', 'half', '¾', 'shut'];
  if (!strip.data) return null;
  return (
    <div className="mt-1.5 grid grid-cols-5 gap-1.5" role="group" aria-label={blink.name}>
      {strip.data.at.map((v, i) => (
        <button
          key={v}
          className={`overflow-hidden rounded-lg border ${
            Math.abs(now - v) < 1e-6 ? 'border-doing ring-2 ring-doing' : 'border-line hover:border-faint'
          }`}
          aria-label={`${blink.name} ${words[i]}`}
          aria-pressed={Math.abs(now - v) < 1e-6}
          onClick={() => useDesk.getState().turn(blink.id, v)}
        >
          <FaceCrop
            character={character}
            artwork={artwork}
            frame={frameOf(strip.data, i, character.rig.order)}
            box={box}
            label=""
            className="block aspect-[2/1] w-full bg-drawn"
          />
          <span className="block bg-paper text-[11.5px]">{words[i]}</span>
        </button>
      ))}
    </div>
  );
}
