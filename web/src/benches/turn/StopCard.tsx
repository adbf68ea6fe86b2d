import { Copy, FlipHorizontal2, Trash2, X } from 'lucide-react';
import type { Dial, DialView, Ease, Stop } from '../../api/client';
import { shown } from '../../shelf/values';
import { useDesk } from '../../state/desk';
import { valueOf } from '../../state/recording';
import { useStudio } from '../../state/studio';
import { NumberField } from '../../ui/NumberField';
import { CurveEditor } from './CurveEditor';

type Change = DialView['changes'][number];

const EASES: [Ease['kind'], string][] = [
  ['even', 'evenly'],
  ['smooth', 'smoothly'],
  ['curve', 'on a curve'],
];
const START: Record<Ease['kind'], Ease> = {
  even: { kind: 'even' },
  smooth: { kind: 'smooth' },
  curve: { kind: 'curve', x1: 0.42, y1: 0, x2: 0.58, y2: 1 },
};

/** One stop: where it stands, how it is come to, and everything it does, each thing to be taken back alone. */
export function StopCard({ dial, stop, changes }: { dial: Dial; stop: Stop; changes: Change[] }) {
  const { view, edit } = useStudio();
  const here = useDesk((s) => valueOf(s, dial));
  const on = Math.abs(here - stop.at) < 1e-6;
  const name = (id: string) => view.character.rig.parts.find((p) => p.id === id)?.name ?? id;
  const { ease } = stop;
  const across = 2 * dial.rest - stop.at;
  const parts = new Set(changes.map((c) => c.part)).size;
  const stopOf = { dial: dial.id, at: stop.at };
  return (
    <li
      className={`rounded-xl border bg-paper px-2.5 py-2 ${on ? 'border-doing' : 'border-line'}`}
      data-testid={`stop-${stop.at}`}
    >
      <div className="flex items-center gap-1.5">
        <button
          className="btn px-2 font-bold"
          aria-pressed={on}
          onClick={() => useDesk.getState().turn(dial.id, stop.at)}
          title="Put the dial here"
        >
          {shown(dial, stop.at)}
        </button>
        <div className="w-[124px]">
          <NumberField
            label="move to"
            unit={dial.unit}
            value={stop.at}
            keep={(to) => void edit({ kind: 'move-stop', ...stopOf, to })}
          />
        </div>
        <select
          className="field"
          aria-label={`How ${shown(dial, stop.at)} is come to`}
          value={ease.kind}
          onChange={(e) =>
            void edit({ kind: 'ease-stop', ...stopOf, ease: START[e.target.value as Ease['kind']] })
          }
        >
          {EASES.map(([kind, words]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </select>
        <span className="flex-1" />
        <button
          className="btn px-1.5"
          title={`The same on the other side, at ${shown(dial, across)}`}
          aria-label={`Mirror ${shown(dial, stop.at)}`}
          onClick={() => void edit({ kind: 'mirror-stop', ...stopOf })}
        >
          <FlipHorizontal2 size={14} aria-hidden />
        </button>
        <button
          className="btn px-1.5"
          disabled={on || here === dial.rest}
          title={`Copy it to where the dial stands, ${shown(dial, here)}`}
          aria-label={`Copy ${shown(dial, stop.at)} to where the dial stands`}
          onClick={() => void edit({ kind: 'copy-stop', ...stopOf, to: here })}
        >
          <Copy size={14} aria-hidden />
        </button>
        <button
          className="btn px-1.5"
          aria-label={`Delete the stop at ${shown(dial, stop.at)}`}
          title="Delete the stop"
          onClick={() => void edit({ kind: 'drop-stop', ...stopOf })}
        >
          <Trash2 size={14} aria-hidden />
        </button>
      </div>
      <div className="mt-1.5 flex gap-2">
        <ul className="flex min-w-0 flex-1 flex-wrap content-start gap-1">
          {!on && changes.length > 0 && (
            <li className="text-[12px] text-faint">
              {parts === 1 ? `poses ${name(changes[0]!.part)}` : `poses ${parts} parts`} – go there to see and
              take back what it does
            </li>
          )}
          {(on ? changes : []).map((c) => (
            <li
              key={c.part + c.aspect}
              className="flex max-w-full items-center gap-1 rounded-full border border-line bg-card py-0.5 pr-1 pl-2 text-[12px]"
            >
              <button
                className="truncate"
                onClick={() => useDesk.getState().select(c.part)}
                title="Choose this part"
              >
                <b>{name(c.part)}</b> {c.message}
              </button>
              <button
                className="text-faint hover:text-wrong"
                aria-label={`${name(c.part)} without: ${c.message}`}
                onClick={() => void edit({ kind: 'forget', ...stopOf, part: c.part, aspect: c.aspect })}
              >
                <X size={12} aria-hidden />
              </button>
            </li>
          ))}
          {changes.length === 0 && <li className="text-[12px] text-faint">Empty</li>}
        </ul>
        {ease.kind === 'curve' && (
          <CurveEditor
            curve={ease}
            keep={(c) => void edit({ kind: 'ease-stop', ...stopOf, ease: { kind: 'curve', ...c } })}
          />
        )}
      </div>
    </li>
  );
}
