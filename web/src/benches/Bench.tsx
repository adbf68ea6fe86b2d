import { type ComponentType, lazy, Suspense, useEffect, useRef } from 'react';
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

/** How far down each bench was left, pixels. */
const left = new Map<string, number>();

/** The surface made for the stage of work that is open. */
export function Bench() {
  const bench = useDesk((s) => s.bench);
  const whyMode = useDesk((s) => s.whyMode);
  const surface = useRef<HTMLElement>(null);
  useEffect(() => {
    const e = surface.current!;
    const to = left.get(bench) ?? 0;
    e.scrollTop = to;
    if (to === 0) return;
    // what it shows comes bit by bit, so it is gone on with until it is long enough, or a hand scrolls
    const grown = new ResizeObserver(() => {
      if (e.scrollTop < to) e.scrollTop = to;
      if (e.scrollTop >= to) grown.disconnect();
    });
    for (const child of e.children) grown.observe(child);
    const hand = () => grown.disconnect();
    e.addEventListener('wheel', hand, { passive: true, once: true });
    e.addEventListener('pointerdown', hand, { once: true });
    return () => {
      grown.disconnect();
      e.removeEventListener('wheel', hand);
      e.removeEventListener('pointerdown', hand);
    };
  }, [bench]);
  return (
    <section
      ref={surface}
      id="bench"
      tabIndex={-1}
      onScroll={(e) => left.set(bench, e.currentTarget.scrollTop)}
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
