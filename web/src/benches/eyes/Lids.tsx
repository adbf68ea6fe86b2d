import { Link2, Link2Off } from 'lucide-react';
import type { Dial, EyesView } from '../../api/client';
import { useStudio } from '../../state/studio';
import { NumberField } from '../../ui/NumberField';
import { BlinkStrip } from './BlinkStrip';

/** How the lids shut, together or one eye alone, and where they rest. */
export function Lids({ eyes, blinks }: { eyes: EyesView; blinks: Dial[] }) {
  const { edit } = useStudio();
  const travels = eyes.eyes.some((e) => e.lidLine.length > 0);
  const [upper, lower] = eyes.lidsRest as [number, number];
  const percent = (share: number) => Math.round(share * 1000) / 10;
  const apart = blinks.length > 1;
  const sides = new Set(eyes.eyes.map((e) => e.side));
  return (
    <section className="mt-3" aria-label="Blink">
      <div className="flex items-center gap-2">
        <h2 className="text-[15px] font-semibold">Blink</h2>
        {travels && (
          <div className="ml-auto flex items-center gap-1 text-[12.5px]" role="group" aria-label="Lids rest">
            <span className="text-faint">lids rest at</span>
            <span className="w-[112px]">
              <NumberField
                label="upper"
                value={percent(upper)}
                unit=" %"
                keep={(v) => void edit({ kind: 'rest-lids', upper: v / 100, lower })}
              />
            </span>
            <span className="w-[112px]">
              <NumberField
                label="lower"
                value={percent(lower)}
                unit=" %"
                keep={(v) => void edit({ kind: 'rest-lids', upper, lower: v / 100 })}
              />
            </span>
          </div>
        )}
        {(apart || (sides.has('LEFT') && sides.has('RIGHT'))) && (
          <button
            className={`btn ${travels ? '' : 'ml-auto'}`}
            title={apart ? 'One dial for both eyes again' : 'A dial for each eye, to wink with'}
            onClick={() => void edit({ kind: apart ? 'join-dials' : 'split-dial', dials: [blinks[0]!.id] })}
          >
            {apart ? <Link2 size={14} aria-hidden /> : <Link2Off size={14} aria-hidden />}
            {apart ? 'Both eyes together' : 'Wink'}
          </button>
        )}
      </div>
      {blinks.map((b) => (
        <BlinkStrip
          key={b.id}
          eyes={apart ? eyes.eyes.filter((e) => b.id.endsWith(e.side.toLowerCase())) : eyes.eyes}
          blink={b}
        />
      ))}
    </section>
  );
}
