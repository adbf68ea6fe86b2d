import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { BentView, HandsView, Part, Shape } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';
import { NumberField } from '../../ui/NumberField';
import { GripMark } from './GripMark';
import { HandPicture } from './HandPicture';
import { HeldThing } from './HeldThing';
import { type PointAt, Weights } from './Weights';

type Hand = HandsView['hands'][number];

/** One drawing of a hand, large: what of its outline stays with the arm, and where and how it holds things. */
export function CloseUp({
  hand,
  part,
  drawing,
  arm,
  shapesOf,
  armOver,
  swing,
  bent,
  close,
}: {
  hand: Hand;
  part: Part;
  drawing: Hand['drawings'][number];
  arm: Part | undefined;
  shapesOf: (part: string | undefined, drawing: string | undefined) => Shape[];
  armOver: boolean;
  swing: number;
  bent: BentView['drawings'][string] | undefined;
  close: () => void;
}) {
  const { view, edit } = useStudio();
  const { character } = view;
  const picks = useDesk((s) => s.picks);
  const [chosen, setChosen] = useState<PointAt | null>(null);
  const [everywhere, setEverywhere] = useState(false);
  const shapes = shapesOf(part.id, drawing.drawing);
  const grip = part.drawings.find((d) => d.id === drawing.drawing)?.grip ?? undefined;
  const fingers = useMemo(() => shapes.filter((s) => s.role === 'FINGERS'), [shapes]);
  const bends = part.wristBend != null;
  const wrist = drawing.wrist ?? hand.wrist;
  if (!wrist) return null;
  const middle = {
    x: (wrist.first[0]! + wrist.second[0]!) / 2,
    y: (wrist.first[1]! + wrist.second[1]!) / 2,
  };
  const thing = character.rig.parts.find((p) => p.parent === part.id && p.attachment === 'GRIP');
  // what is picked; else the first there is, so that a grip can be put before anything is in the hand
  const heldDrawing = thing && (thing.drawings.find((d) => d.id === picks[thing.id]) ?? thing.drawings[0]);
  const weight = chosen ? (bent?.weights[chosen.shape]?.[chosen.at] ?? 0) : 0;
  const weigh = (p: PointAt, to: number) =>
    void edit({
      kind: 'weigh-point',
      part: part.id,
      drawing: drawing.drawing,
      ...p,
      weight: Math.max(0, Math.min(1, to)),
      everywhere,
    });
  const putGrip = (to: { x: number; y: number } | null, angle: number) =>
    void edit({
      kind: 'set-grip',
      part: part.id,
      drawing: drawing.drawing,
      ...(to ? { at: [to.x, to.y] } : {}),
      angle,
    });
  // a first grip lies in the palm: as far past the wrist as half the drawing goes
  const palm = () => {
    const w = Math.hypot(wrist.second[0]! - wrist.first[0]!, wrist.second[1]! - wrist.first[1]!);
    const ahead = [
      (wrist.second[1]! - wrist.first[1]!) / w,
      -(wrist.second[0]! - wrist.first[0]!) / w,
    ] as const;
    putGrip({ x: middle.x + ahead[0] * w, y: middle.y + ahead[1] * w }, 0);
  };
  return (
    <section
      className="mt-2 rounded-xl border-2 border-doing bg-paper p-2.5 text-[13px]"
      aria-label={`${drawing.name}, close up`}
      data-testid="hand-close-up"
    >
      <div className="flex items-center gap-2">
        <h2 className="min-w-0 flex-1 truncate text-[15px] font-semibold">{drawing.name}, close up</h2>
        <button aria-label="Close" className="rounded p-0.5 hover:bg-tide" onClick={close}>
          <X size={16} />
        </button>
      </div>
      <div className="mt-1 overflow-hidden rounded-lg border border-line">
        <HandPicture
          hand={shapes}
          arm={shapesOf(arm?.id, arm?.shown)}
          place={hand.place ?? [1, 0, 0, 1, 0, 0]}
          armOver={armOver}
          wanted={hand.wrist}
          own={drawing.wrist}
          swing={swing}
          bent={bent?.outlines}
          gap={drawing.gap}
          high="h-[230px]"
          overlay={(width) => (
            <>
              {grip && thing && heldDrawing && (
                <HeldThing
                  part={thing}
                  shapes={shapesOf(thing.id, heldDrawing.id)}
                  grip={{ x: grip.at[0]!, y: grip.at[1]! }}
                  angle={grip.angle}
                  fingers={fingers}
                />
              )}
              {bent && (
                <Weights
                  shapes={shapes}
                  outlines={bent.outlines}
                  weights={bent.weights}
                  near={middle}
                  width={width}
                  chosen={chosen}
                  choose={setChosen}
                  weigh={weigh}
                />
              )}
              {grip && (
                <GripMark
                  grip={{ x: grip.at[0]!, y: grip.at[1]! }}
                  angle={grip.angle}
                  width={width}
                  put={(to) => putGrip(to, grip.angle)}
                />
              )}
            </>
          )}
        />
      </div>
      {bends && (
        <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
          {chosen ? (
            <span className="w-44">
              <NumberField
                label="with the arm"
                unit=" %"
                step={10}
                value={weight * 100}
                keep={(v) => weigh(chosen, v / 100)}
              />
            </span>
          ) : (
            <span className="text-faint">
              Full points stay with the arm; drag one up or down to change it.
            </span>
          )}
          <label
            className="flex items-center gap-1 text-[12.5px]"
            title="The points that lie alike at the wrist of the other drawings are given the same"
          >
            <input
              type="checkbox"
              className="accent-(--doing)"
              checked={everywhere}
              onChange={(e) => setEverywhere(e.target.checked)}
            />{' '}
            on every drawing alike
          </label>
        </div>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {grip ? (
          <>
            <span className="w-36">
              <NumberField
                label="grip turned"
                unit="°"
                step={5}
                value={grip.angle}
                keep={(v) => putGrip({ x: grip.at[0]!, y: grip.at[1]! }, v)}
              />
            </span>
            <button className="btn" onClick={() => putGrip(null, 0)}>
              No grip
            </button>
          </>
        ) : (
          <>
            <span className="flex-1 text-faint">This drawing holds nothing.</span>
            <button className="btn" onClick={palm}>
              Put a grip
            </button>
          </>
        )}
      </div>
      {grip && (
        <div
          className="mt-2 flex flex-wrap items-center gap-1"
          role="group"
          aria-label="What lies before the thing held"
        >
          <span className="text-[12.5px] text-faint">before what is held</span>
          {shapes.map((s, i) => (
            <button
              key={i}
              className={`rounded-md border bg-drawn p-0.5 ${
                s.role === 'FINGERS' ? 'border-doing ring-2 ring-doing' : 'border-line hover:border-faint'
              }`}
              aria-pressed={s.role === 'FINGERS'}
              aria-label={`Shape ${i + 1}${s.name ? `, ${s.name},` : ''} before what is held`}
              onClick={() =>
                void edit({
                  kind: 'mark-fingers',
                  part: part.id,
                  drawing: drawing.drawing,
                  shape: i,
                  before: s.role !== 'FINGERS',
                })
              }
            >
              <DrawingThumb shapes={[s]} around={shapes} label="" className="h-8 w-10" />
            </button>
          ))}
        </div>
      )}
    </section>
  );
}
