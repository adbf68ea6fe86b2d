import { RotateCcw } from 'lucide-react';
import { useState } from 'react';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { GazePad } from './GazePad';
import { Ruler } from './Ruler';
import { upwards } from './values';

/** Every dial, on every bench, under the face. */
export function Shelf() {
  const { character } = useStudio().view;
  const dial = (id: string) => character.controls.dials.find((d) => d.id === id);
  const away = useDesk((s) =>
    [s.dials, s.picks, s.pins, s.looks].some((held) => Object.keys(held).length > 0),
  );
  // a look is steered on its pad alone; the head has stops and drawings to rest on, which only rulers show
  const onPads = new Set(
    character.controls.pads
      .flatMap((p) => [p.across, p.down])
      .filter((id) => dial(id)?.purpose.startsWith('GAZE')),
  );
  const [withUnits, setWithUnits] = useState(false);
  const units = character.controls.dials.filter((d) => d.purpose === 'ACTION_UNIT');
  const selected = useDesk((s) => s.part);
  const near = selected ? upwards(character.rig.parts, selected) : [];
  const here = (id: string | undefined) => id !== undefined && near.includes(id);
  const rulers = character.controls.dials
    .filter((d) => !onPads.has(d.id) && (withUnits || here(d.hangsOn) || d.purpose !== 'ACTION_UNIT'))
    .sort((a, b) => Number(here(b.hangsOn)) - Number(here(a.hangsOn)));
  return (
    <section
      aria-label="Dials"
      // a layer of its own: values that change sixty times a second paint nothing around it
      className="@container col-start-2 flex items-center gap-4 border-t border-r border-line bg-paper px-4 py-2 will-change-transform"
    >
      {character.controls.pads.map((p) => {
        const across = dial(p.across);
        const down = dial(p.down);
        return across && down ? (
          // where there is little room the head keeps to its rulers
          <div key={p.name} className={onPads.has(p.across) ? '' : '@max-[480px]:hidden'}>
            <GazePad name={p.name} across={across} down={down} field={p.field} />
          </div>
        ) : null;
      })}
      <div
        className={`max-h-[110px] min-w-0 pr-1.5 flex-1 overflow-y-auto ${rulers.length > 2 ? '@min-[480px]:grid @min-[480px]:grid-cols-2 @min-[480px]:gap-x-4' : ''}`}
      >
        {rulers.length === 0 && character.controls.pads.length === 0 && (
          <p className="text-faint">
            No dials: no head, eyes or lids were found in this art. The Intake bench says what is missing.
          </p>
        )}
        {rulers.map((d) => (
          <div key={d.id} className={here(d.hangsOn) ? 'border-l-2 border-doing pl-1' : ''}>
            <Ruler dial={d} />
          </div>
        ))}
        {units.length > 0 && (
          <button
            className="self-center justify-self-start text-[12px] text-faint underline decoration-dotted"
            aria-expanded={withUnits}
            onClick={() => setWithUnits(!withUnits)}
          >
            {withUnits ? 'without' : 'and'} {units.length} action units
          </button>
        )}
      </div>
      <button
        className="btn self-start px-1.5"
        disabled={!away}
        onClick={() => useDesk.getState().rest()}
        aria-label="Everything back to rest"
        title="Everything back to rest (0)"
      >
        <RotateCcw size={14} aria-hidden />
      </button>
    </section>
  );
}
