import { type ComponentType, lazy, Suspense } from 'react';
import { WhyCard } from '../stage/WhyCard';
import { Guarded } from '../room/Guarded';
import { useDesk } from '../state/desk';

/** Loaded when it is gone to; one that cannot be says so instead. */
function bench(load: () => Promise<ComponentType>): ComponentType {
  return lazy(async () => ({ default: await load().catch(() => NotLoaded) }));
}

function NotLoaded() {
  return (
    <div className="text-[13.5px]">
      <p>This part of the page could not be loaded; the server may have been renewed since the page was.</p>
      <button className="btn-do mt-2" onClick={() => location.reload()}>
        Reload the page
      </button>
    </div>
  );
}

const BrowsBench = bench(() => import('./BrowsBench').then((m) => m.BrowsBench));
const EyesBench = bench(() => import('./EyesBench').then((m) => m.EyesBench));
const HandOverBench = bench(() => import('./HandOverBench').then((m) => m.HandOverBench));
const HandsBench = bench(() => import('./HandsBench').then((m) => m.HandsBench));
const IntakeBench = bench(() => import('./IntakeBench').then((m) => m.IntakeBench));
const KitsBench = bench(() => import('./KitsBench').then((m) => m.KitsBench));
const LinesBench = bench(() => import('./LinesBench').then((m) => m.LinesBench));
const MouthsBench = bench(() => import('./MouthsBench').then((m) => m.MouthsBench));
const PartsBench = bench(() => import('./PartsBench').then((m) => m.PartsBench));
const ShotBench = bench(() => import('./ShotBench').then((m) => m.ShotBench));
const TurnBench = bench(() => import('./TurnBench').then((m) => m.TurnBench));

/** The surface made for the stage of work that is open. */
export function Bench() {
  const bench = useDesk((s) => s.bench);
  const whyMode = useDesk((s) => s.whyMode);
  return (
    <section
      aria-label="Bench"
      // every page has one main thing; where there is no stage it is the bench
      role={bench === 'hand-over' ? 'main' : undefined}
      className="@container/bench min-h-0 min-w-0 overflow-y-auto bg-chart px-5 py-4"
    >
      {whyMode && <WhyCard />}
      <Guarded what="The bench">
        <Suspense>
          {bench === 'intake' && <IntakeBench />}
          {bench === 'parts' && <PartsBench />}
          {bench === 'eyes' && <EyesBench />}
          {bench === 'mouths' && <MouthsBench />}
          {bench === 'brows' && <BrowsBench />}
          {bench === 'hands' && <HandsBench />}
          {bench === 'kits' && <KitsBench />}
          {bench === 'turn' && <TurnBench />}
          {bench === 'lines' && <LinesBench />}
          {bench === 'shot' && <ShotBench />}
          {bench === 'hand-over' && <HandOverBench />}
        </Suspense>
      </Guarded>
    </section>
  );
}
