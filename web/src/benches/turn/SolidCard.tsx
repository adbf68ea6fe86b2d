import { Move3d, RefreshCw, RotateCcw } from 'lucide-react';
import type { Edit, HeadShape, TurnView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { NumberField } from '../../ui/NumberField';
import { SideView } from './SideView';

/** What the turn is made from: how deep the head is, and what each of its pieces is in the round. */
export function SolidCard({ shape, turn }: { shape: HeadShape; turn: TurnView }) {
  const { edit } = useStudio();
  const shown = useDesk((s) => s.solids);
  const { byHand, nosePieces, yaw } = turn;
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
          <Move3d size={14} aria-hidden /> {shown ? 'Put them away' : 'On the face'}
        </button>
        <button
          className="btn"
          onClick={() => void edit({ kind: 'make-turn', shape })}
          title="From the pieces as they are now"
        >
          <RefreshCw size={14} aria-hidden /> Make anew
        </button>
      </div>
      <p className="mt-0.5 text-[12.5px] text-faint">
        turns {yaw.toFixed(0)}° either way
        {byHand > 0 && `; ${byHand} ${byHand === 1 ? 'thing' : 'things'} shaped by hand stay`}
      </p>
      <div className="mt-2 flex items-start gap-3">
        <SideView shape={shape} side={turn.side as unknown as [number, number][]} />
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
          <p className="self-center text-[12px] text-faint">
            {shape.roundness > 4 ? 'a box' : shape.roundness < 2.3 ? 'round' : 'a face'}; 2 round, 7 a box
          </p>
          <p className="col-span-2 text-[12px] text-faint">
            In hundredths of half the head’s width. The knobs pull the same numbers.
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

/** Every piece that goes by itself: what it is taken for and how far forward it stands, changed in place. */
function Pieces({ turn }: { turn: TurnView }) {
  const { view, edit } = useStudio();
  const chosen = useDesk((s) => s.part);
  const name = (id: string) => view.character.rig.parts.find((p) => p.id === id)?.name ?? id;
  const rows = turn.pieces.filter((p) => !p.alongWith);
  const words = (kind: string) => turn.kinds.find((k) => k.kind === kind)?.words ?? kind;
  return (
    <details className="mt-2" open={rows.some((p) => p.part === chosen)}>
      <summary className="cursor-pointer text-[13px] font-medium">
        {rows.length} pieces{' '}
        <span className="font-normal text-faint">
          {rows.filter((p) => p.kind !== p.guessed || p.forward !== 0).length === 0
            ? 'as they look'
            : `${rows.filter((p) => p.kind !== p.guessed || p.forward !== 0).length} set by hand`}
          {rows.some((p) => p.kind === 'FLAT') &&
            `, ${rows.filter((p) => p.kind === 'FLAT').length} left flat`}
        </span>
      </summary>
      <ul className="mt-1.5 flex flex-col gap-1" aria-label="Pieces of the head">
        {rows.map((p) => {
          const said = view.character.rig.parts.find((q) => q.id === p.part)?.solid;
          const make = (kind: string | null, forward: number) =>
            void edit({ kind: 'set-solid', part: p.part, solid: kind, forward } as Edit);
          return (
            <li
              key={p.part}
              className={`flex items-center gap-2 rounded-md px-1.5 py-0.5 text-[13px] ${
                p.part === chosen ? 'bg-doing-soft' : ''
              }`}
            >
              <button
                className="min-w-0 flex-1 truncate text-left"
                title={name(p.part)}
                onClick={() => useDesk.setState({ part: p.part })}
              >
                {name(p.part)}
              </button>
              <select
                aria-label={`${name(p.part)} turns as`}
                className="field w-52"
                value={said?.kind ?? ''}
                onChange={(e) => make(e.target.value || null, p.forward)}
              >
                <option value="">{words(p.guessed)} (guessed)</option>
                {turn.kinds.map((k) => (
                  <option key={k.kind} value={k.kind}>
                    {k.words}
                  </option>
                ))}
              </select>
              <div className="w-28">
                <NumberField
                  label="forward"
                  unit=" %"
                  value={p.forward * 100}
                  step={2}
                  disabled={p.kind === 'FLAT'}
                  keep={(v) => make(said?.kind ?? null, v / 100)}
                />
              </div>
              <button
                className="btn px-1.5"
                aria-label={`${name(p.part)} as it looks`}
                title="As it looks"
                disabled={!said?.kind && p.forward === 0}
                onClick={() => make(null, 0)}
              >
                <RotateCcw size={13} aria-hidden />
              </button>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
