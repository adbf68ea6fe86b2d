import type { Dial, EyesView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { placesOf, usePictures } from '../../state/pictures';
import { useSettled } from '../../state/settled';
import { useStudio } from '../../state/studio';
import { FaceCrop } from '../../ui/FaceCrop';

const STEPS = 5;

/** The blink from open to shut as it really is in the present pose; a click holds the eyes there. */
export function BlinkStrip({ eyes, blink }: { eyes: EyesView['eyes']; blink: Dial }) {
  const { view, artwork } = useStudio();
  const { character } = view;
  const dials = useSettled((s) => s.dials, 200);
  const { picks, pins, looks } = useSettled((s) => s, 200);
  const at = placesOf(blink, STEPS);
  const frames = usePictures(at.map((v) => ({ dials: { ...dials, [blink.id]: v }, picks, pins, looks })));
  const now = useDesk((s) => s.dials[blink.id] ?? blink.rest);
  const left = Math.min(...eyes.map((e) => e.box.minX));
  const right = Math.max(...eyes.map((e) => e.box.maxX));
  const top = Math.min(...eyes.map((e) => e.box.minY));
  const bottom = Math.max(...eyes.map((e) => e.box.maxY));
  const w = Math.max((right - left) * 1.1, (bottom - top) * 2.6);
  const h = w / 2;
  const box = { x: (left + right - w) / 2, y: (top + bottom - h) / 2, w, h };
  const words = ['open', '¼', 'half', '¾', 'shut'];
  return (
    <div className="mt-1.5 grid grid-cols-5 gap-1.5" role="group" aria-label={blink.name}>
      {at.map((v, i) => (
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
            frame={frames[i]}
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
