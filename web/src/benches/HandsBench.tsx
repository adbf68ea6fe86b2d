import { useQuery, keepPreviousData } from '@tanstack/react-query';
import { CircleCheck } from 'lucide-react';
import { useRef, useState } from 'react';
import { api, type Shape } from '../api/client';
import { BendRow, SwingRow } from './hands/HandRows';
import { TakeFrom } from './intake/TakeFrom';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { asMessage } from '../state/messages';
import { CloseUp } from './hands/CloseUp';
import { HandPicture } from './hands/HandPicture';
import { Holds } from './hands/Holds';
import { LiesOver } from './hands/LiesOver';
import { Runs } from './hands/Runs';
import { Cells } from '../ui/Cells';

const NONE: Shape[] = [];

/** Every drawing of a hand on its forearm: aligned on the wrist, swung, laid over each other, measured and mended. */
export function HandsBench() {
  const { view, artwork, edit } = useStudio();
  const { character } = view;
  const hands = useQuery({
    queryKey: ['hands', view.id, view.revision],
    queryFn: () => api.hands(view.id),
    placeholderData: keepPreviousData,
  });
  const [chosen, setChosen] = useState<string | null>(null);
  const [swing, setSwing] = useState(0);
  const [under, setUnder] = useState('');
  const [keepSize, setKeepSize] = useState(false);
  const [putting, setPutting] = useState<string | null>(null);
  const [near, setNear] = useState<string | null>(null);
  const [reach, setReach] = useState<number | null>(null);
  const sent = useRef<number | null>(null);
  const picks = useDesk((s) => s.picks);
  const shownHand = hands.data?.hands.find((h) => h.part === chosen) ?? hands.data?.hands[0];
  const bend = character.rig.parts.find((p) => p.id === shownHand?.part)?.wristBend ?? undefined;
  const bent = useQuery({
    queryKey: ['bent', view.id, view.revision, shownHand?.part, swing],
    queryFn: () => api.bent(view.id, shownHand!.part, swing),
    enabled: bend !== undefined,
    // both hands have drawings of the same names
    placeholderData: (before, query) => (query?.queryKey[3] === shownHand?.part ? before : undefined),
  });
  const head = <h1 className="text-2xl font-bold">Hands</h1>;
  if (hands.error)
    return (
      <>
        {head}
        <p className="mt-2 text-wrong">{asMessage(hands.error).message}</p>
      </>
    );
  if (!hands.data)
    return (
      <>
        {head}
        <p className="mt-2 text-faint">Every drawing is put on its wrist and measured …</p>
      </>
    );
  const hand = shownHand;
  const part = character.rig.parts.find((p) => p.id === hand?.part);
  if (!hand || !part)
    return (
      <>
        {head}
        <p className="mt-2 rounded-lg border border-dashed border-line p-4 text-faint">
          This character has no hands yet. Name layers “hand L fist”, “hand L open” …, or drag a drawing onto
          the hand’s slot on the Intake bench; all of them become one set.
        </p>
        <TakeFrom what="hands" kinds={['HAND', 'PART']} />
      </>
    );
  const shapesOf = (id: string | undefined, drawing: string | undefined): Shape[] => {
    const d = character.rig.parts.find((p) => p.id === id)?.drawings.find((x) => x.id === drawing);
    return d ? (artwork[d.art] ?? NONE) : NONE;
  };
  const arm = character.rig.parts.find((p) => p.id === hand.arm);
  const stackOf = (drawing: string) => part.drawings.find((d) => d.id === drawing)?.over ?? undefined;
  const height = (id: string) => character.rig.order.indexOf(id);
  const armOver = (drawing: string) => (arm ? height(arm.id) > height(stackOf(drawing) ?? part.id) : false);
  const closeUp = hand.drawings.find((d) => d.drawing === near);
  const bends = () => {
    // a key let go of while the answer is on its way asks for nothing new
    if (reach === null || sent.current === reach) return;
    if (reach === (bend?.reach ?? 0)) return setReach(null);
    sent.current = reach;
    void edit({ kind: 'bend-wrist', part: part.id, reach }).finally(() => {
      sent.current = null;
      setReach((now) => (now === reach ? null : now));
    });
  };
  const frontFirst = [...character.rig.order].reverse().filter((id) => id !== part.id);
  const off = hand.drawings.filter((d) => d.message !== '');
  const mendable = hand.drawings.filter(
    (d) => d.off > 0.01 || Math.abs(d.ratio - 1) > 1e-6 || d.turned !== 0,
  );
  return (
    <>
      <header className="flex items-baseline gap-3">
        {head}
        <span className="min-w-0 flex-1 truncate text-[13px] text-faint">
          {hand.drawings.length} drawings ·{' '}
          {off.length === 0 ? 'all on the wrist' : `${off.length} off the wrist`}
        </span>
      </header>
      <div className="mt-2 flex flex-wrap items-center gap-1.5">
        <div role="tablist" aria-label="Hands" className="contents">
          {hands.data.hands.map((h) => (
            <button
              key={h.part}
              role="tab"
              aria-selected={h.part === hand.part}
              className={`rounded-full border px-2.5 py-0.5 text-[12.5px] ${
                h.part === hand.part
                  ? 'border-ink bg-ink text-paper'
                  : 'border-line bg-card hover:border-faint'
              }`}
              onClick={() => {
                setChosen(h.part);
                setUnder('');
                setPutting(null);
                setNear(null);
              }}
            >
              {h.name}
            </button>
          ))}
        </div>
        <label className="ml-auto flex items-center gap-1.5 text-[12.5px]">
          laid over
          <select
            className="field py-0.5"
            aria-label="Laid over"
            value={under}
            onChange={(e) => setUnder(e.target.value)}
          >
            <option value="">nothing</option>
            {hand.drawings.map((d) => (
              <option key={d.drawing} value={d.drawing}>
                {d.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <SwingRow swing={swing} set={setSwing} />
      <BendRow now={reach} kept={bend?.reach ?? 0} set={setReach} keep={bends} />
      {closeUp && (
        <CloseUp
          key={closeUp.drawing}
          hand={hand}
          part={part}
          drawing={closeUp}
          arm={arm}
          shapesOf={shapesOf}
          armOver={armOver(closeUp.drawing)}
          swing={swing}
          bent={bend && bent.data?.drawings[closeUp.drawing]}
          close={() => setNear(null)}
        />
      )}
      <Cells className="mt-2 grid grid-cols-3 gap-1.5" data-testid="hand-sheet">
        {hand.drawings.map((d) => {
          const isDefault = d.drawing === part.shown;
          return (
            <figure
              key={d.drawing}
              className={`overflow-hidden rounded-lg border bg-card [contain-intrinsic-size:auto_220px] [content-visibility:auto] ${
                putting === d.drawing
                  ? 'border-doing ring-2 ring-doing'
                  : d.message
                    ? 'border-wrong/60'
                    : 'border-line'
              }`}
              data-testid={`hand-${d.drawing}`}
            >
              <button
                className="block w-full"
                aria-label={`Pick ${d.name}`}
                aria-pressed={picks[part.id] === d.drawing}
                disabled={putting === d.drawing}
                onClick={() =>
                  useDesk.getState().pick(part.id, picks[part.id] === d.drawing ? null : d.drawing)
                }
              >
                <HandPicture
                  hand={shapesOf(part.id, d.drawing)}
                  arm={shapesOf(arm?.id, arm?.shown)}
                  place={hand.place ?? [1, 0, 0, 1, 0, 0]}
                  armOver={armOver(d.drawing)}
                  wanted={hand.wrist}
                  own={d.wrist}
                  swing={swing}
                  bent={bend && bent.data?.drawings[d.drawing]?.outlines}
                  gap={d.gap}
                  under={under && under !== d.drawing ? shapesOf(part.id, under) : undefined}
                  put={
                    putting === d.drawing
                      ? (first, second) =>
                          void edit({ kind: 'set-wrist', part: part.id, drawing: d.drawing, first, second })
                      : undefined
                  }
                />
              </button>
              <figcaption className="px-1.5 pt-1 pb-1.5 text-[12px] leading-4">
                <span className="flex flex-wrap items-baseline gap-x-1">
                  <b className="min-w-10 flex-1 truncate">{d.name}</b>
                  <span
                    className="text-faint tabular-nums"
                    title="The widest place that opens at the wrist when the arm swings by 60°, and the largest angle between the outlines of hand and arm where they meet"
                  >
                    gap {d.gap.width.toFixed(1)} · {d.bend.toFixed(0)}°
                  </span>
                </span>
                <span className={`block min-h-8 text-[11.5px] ${d.message ? 'text-wrong' : 'text-faint'}`}>
                  {d.message || (isDefault ? 'the default: all others go by it' : 'on the wrist')}
                </span>
                <LiesOver part={part} drawing={d} over={stackOf(d.drawing)} frontFirst={frontFirst} />
                <span className="flex flex-wrap gap-1">
                  <button
                    className="btn px-1.5 py-0 text-[11.5px]"
                    aria-pressed={putting === d.drawing}
                    title="Drag the two points of its wrist, or move them with the arrow keys; the drawing stays"
                    onClick={() => setPutting(putting === d.drawing ? null : d.drawing)}
                  >
                    Set wrist
                  </button>
                  <button
                    className="btn px-1.5 py-0 text-[11.5px]"
                    aria-pressed={near === d.drawing}
                    aria-label={`Enlarge: ${d.name}`}
                    title="Large: which points stay with the arm, and where it holds things"
                    onClick={() => setNear(near === d.drawing ? null : d.drawing)}
                  >
                    Enlarge
                  </button>
                  {!isDefault && (d.message !== '' || d.off > 0.01) && (
                    <button
                      className="btn px-1.5 py-0 text-[11.5px]"
                      title="Turns, scales and moves the drawing until its wrist is the others'"
                      onClick={() =>
                        void edit({ kind: 'register-hand', part: part.id, drawing: d.drawing, keepSize })
                      }
                    >
                      Align
                    </button>
                  )}
                </span>
              </figcaption>
            </figure>
          );
        })}
      </Cells>
      <div className="mt-2.5 flex flex-wrap items-center gap-2 pb-3 text-[13px]">
        {off.length === 0 ? (
          <span className="flex flex-1 items-center gap-2">
            <CircleCheck size={16} className="shrink-0 text-doing" aria-hidden />
            Every drawing meets the arm at one wrist.
          </span>
        ) : (
          <span className="flex-1">{off.length} of them do not meet the arm where the default one does.</span>
        )}
        {mendable.length > 0 && hand.drawings.length > 1 && (
          <>
            <label className="flex items-center gap-1 text-[12.5px]">
              <input type="checkbox" checked={keepSize} onChange={(e) => setKeepSize(e.target.checked)} />{' '}
              keep their size
            </label>
            <button
              className={off.length > 0 ? 'btn-do' : 'btn'}
              onClick={() => void edit({ kind: 'register-hand', part: part.id, drawing: '', keepSize })}
            >
              Bring all onto the wrist
            </button>
          </>
        )}
      </div>
      <Holds part={part} />
      <Runs part={part} />
    </>
  );
}
