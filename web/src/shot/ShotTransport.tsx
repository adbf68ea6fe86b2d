import { lazy, Suspense } from 'react';
import { LineStrip } from '../line/LineStrip';
import { useActed } from '../state/acted';

const Transport = lazy(() => import('./Transport').then((m) => ({ default: m.Transport })));

/** What plays the shot, under the face; the strip of the line until there is one. */
export function ShotTransport() {
  const shot = useActed((s) => s.kept);
  if (!shot) return <LineStrip />;
  return (
    <Suspense fallback={<section className="h-[218px] border-t border-line bg-paper" />}>
      <Transport shot={shot} />
    </Suspense>
  );
}
