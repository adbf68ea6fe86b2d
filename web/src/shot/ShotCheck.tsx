import { CircleCheck, ListChecks, TriangleAlert, X } from 'lucide-react';
import { useMemo } from 'react';
import type { Frame, ShotFinding } from '../api/client';
import { headView, type ViewBox } from '../stage/view';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { change } from '../state/measures';
import { useStudio } from '../state/studio';
import { FaceCrop } from '../ui/FaceCrop';
import { useSheet } from './sheetState';
import { useShotFindings } from './useShotFindings';

/** How many are listed before somebody asks for the others. */
const MOST = 40;

/** Opens and closes the list. */
export function ShotCheckButton() {
  const checking = useSheet((s) => s.checking);
  return (
    <button
      className="btn px-2"
      aria-pressed={checking}
      title="Measures every frame: white in a shut eye, closures that are not shut, pops, wrists …"
      onClick={() => useSheet.setState({ checking: !checking })}
    >
      <ListChecks size={14} aria-hidden /> Check
    </button>
  );
}

/** What is wrong along the shot, the most harmful first, each with its frame and picture; a click goes there, a mend was tried before. */
export function ShotCheck() {
  const { view, artwork } = useStudio();
  const { findings: found, measuring } = useShotFindings(true);
  const findings = found?.filter((f) => !f.accepted);
  const accepted = (found?.length ?? 0) - (findings?.length ?? 0);
  const box = useMemo(() => headView(view.character, artwork), [view.character, artwork]);
  return (
    <aside
      aria-label="Shot check"
      className="flex w-[290px] shrink-0 flex-col border-l border-line bg-card text-[13px]"
    >
      <header className="flex items-center gap-2 border-b border-line px-3 py-2">
        <h2 className="text-[15px] font-semibold">Shot check</h2>
        <span className="text-faint" role="status">
          {measuring ? 'measuring …' : findings ? counted(findings.length) : ''}
        </span>
        <button
          className="btn ml-auto px-1.5"
          aria-label="Close the shot check"
          onClick={() => useSheet.setState({ checking: false })}
        >
          <X size={14} aria-hidden />
        </button>
      </header>
      {findings?.length === 0 && accepted === 0 && (
        <p className="flex items-start gap-2 px-3 py-3">
          <CircleCheck size={17} className="mt-px shrink-0 text-good" aria-hidden />
          Nothing was found in any photographed frame. An eye without a white and a hand without an arm have
          nothing to be measured by, and were not looked at.
        </p>
      )}
      {accepted > 0 && <p className="px-3 pt-2 text-faint">{accepted} accepted on Hand over</p>}
      <ul className="min-h-0 flex-1 space-y-1.5 overflow-y-auto p-2">
        {findings?.slice(0, MOST).map((f) => (
          <Row
            key={`${f.code} ${f.subject.part} ${f.subject.drawing} ${f.subject.dial} ${f.from}`}
            f={f}
            box={box}
          />
        ))}
        {findings && findings.length > MOST && (
          <li className="px-1 text-faint">
            and {findings.length - MOST} more, less harmful; they come up as these are mended.
          </li>
        )}
      </ul>
    </aside>
  );
}

const counted = (n: number) => (n === 0 ? 'nothing found' : n === 1 ? '1 finding' : `${n} findings`);

function Row({ f, box }: { f: ShotFinding; box: ViewBox }) {
  const { view, artwork, edit, editLine } = useStudio();
  const open = useActed((s) => s.open);
  const there = useDesk((s) => s.frame >= f.from && s.frame < f.to);
  // painted in the state of the shot that was measured, not while it is being changed
  const frame = useMemo(() => (open ? (open.frame(f.frame, {}) as Frame) : undefined), [open, f.frame]);
  const show = () => {
    const desk = useDesk.getState();
    desk.rest();
    desk.seek(f.frame);
    if (view.character.rig.parts.some((p) => p.id === f.subject.part)) desk.select(f.subject.part);
  };
  const frames = f.to - f.from <= 1 ? `frame ${f.from + 1}` : `frames ${f.from + 1} to ${f.to}`;
  return (
    <li
      data-testid={`shot-finding-${f.code}`}
      className={`rounded-lg border bg-paper ${there ? 'border-wrong' : 'border-line'}`}
    >
      <button className="flex w-full items-start gap-2 p-2 text-left" onClick={show} aria-current={there}>
        <FaceCrop
          character={view.character}
          artwork={artwork}
          frame={frame}
          box={box}
          label=""
          className="h-[72px] w-[60px] shrink-0 rounded border border-line bg-stage"
        />
        <span className="min-w-0">
          <span className="flex items-center gap-1.5 font-semibold">
            <TriangleAlert size={13} className="shrink-0 text-wrong" aria-hidden />
            {frames}
          </span>
          <span className="mt-0.5 block">{f.message}</span>
        </span>
      </button>
      {f.mends.length > 0 && (
        <div className="flex flex-wrap items-center gap-1.5 px-2 pb-2">
          {f.mends.map((m) => (
            <button
              key={m.label}
              className="btn"
              onClick={() => void (m.shot ? editLine(m.shot) : m.character && edit(m.character))}
            >
              {m.label}
              <span className="text-faint">{change(f.measure, m.leaves)}</span>
            </button>
          ))}
        </div>
      )}
    </li>
  );
}
