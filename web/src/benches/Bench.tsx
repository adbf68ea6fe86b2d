import { type ComponentType, createElement, lazy, Suspense, useEffect, useRef } from 'react';
import { WhyCard } from '../stage/WhyCard';
import { Guarded } from '../room/Guarded';
import { useDesk } from '../state/desk';
import { BENCHES, type Bench as BenchName } from '../state/benches';

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

const LOADS: Record<BenchName, () => Promise<ComponentType>> = {
  intake: () => import('./IntakeBench').then((m) => m.IntakeBench),
  parts: () => import('./PartsBench').then((m) => m.PartsBench),
  eyes: () => import('./EyesBench').then((m) => m.EyesBench),
  mouths: () => import('./MouthsBench').then((m) => m.MouthsBench),
  brows: () => import('./BrowsBench').then((m) => m.BrowsBench),
  hands: () => import('./HandsBench').then((m) => m.HandsBench),
  kits: () => import('./KitsBench').then((m) => m.KitsBench),
  turn: () => import('./TurnBench').then((m) => m.TurnBench),
  lines: () => import('./LinesBench').then((m) => m.LinesBench),
  shot: () => import('./ShotBench').then((m) => m.ShotBench),
  'hand-over': () => import('./HandOverBench').then((m) => m.HandOverBench),
};

/** Loaded when it is gone to; one that cannot be says so instead. */
const SURFACES = new Map(
  BENCHES.map((b) => [b, lazy(async () => ({ default: await LOADS[b]().catch(() => NotLoaded) }))]),
);

/** Loads a bench that will be wanted in a moment. */
export function loadBench(bench: BenchName): void {
  LOADS[bench]().catch(() => {});
}

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
        <Suspense>{createElement(SURFACES.get(bench)!)}</Suspense>
      </Guarded>
    </section>
  );
}
