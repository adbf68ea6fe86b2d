import { FileDiff, TriangleAlert, Users, X } from 'lucide-react';
import { useState } from 'react';
import { useDrop } from '../app/drop';
import { useReport } from '../state/report';
import { useStudio } from '../state/studio';
import { NewVersion } from './intake/NewVersion';
import { Palette } from './intake/Palette';
import { PutAway } from './intake/PutAway';
import { Settling } from './intake/Settling';
import { SlotBoard } from './intake/SlotBoard';
import { TakeOver } from './intake/TakeOver';

/** From a layered file to a character: what was recognised, what is missing, and what can be put right with a click. */
export function IntakeBench() {
  const { view } = useStudio();
  const { chooseVersion, version, problem, dismiss } = useDrop();
  const report = useReport();
  const [taking, setTaking] = useState(false);
  const { character } = view;
  return (
    <>
      <header className="flex items-baseline gap-3">
        <h1 className="text-2xl font-bold">Intake</h1>
        <p className="text-faint whitespace-nowrap">
          {character.rig.parts.length} parts, {character.rig.parts.reduce((n, p) => n + p.drawings.length, 0)}{' '}
          drawings
        </p>
        <button
          className="ml-auto btn shrink-0"
          aria-expanded={taking}
          onClick={() => setTaking(!taking)}
          title="Mouths, hands, dials, looks, cues and whole parts that another character has"
        >
          <Users size={14} aria-hidden /> Take from …
        </button>
        <button className="btn shrink-0" onClick={chooseVersion}>
          <FileDiff size={14} aria-hidden /> New version …
        </button>
      </header>
      {problem && (
        <div
          role="alert"
          className="mt-3 flex gap-3 rounded-lg border border-wrong bg-wrong-soft p-3 text-wrong"
        >
          <TriangleAlert className="mt-0.5 shrink-0" size={18} aria-hidden />
          <div>
            <b>{problem.file} was not read.</b> {problem.message}
            <div className="mt-0.5 text-[12.5px]">
              {problem.place && `Where: ${problem.place}. `}What was here before is unchanged.
            </div>
          </div>
          <button className="ml-auto self-start" aria-label="Close" onClick={dismiss}>
            <X size={16} />
          </button>
        </div>
      )}
      {taking && <TakeOver close={() => setTaking(false)} />}
      {version && <NewVersion key={version.view.file} {...version} />}
      {report && (
        <>
          <Settling report={report} />
          <SlotBoard report={report} />
        </>
      )}
      <Palette near={report?.nearColours ?? []} />
      <p className="mt-4 text-[13px] text-faint">
        For the next character, a{' '}
        <a
          className="underline decoration-dotted"
          href="/api/v1/blank-face.svg"
          download
          title="An SVG with a named layer for every slot and every mouth, to be drawn over and read back"
        >
          blank template
        </a>
        .
      </p>
      {character.origin.notes.length > 0 && (
        <details className="mt-4 pb-3">
          <summary className="cursor-pointer font-display text-[15px] font-semibold">
            What the reader had to say ({character.origin.notes.length})
          </summary>
          <ul className="mt-1 list-disc pl-5 text-[13px] text-faint">
            {character.origin.notes.map((n, i) => (
              <li key={i}>{n.message}</li>
            ))}
          </ul>
        </details>
      )}
      <PutAway />
    </>
  );
}
