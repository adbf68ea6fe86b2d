import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { CircleCheck, Info, Plus, Rotate3d, TriangleAlert } from 'lucide-react';
import { useMemo, useState } from 'react';
import { api } from '../../api/client';
import { shown } from '../../shelf/values';
import { useDesk } from '../../state/desk';
import { placesOf, usePictures } from '../../state/pictures';
import { useSettled } from '../../state/settled';
import { useStudio } from '../../state/studio';
import { asMessage } from '../../state/messages';
import { SolidCard } from './SolidCard';
import { PixelMeshes } from './PixelMeshes';
import { PlayRow } from './PlayRow';
import { Strip } from './Strip';
import { TwoHalves } from './TwoHalves';
import { ViewsCard } from './ViewsCard';

const PICTURES = [7, 13, 25] as const;

/** The whole turn at a glance: from end to end, both halves, what it is made from and what is wrong with it. */
export function HeadTurn() {
  const { view, edit } = useStudio();
  const { character } = view;
  const [pictures, setPictures] = useState<number>(7);
  const [onion, setOnion] = useState(false);
  const [exactly, setExactly] = useState(false);
  const dial = character.controls.dials.find((d) => d.purpose === 'TURN');
  const held = useSettled(
    (s) => JSON.stringify({ dials: { ...s.dials, [dial?.id ?? '']: undefined }, looks: s.looks }),
    300,
  );
  const pose = useMemo(() => {
    const { dials, looks } = JSON.parse(held);
    return { dials, looks };
  }, [held]);
  const client = useQueryClient();
  const turn = useQuery({
    queryKey: ['turn', view.id, view.revision],
    queryFn: async () => {
      const answer = await api.turn(view.id);
      // for what takes hold of the pieces on the stage
      client.setQueryData(['turn-pieces', view.id, view.revision], answer);
      return answer;
    },
    placeholderData: keepPreviousData,
  });
  const exact = useQuery({
    queryKey: ['turn-exact', view.id, view.revision, held, pictures],
    queryFn: () => api.exactTurn(view.id, pose, pictures),
    enabled: exactly && turn.data?.made === true,
    placeholderData: keepPreviousData,
  });
  const strip = dial ? placesOf(dial, pictures) : [];
  const frames = usePictures(
    dial ? strip.map((at) => ({ ...pose, dials: { ...pose.dials, [dial.id]: at } })) : [],
  );
  if (turn.error) return <p className="mt-2 text-wrong">{asMessage(turn.error).message}</p>;
  if (!turn.data) return <p className="mt-2 text-faint">Turning the head …</p>;
  const { made, shape, measured, uneven, offered, edges, offModel, drawnAngle } = turn.data;
  const { views } = character.controls;
  const several = character.rig.parts.filter((p) => p.role === 'VIEW').length > 1;
  if (!views && several)
    return (
      <div className="mt-3 rounded-xl border border-dashed border-line bg-paper p-4">
        <p className="text-[13.5px]">
          This head has several views. On its turn each stands at the angle its name tells; where only one
          side is drawn, its mirror image takes the other.
        </p>
        <button className="btn-do mt-2" onClick={() => void edit({ kind: 'make-views' })}>
          <Rotate3d size={15} aria-hidden /> Put the views on the turn
        </button>
      </div>
    );
  if (shape.length === 0 && !views)
    return (
      <p className="mt-2 text-faint">
        There is no head with a face on it yet. Name a layer “face skin”, or drag it onto its slot on the
        Intake bench; then the head can turn.
      </p>
    );
  if ((!made || !dial) && turn.data.refused)
    return (
      <div className="mt-3 flex items-start gap-2 rounded-xl border border-line bg-paper p-4 text-[13.5px]">
        <Info size={16} className="mt-0.5 shrink-0 text-faint" aria-hidden />
        <p>{turn.data.refused}</p>
      </div>
    );
  if (!made || !dial)
    return (
      <div className="mt-3 rounded-xl border border-dashed border-line bg-paper p-4">
        <p className="text-[13.5px]">
          The head is taken for a solid and turned: each piece goes as what it is, a muzzle before the face,
          hair behind it, a hat round it. What comes of it are ordinary stops, which are then shaped by hand.
        </p>
        {drawnAngle != null && shape[0] ? (
          <>
            <p className="mt-1.5 text-[13.5px]">
              Its eyes say that it was drawn turned by {drawnAngle.toFixed(0)}°. It then turns to either side
              from there.
            </p>
            <div className="mt-2 flex flex-wrap gap-2">
              <button
                className="btn-do"
                onClick={() => void edit({ kind: 'make-turn', shape: { ...shape[0]!, drawn: drawnAngle } })}
              >
                <Rotate3d size={15} aria-hidden /> Make it turn from {drawnAngle.toFixed(0)}°
              </button>
              <button className="btn" onClick={() => void edit({ kind: 'make-turn' })}>
                It was drawn from the front
              </button>
            </div>
          </>
        ) : (
          <button className="btn-do mt-2" onClick={() => void edit({ kind: 'make-turn' })}>
            <Rotate3d size={15} aria-hidden /> Make the head turn
          </button>
        )}
      </div>
    );
  // of each side the worst: the others are the same patch on its way
  const bald = [-1, 1].flatMap((side) =>
    measured
      .filter((m) => m.message !== '' && Math.sign(m.at - dial.rest) === side)
      .sort((a, b) => b.bald - a.bald)
      .slice(0, 1),
  );
  const gone = new Map<string, number[]>();
  for (const m of measured) for (const part of m.hidden) gone.set(part, [...(gone.get(part) ?? []), m.at]);
  const name = (id: string) => character.rig.parts.find((p) => p.id === id)?.name ?? id;
  return (
    <>
      {!views && <PixelMeshes turn={turn.data} />}
      <section className="mt-3" aria-label="Whole range">
        <div className="flex items-center gap-1.5">
          <h2 className="flex-1 text-[15px] font-semibold">Whole range</h2>
          <button
            className="btn px-2 py-0.5 text-[12px]"
            aria-pressed={onion}
            title="Each picture lets the one before it shine through"
            onClick={() => setOnion(!onion)}
          >
            Onion skin
          </button>
          {!views && (
            <button
              className="btn px-2 py-0.5 text-[12px]"
              aria-pressed={exactly}
              title="Below each picture the head as its solids have it, without stops between, and how far both are apart"
              onClick={() => setExactly(!exactly)}
            >
              Exact way
            </button>
          )}
          {PICTURES.map((n) => (
            <button
              key={n}
              className="btn px-2 py-0.5 text-[12px]"
              aria-pressed={pictures === n}
              onClick={() => setPictures(n)}
            >
              {n}
            </button>
          ))}
        </div>
        {strip.length > 0 && (
          <Strip
            dial={dial}
            at={strip}
            frames={frames}
            measured={measured}
            onion={onion}
            exact={exactly ? (exact.data ?? null) : null}
          />
        )}
        <PlayRow dial={dial} />
      </section>
      {views && strip.length > 0 && (
        <ViewsCard dial={dial} views={views} at={strip} frames={frames} edges={edges} offModel={offModel} />
      )}
      {!views && frames.length > 0 && !shape[0]?.drawn && (
        <TwoHalves dial={dial} frames={frames} uneven={uneven} />
      )}
      {!views && <SolidCard shape={shape[0]!} turn={turn.data} />}
      {!views && (
        <section className="mt-3" aria-label="Hidden and uncovered">
          <h2 className="text-[15px] font-semibold">Hidden and uncovered</h2>
          {bald.length === 0 && (
            <p className="mt-1 flex items-center gap-2 text-[13px]">
              {shape[0]?.drawn ? (
                <>
                  <Info size={16} className="shrink-0 text-faint" aria-hidden />
                  What was out of sight where it was drawn nobody can tell, so no hair is looked for there.
                </>
              ) : (
                <>
                  <CircleCheck size={16} className="shrink-0 text-doing" aria-hidden />
                  Wherever the skull comes round the side there is hair on it.
                </>
              )}
            </p>
          )}
          {bald.map((m) => (
            <p
              key={m.at}
              className="mt-1 flex items-start gap-2 rounded-lg border border-wrong/40 bg-wrong-soft px-2.5 py-1.5 text-[13px]"
            >
              <TriangleAlert size={15} className="mt-0.5 shrink-0 text-wrong" aria-hidden />
              <span className="flex-1">{m.message}</span>
              <button className="btn" onClick={() => useDesk.getState().turn(dial.id, m.at)}>
                Show
              </button>
            </p>
          ))}
          {gone.size > 0 && (
            <p className="mt-1 text-[12.5px] text-faint">
              Out of sight:{' '}
              {[...gone]
                .map(([part, at]) => `${name(part)} at ${at.map((v) => shown(dial, v)).join(', ')}`)
                .join('; ')}
              .
            </p>
          )}
        </section>
      )}
      {offered.length > 0 && (
        <section className="mt-3 pb-3" aria-label="Head extras">
          <h2 className="text-[15px] font-semibold">Head extras</h2>
          <div className="mt-1 flex flex-wrap gap-1.5">
            {offered.map((o) => (
              <button
                key={o.dial}
                className="btn"
                onClick={() => void edit({ kind: 'make-head-dial', dial: o.dial })}
              >
                <Plus size={14} aria-hidden /> {o.name}
              </button>
            ))}
          </div>
        </section>
      )}
    </>
  );
}
