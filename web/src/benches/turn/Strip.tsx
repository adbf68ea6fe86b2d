import { EyeOff, TriangleAlert } from 'lucide-react';
import { useMemo } from 'react';
import type { Dial, ExactView, Frame, TurnView } from '../../api/client';
import { nearest } from '../../stage/series';
import { turnBox, type ViewBox } from '../../stage/view';
import { shown } from '../../shelf/values';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { FaceCrop } from '../../ui/FaceCrop';
import { Cells } from '../../ui/Cells';

type Measured = TurnView['measured'][number];

/** The head from one end of a dial to the other; each picture is a place to go to. */
export function Strip({
  dial,
  at,
  frames,
  measured,
  around = null,
  onion = false,
  exact = null,
}: {
  dial: Dial;
  /** Places of the dial, evenly from end to end. */
  at: number[];
  /** The head at each of them; fewer while they are on their way. */
  frames: Frame[];
  measured: Measured[];
  /** What is to be seen in each picture; the head when nothing is said. */
  around?: ViewBox | null;
  /** Whether each picture lets the one before it, on the way from rest, shine through. */
  onion?: boolean;
  /** The same places as the solids have them, to be held below. */
  exact?: ExactView | null;
}) {
  const { view, artwork } = useStudio();
  const { character } = view;
  const head = useMemo(() => turnBox(character, artwork), [character, artwork]);
  const box = around ?? head;
  // which picture it is, not the value: a dial that is dragged renders the strip anew only from picture to picture
  const now = useDesk((s) => nearest(at, s.dials[dial.id] ?? dial.rest));
  const columns = at.length > 13 ? 9 : 7;
  if (!box) return null;
  const resting = nearest(at, dial.rest);
  const before = (i: number) => i + Math.sign(resting - i);
  const name = (id: string) => character.rig.parts.find((p) => p.id === id)?.name ?? id;
  return (
    <Cells
      className="mt-1.5 grid gap-1"
      style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
      data-testid="film-strip"
    >
      {at.map((place, i) => {
        const about = measured.find((m) => Math.abs(m.at - place) < 1e-6);
        return (
          <button
            key={place}
            className={`relative overflow-hidden rounded-lg border bg-card ${
              i === now ? 'border-doing ring-2 ring-doing' : 'border-line hover:border-faint'
            }`}
            aria-pressed={i === now}
            aria-label={`${dial.name} at ${shown(dial, place)}`}
            onClick={() => useDesk.getState().turn(dial.id, place)}
          >
            <FaceCrop
              character={character}
              artwork={artwork}
              frame={frames[i]}
              box={box}
              label=""
              className="block aspect-square w-full bg-drawn"
            />
            {onion && i !== resting && (
              <FaceCrop
                character={character}
                artwork={artwork}
                frame={frames[before(i)]}
                box={box}
                label=""
                className="absolute inset-x-0 top-0 block aspect-square w-full opacity-35"
              />
            )}
            <span className="block text-center text-[11px] leading-4 text-ink">{shown(dial, place)}</span>
            {exact && exact.at.length > 0 && nearest(exact.at, place) === i && (
              <>
                <FaceCrop
                  character={character}
                  artwork={artwork}
                  frame={exact.frames[i]}
                  box={box}
                  label=""
                  className="block aspect-square w-full border-t border-line bg-drawn"
                />
                <span
                  className="block text-center text-[11px] leading-4 text-faint"
                  title={exact.furthest[i] ? `Furthest off: ${name(exact.furthest[i])}` : 'The same'}
                >
                  {(exact.strays[i]! * 100).toFixed(1)} % off
                </span>
              </>
            )}
            {about && about.message !== '' && (
              <span className="absolute top-0.5 left-0.5 rounded-full bg-wrong-soft p-0.5 text-wrong">
                <TriangleAlert size={11} aria-label={about.message} />
              </span>
            )}
            {about && about.hidden.length > 0 && (
              <span
                className="absolute top-0.5 right-0.5 rounded-full bg-card/80 p-0.5 text-faint"
                title={`Out of sight: ${about.hidden.map(name).join(', ')}`}
              >
                <EyeOff size={11} aria-label={`Out of sight: ${about.hidden.map(name).join(', ')}`} />
              </span>
            )}
          </button>
        );
      })}
    </Cells>
  );
}
