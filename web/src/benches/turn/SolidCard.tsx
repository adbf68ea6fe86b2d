import { Move3d, RefreshCw } from 'lucide-react';
import type { HeadShape, TurnView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { NumberField } from '../../ui/NumberField';
import { NoteLines } from './NoteLines';
import { Pieces } from './Pieces';
import { SideView } from './SideView';

/** What the turn is made from: how deep the head is, and what each of its pieces is in the round. */
export function SolidCard({ shape, turn }: { shape: HeadShape; turn: TurnView }) {
  const { view, edit } = useStudio();
  const shown = useDesk((s) => s.solids);
  const dial = view.character.controls.dials.find((d) => d.purpose === 'TURN');
  const { byHand, nosePieces, angle, bears, drawnAngle } = turn;
  const degrees = (v: number) => `${(angle ? angle.drawn + (v - angle.rest) * angle.scale : v).toFixed(0)}°`;
  const notes = turn.notes.filter((n) => !n.mesh);
  const set = (change: Partial<HeadShape>) =>
    void edit({ kind: 'make-turn', shape: { ...shape, ...change } });
  return (
    <section className="mt-3 rounded-xl border border-line bg-paper p-3" aria-label="The head in the round">
      <div className="flex items-center gap-2">
        <h2 className="flex-1 text-[15px] font-semibold">The head in the round</h2>
        <button
          className="btn"
          aria-pressed={shown}
          onClick={() => useDesk.setState({ solids: !shown, recording: false })}
          title="Turn the head, then pull its pieces forward and back"
        >
          <Move3d size={14} aria-hidden /> {shown ? 'Hide them' : 'On the face'}
        </button>
        <button
          className="btn"
          onClick={() => void edit({ kind: 'make-turn', shape })}
          title="From the pieces as they are now"
        >
          <RefreshCw size={14} aria-hidden /> Rebuild
        </button>
      </div>
      <p className="mt-0.5 text-[12.5px] text-faint">
        turns from {degrees(dial?.from ?? -45)} to {degrees(dial?.to ?? 45)}
        {shape.drawn !== 0 && (
          <>
            , drawn at {shape.drawn.toFixed(0)}°{' '}
            <button className="underline hover:text-ink" onClick={() => set({ drawn: 0 })}>
              no, from the front
            </button>
          </>
        )}
        {byHand > 0 && `; ${byHand} ${byHand === 1 ? 'thing' : 'things'} shaped by hand stay`}
      </p>
      {bears && (
        <p className="mt-1 flex items-center gap-2 text-[12.5px] text-faint">
          <span className="flex-1">
            It bears {bears.degrees.toFixed(0)}° either way.{bears.stops && ` ${bears.stops}`}
          </span>
          {dial && Math.abs(dial.to - bears.degrees) > 0.5 && (
            <button
              className="btn"
              title="The dial reaches as far as the head bears; what was shaped by hand stays"
              onClick={() => void edit({ kind: 'make-turn', shape, reach: bears.degrees })}
            >
              Turn it {bears.degrees.toFixed(0)}°
            </button>
          )}
        </p>
      )}
      {drawnAngle != null && Math.abs(drawnAngle - shape.drawn) > 8 && (
        <p className="mt-1 flex items-center gap-2 text-[12.5px] text-faint">
          <span className="flex-1">Its eyes say that it was drawn turned by {drawnAngle.toFixed(0)}°.</span>
          <button className="btn" onClick={() => set({ drawn: drawnAngle })}>
            Turn it from there
          </button>
        </p>
      )}
      <div className="mt-2 flex items-start gap-3">
        <SideView shape={shape} side={turn.side} />
        <div className="grid flex-1 grid-cols-2 gap-x-3 gap-y-1.5">
          <NumberField
            label="face"
            unit=" %"
            value={shape.front * 100}
            keep={(v) => set({ front: v / 100 })}
          />
          <NumberField label="back" unit=" %" value={shape.back * 100} keep={(v) => set({ back: v / 100 })} />
          <NumberField label="chin" unit=" %" value={shape.chin * 100} keep={(v) => set({ chin: v / 100 })} />
          <NumberField label="nape" unit=" %" value={shape.nape * 100} keep={(v) => set({ nape: v / 100 })} />
          <NumberField
            label="muzzle"
            unit=" %"
            value={shape.muzzle * 100}
            keep={(v) => set({ muzzle: v / 100 })}
          />
          <NumberField
            label="neck"
            unit=" %"
            value={shape.pivot * 100}
            keep={(v) => set({ pivot: v / 100 })}
          />
          <NumberField
            label="level cut"
            value={shape.roundness}
            step={0.1}
            keep={(v) => set({ roundness: v })}
          />
          <NumberField label="drawn at" unit="°" value={shape.drawn} keep={(v) => set({ drawn: v })} />
          <p className="col-span-2 text-[12px] text-faint">
            In hundredths of half the head’s width; the knobs pull the same numbers. Level cut: 2 round, 7 a
            box. Drawn at: 0° from the front.
          </p>
        </div>
      </div>
      {shape.roundness > 4 && turn.pieces.every((p) => p.kind !== 'SIDE') && (
        <p className="mt-2 flex items-center gap-2 text-[12.5px] text-faint">
          <span className="flex-1">A box has sides that nobody drew.</span>
          <button
            className="btn"
            title="A part for each side, in the face’s colours a little darker, to be drawn on"
            onClick={() => void edit({ kind: 'make-sides' })}
          >
            Give it its sides
          </button>
        </p>
      )}
      <Pieces turn={turn} />
      {notes.length > 0 && <NoteLines notes={notes} label="Not turned, or only as one piece" />}
      {nosePieces && (
        <p className="mt-2 flex items-center gap-2 text-[12.5px] text-faint">
          <span className="flex-1">The nose exchanges its drawing on the way.</span>
          <button
            className="btn"
            title="The front drawing stays; the profile’s line shows only where it is past the edge of the face"
            onClick={() => void edit({ kind: 'split-nose' })}
          >
            Let its profile grow past the edge
          </button>
        </p>
      )}
    </section>
  );
}
