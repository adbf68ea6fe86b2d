import { useQuery } from '@tanstack/react-query';
import { Eye, Plus, Sparkles, X } from 'lucide-react';
import { useState } from 'react';
import { api, type Character, type EyesView, type Finding } from '../api/client';
import { useFindings } from '../state/findings';
import { useSettled } from '../state/settled';
import { useStudio } from '../state/studio';
import { GazePad } from '../shelf/GazePad';
import { Ruler } from '../shelf/Ruler';
import { FindingList } from '../ui/FindingList';
import { Cues } from './eyes/Cues';
import { EyeCloseUp } from './eyes/EyeCloseUp';
import { Lids } from './eyes/Lids';
import { WorstSheet } from './eyes/WorstSheet';
import { roleWords } from './roles';

const MORE = [
  ['SQUINT', 'squint', 'Squint', 'Narrow to wide: white, window, outline and lids together'],
  ['PUPIL_SIZE', 'pupil-size', 'Pupil size', 'Pupils from half to well over their size'],
  ['CONVERGENCE', 'convergence', 'Convergence', 'Both eyes on the tip of the nose'],
  ['UPPER_LIDS', 'lids-upper', 'Upper lids', 'The upper lids alone, as far as the blink takes them'],
  ['LOWER_LIDS', 'lids-lower', 'Lower lids', 'The lower lids alone, as far as the blink takes them'],
] as const;

/** What the server measures about the eyes as they are posed now; the last answer while a newer one is on its way. */
function useEyes(): EyesView | null {
  const { view, director } = useStudio();
  // measuring waits for the hand to pause; the close-ups themselves follow it at once
  const dials = useSettled((s) => s.dials, 90);
  const pins = useSettled((s) => s.pins, 90);
  const picks = useSettled((s) => s.picks, 90);
  const looks = useSettled((s) => s.looks, 90);
  const asked = { dials, pins, picks, looks };
  const eyes = useQuery({
    queryKey: ['eyes', view.id, view.revision, asked],
    queryFn: () => api.eyes(view.id, { ...director.moment(), revision: view.revision }),
    placeholderData: (old) => old,
  });
  return eyes.data ?? null;
}

const counted = (n: number) => (n === 0 ? 'no issues' : `${n} ${n === 1 ? 'issue' : 'issues'}`);

/** Whether a part is an eye or follows it. */
function within(character: Character, part: string, eye: string): boolean {
  const at = character.rig.parts.find((p) => p.id === part);
  return at !== undefined && (at.id === eye || (at.parent != null && within(character, at.parent, eye)));
}

/** Both eyes, large: where they can look, how they shut, and what is wrong with them. */
export function EyesBench() {
  const { view, edit } = useStudio();
  const { character } = view;
  const eyes = useEyes();
  const findings = useFindings('eyes');
  const [marked, setMarked] = useState<Finding | null>(null);
  const dial = (id: string) => character.controls.dials.find((d) => d.id === id);
  const pad = character.controls.pads.find((p) => dial(p.across)?.purpose === 'GAZE_ACROSS');
  const across = pad && dial(pad.across);
  const down = pad && dial(pad.down);
  const blinks = character.controls.dials.filter((d) => d.purpose === 'BLINK');
  if (!eyes) return <h1 className="text-2xl font-bold">Eyes</h1>;
  if (eyes.eyes.length === 0)
    return (
      <>
        <h1 className="text-2xl font-bold">Eyes</h1>
        <p className="mt-2 text-faint">
          This character has no eyes yet. Name a layer “eye left”, “white” or “pupil”, or drag it onto its
          slot on the Intake bench.
        </p>
      </>
    );
  const lacking = eyes.eyes.filter((e) => e.missing.length > 0);
  const other = eyes.eyes.length === 1 && eyes.eyes[0]!.side !== 'NONE';
  return (
    <>
      <header className="flex items-baseline gap-3">
        <h1 className="text-2xl font-bold">Eyes</h1>
        <p className="text-faint">{findings && counted(findings.length)}</p>
      </header>
      {(lacking.length > 0 || other) && (
        <div className="mt-3 flex items-start gap-2.5 rounded-lg border border-line bg-paper px-3 py-2 text-[13px]">
          <Eye size={17} className="mt-0.5 shrink-0 text-doing" aria-hidden />
          <div className="min-w-0 flex-1">
            {lacking.map((e) => (
              <div key={e.id}>
                {e.name} has no {e.missing.map(roleWords).join(', no ')}.
              </div>
            ))}
            {other && <div>The other eye is missing; it can be the exact mirror image.</div>}
          </div>
          <button className="btn-do shrink-0" onClick={() => void edit({ kind: 'build-eyes' })}>
            <Sparkles size={14} aria-hidden /> Make them whole
          </button>
        </div>
      )}
      <div className={`mt-3 grid gap-2 ${eyes.eyes.length > 1 ? 'grid-cols-2' : 'max-w-72 grid-cols-1'}`}>
        {eyes.eyes.map((e) => (
          <EyeCloseUp
            key={e.id}
            eye={e}
            marked={marked && within(character, marked.subject.part, e.id) ? marked : null}
          />
        ))}
      </div>
      <div className="mt-3 flex items-center gap-4 rounded-xl border border-line bg-paper p-3">
        {pad && across && down && (
          <div className="shrink-0 text-center">
            <GazePad name={pad.name} across={across} down={down} field={eyes.field} large />
            <button
              className="text-[11.5px] text-faint underline decoration-dotted"
              title="Lets full throw go as far as the pupils keep enough of themselves in the eyes as they are now"
              onClick={() => void edit({ kind: 'fit-gaze' })}
            >
              refit the gaze range
            </button>
          </div>
        )}
        <div className="min-w-0 flex-1">
          {character.controls.dials
            .filter((d) => d.purpose === 'BLINK' || MORE.some(([, id]) => id === d.id))
            .map((d) => (
              <div key={d.id} className="flex items-center gap-1">
                <div className="min-w-0 flex-1">
                  <Ruler dial={d} />
                </div>
                {d.purpose !== 'BLINK' && (
                  <button
                    className="shrink-0 p-1 text-faint hover:text-wrong"
                    aria-label={`Delete the dial ${d.name}`}
                    title="Delete this dial"
                    onClick={() => void edit({ kind: 'drop-dial', dial: d.id })}
                  >
                    <X size={13} />
                  </button>
                )}
              </div>
            ))}
          <div className="mt-1 flex flex-wrap gap-1">
            {MORE.filter(([, id]) => !dial(id)).map(([kind, id, words, help]) => (
              <button
                key={id}
                className="btn px-1.5 py-0.5 text-[12px]"
                title={help}
                onClick={() => void edit({ kind: 'make-dial', dial: kind })}
              >
                <Plus size={12} aria-hidden /> {words}
              </button>
            ))}
          </div>
        </div>
      </div>
      {blinks.length > 0 && <Lids eyes={eyes} blinks={blinks} />}
      {findings && (
        <section className="mt-3" aria-label="Findings">
          <h2 className="text-[15px] font-semibold">Findings</h2>
          <FindingList
            findings={findings}
            clean="Shut is shut at every look and turn, no pupil is lost, and the eyes are alike."
            marked={marked}
            mark={setMarked}
          />
        </section>
      )}
      <WorstSheet eyes={eyes.eyes} />
      <Cues />
    </>
  );
}
