import { WhyCard } from '../stage/WhyCard';
import { isTall, useDesk } from '../state/desk';
import { BrowsBench } from './BrowsBench';
import { EyesBench } from './EyesBench';
import { HandOverBench } from './HandOverBench';
import { HandsBench } from './HandsBench';
import { IntakeBench } from './IntakeBench';
import { KitsBench } from './KitsBench';
import { LinesBench } from './LinesBench';
import { MouthsBench } from './MouthsBench';
import { PartsBench } from './PartsBench';
import { TurnBench } from './TurnBench';

/** The surface made for the stage of work that is open. */
export function Bench() {
  const bench = useDesk((s) => s.bench);
  const whyMode = useDesk((s) => s.whyMode);
  return (
    <section
      aria-label="Bench"
      className={`col-start-3 row-start-1 min-h-0 overflow-y-auto bg-chart px-5 py-4 ${
        isTall(bench) ? 'row-span-3' : 'row-span-2'
      }`}
    >
      {whyMode && <WhyCard />}
      {bench === 'intake' && <IntakeBench />}
      {bench === 'parts' && <PartsBench />}
      {bench === 'eyes' && <EyesBench />}
      {bench === 'mouths' && <MouthsBench />}
      {bench === 'brows' && <BrowsBench />}
      {bench === 'hands' && <HandsBench />}
      {bench === 'kits' && <KitsBench />}
      {bench === 'turn' && <TurnBench />}
      {bench === 'lines' && <LinesBench />}
      {bench === 'hand-over' && <HandOverBench />}
    </section>
  );
}
