import { CircleCheck, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import type { Finding } from '../api/client';
import { useDesk } from '../state/desk';
import { keyOf } from '../state/findings';
import { change } from '../state/measures';
import { useStudio } from '../state/studio';

/**
 * What was found, each shown in the pose where it is worst and mended with one click; a mend says what it comes to, since it was tried
 * before it is offered.
 *
 * @param clean what is said when nothing is wrong
 * @param most how many are shown before somebody asks for the others
 * @param marked the finding that is pointed out elsewhere on the bench
 */
export function FindingList({
  findings,
  clean,
  most = Infinity,
  marked = null,
  mark = () => undefined,
}: {
  findings: Finding[];
  clean: string;
  most?: number;
  marked?: Finding | null;
  mark?: (f: Finding | null) => void;
}) {
  const { edit, view } = useStudio();
  const [all, setAll] = useState(false);
  const open = findings.filter((f) => !f.accepted);
  const accepted = findings.length - open.length;
  const subject = (f: Finding) => {
    const part = view.character.rig.parts.find((p) => p.id === f.subject.part);
    return part?.drawings.find((d) => d.id === f.subject.drawing)?.name;
  };
  const show = (f: Finding) => {
    const desk = useDesk.getState();
    desk.rest();
    for (const [dial, value] of Object.entries(f.at)) desk.turn(dial, value);
    if (f.subject.part) desk.select(f.subject.part);
    mark(f);
  };
  if (open.length === 0)
    return (
      <p className="mt-1 flex items-center gap-2 text-[13px]">
        <CircleCheck size={16} className="shrink-0 text-good" aria-hidden />
        {accepted === 0 ? clean : `Nothing but what was accepted on Hand over (${accepted}).`}
      </p>
    );
  return (
    <ul className="mt-1 space-y-1.5">
      {open.slice(0, all ? Infinity : most).map((f) => (
        <li
          key={keyOf(f)}
          data-testid={`finding-${f.code}`}
          className={`flex items-start gap-2.5 rounded-lg border px-3 py-2 text-[13px] ${
            marked && keyOf(marked) === keyOf(f) ? 'border-wrong bg-wrong-soft' : 'border-line bg-paper'
          }`}
        >
          <TriangleAlert size={16} className="mt-0.5 shrink-0 text-wrong" aria-hidden />
          <span className="min-w-0 flex-1">
            {subject(f) && <b>{subject(f)}: </b>}
            {f.message}
          </span>
          {(Object.keys(f.at).length > 0 || f.subject.part) && (
            <button className="btn shrink-0" onClick={() => show(f)}>
              Show
            </button>
          )}
          {f.mends.map((mend) => (
            <span key={mend.label} className="flex shrink-0 flex-col items-end">
              <button
                className="btn-do"
                onClick={() => {
                  mark(null);
                  void edit(mend.edit);
                }}
              >
                {mend.label}
              </button>
              <span className="mt-0.5 text-[11px] text-faint">{change(f.measure, mend.leaves)}</span>
            </span>
          ))}
        </li>
      ))}
      {!all && open.length > most && (
        <li>
          <button className="btn" onClick={() => setAll(true)}>
            {open.length - most} more
          </button>
        </li>
      )}
      {accepted > 0 && <li className="text-[12.5px] text-faint">{accepted} accepted on Hand over</li>}
    </ul>
  );
}
