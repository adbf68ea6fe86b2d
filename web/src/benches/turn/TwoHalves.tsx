import { useMemo } from 'react';
import type { Dial, Frame, TurnView } from '../../api/client';
import { turnBox } from '../../stage/view';
import { shown } from '../../shelf/values';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { FaceCrop } from '../../ui/FaceCrop';

/** One end of the turn, the other one in a mirror, and the two laid over each other. */
export function TwoHalves({
  dial,
  frames,
  uneven,
}: {
  dial: Dial;
  /** From one end to the other. */
  frames: Frame[];
  uneven: TurnView['uneven'];
}) {
  const { view, artwork, edit } = useStudio();
  const { character } = view;
  const box = useMemo(() => turnBox(character, artwork), [character, artwork]);
  if (!box) return null;
  const face = (index: number, label: string, style?: React.CSSProperties) => (
    <div style={style} className="h-full w-full">
      <FaceCrop
        character={character}
        artwork={artwork}
        frame={frames[index]}
        box={box}
        label={label}
        className="block h-full w-full"
      />
    </div>
  );
  const last = frames.length - 1;
  const turned = { transform: 'scaleX(-1)' };
  const worst = uneven[0];
  const part = character.rig.parts.find((p) => p.id === worst?.part)?.name;
  const mirror = (at: number) => void edit({ kind: 'mirror-stop', dial: dial.id, at });
  return (
    <section className="mt-3 grid grid-cols-[repeat(3,104px)_1fr] items-start gap-2" aria-label="Both halves">
      <figure className="m-0">
        <div className="h-[104px] overflow-hidden rounded-lg border border-line bg-drawn">
          {face(0, 'One end')}
        </div>
        <figcaption className="text-[11px] text-faint">{shown(dial, dial.from)}</figcaption>
      </figure>
      <figure className="m-0">
        <div className="h-[104px] overflow-hidden rounded-lg border border-line bg-drawn">
          {face(last, 'The other end, in a mirror', turned)}
        </div>
        <figcaption className="text-[11px] text-faint">{shown(dial, dial.to)}, mirrored</figcaption>
      </figure>
      <figure className="m-0">
        <div className="relative h-[104px] overflow-hidden rounded-lg border border-line bg-drawn">
          {face(0, 'Both laid over each other')}
          <div className="absolute inset-0 opacity-50">{face(last, '', turned)}</div>
        </div>
        <figcaption className="text-[11px] text-faint">one over the other</figcaption>
      </figure>
      <div className="text-[12.5px]">
        {worst ? (
          <>
            <p>
              <b>{part}</b> differs by {worst.by.toFixed(1)} at {shown(dial, worst.at)}.{' '}
              <button
                className="underline decoration-dotted"
                onClick={() => useDesk.getState().turn(dial.id, worst.at)}
              >
                Show
              </button>
            </p>
            <div className="mt-1 flex flex-wrap gap-1">
              <button className="btn px-1.5 py-0.5 text-[12px]" onClick={() => mirror(dial.to)}>
                Make {shown(dial, dial.from)} from {shown(dial, dial.to)}
              </button>
              <button className="btn px-1.5 py-0.5 text-[12px]" onClick={() => mirror(dial.from)}>
                Make {shown(dial, dial.to)} from {shown(dial, dial.from)}
              </button>
            </div>
          </>
        ) : (
          <p className="text-faint">Symmetrical, to a twentieth of a unit.</p>
        )}
      </div>
    </section>
  );
}
