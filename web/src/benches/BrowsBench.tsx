import { Link2, Link2Off, Plus } from 'lucide-react';
import { useStudio } from '../state/studio';
import { Ruler } from '../shelf/Ruler';
import { BrowCloseUp } from './brows/BrowCloseUp';
import { LookSheet } from './brows/LookSheet';

/** What the dials of the brows are called by, in the order of the hand: up, turned, then bent from the nose outwards. */
const BROW_DIALS = [
  'brow-raise',
  'brow-tilt',
  'brow-inner',
  'brow-middle',
  'brow-outer',
  'brow-together',
] as const;

/** Brows to take hold of, and looks built from what the face can do. */
export function BrowsBench() {
  const { view, edit } = useStudio();
  const { character } = view;
  const brows = character.rig.parts.filter((p) => p.role === 'BROW');
  const there = (id: string) => character.controls.dials.some((d) => d.id === id);
  const dials = character.controls.dials.filter((d) =>
    BROW_DIALS.some((b) => d.id === b || d.id === `${b}-left` || d.id === `${b}-right`),
  );
  const whole = BROW_DIALS.filter(there);
  const halves = BROW_DIALS.filter((b) => there(`${b}-left`));
  const lacking = BROW_DIALS.filter((b) => !there(b) && !there(`${b}-left`));
  return (
    <>
      <h1 className="text-2xl font-bold">Brows</h1>
      {brows.length === 0 ? (
        <p className="mt-2 text-faint">
          This character has no brows yet. Name a layer “brow left” or drag it onto its slot on the Intake
          bench. Looks work without them as far as there are lids, cheeks, a nose or a mouth.
        </p>
      ) : (
        <>
          <BrowCloseUp apart={halves.length > 0} lacking={lacking.length === BROW_DIALS.length} />
          <div className="mt-2 flex flex-wrap items-center gap-1.5">
            {lacking.length > 0 && (
              <button className="btn-do" onClick={() => void edit({ kind: 'make-brows' })}>
                <Plus size={14} aria-hidden />
                {lacking.length === BROW_DIALS.length
                  ? 'Make the dials of the brows'
                  : `Make the other ${lacking.length}`}
              </button>
            )}
            {whole.length > 0 && brows.length > 1 && (
              <button
                className="btn"
                onClick={() => void edit({ kind: 'split-dial', dials: [...whole] })}
                title="A dial for the left brow and one for the right"
              >
                <Link2Off size={14} aria-hidden /> Unlink left and right
              </button>
            )}
            {halves.length > 0 && (
              <button
                className="btn"
                onClick={() => void edit({ kind: 'join-dials', dials: halves.map((b) => `${b}-left`) })}
                title="One dial for both brows again"
              >
                <Link2 size={14} aria-hidden /> Link left and right
              </button>
            )}
          </div>
          {dials.length > 0 && (
            <div className="mt-2 grid grid-cols-2 gap-x-5 rounded-xl border border-line bg-paper px-3 py-1.5">
              {dials.map((d) => (
                <Ruler key={d.id} dial={d} />
              ))}
            </div>
          )}
        </>
      )}
      <LookSheet />
    </>
  );
}
