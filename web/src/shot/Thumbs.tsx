import { useLayoutEffect, useRef } from 'react';
import type { Artwork, Drawing } from '../api/client';
import { paintDrawing } from '../stage/alone';
import { measured, viewBoxOf } from '../ui/measured';

/** The id of the symbol of a drawing's art, so that it is painted once however often it shows. */
export const symbolOf = (art: string) => `card-${art.slice(0, 16)}`;

/** One symbol for each drawing's art. */
export function Thumbs({ drawings, artwork }: { drawings: Drawing[]; artwork: Artwork }) {
  const arts = [...new Set(drawings.map((d) => d.art))];
  return (
    // out of sight and still laid out: a symbol's size is measured from what is painted
    <svg className="pointer-events-none absolute h-0 w-0 opacity-0" aria-hidden>
      {arts.map((art) => (
        <Thumb key={art} art={art} artwork={artwork} />
      ))}
    </svg>
  );
}

function Thumb({ art, artwork }: { art: string; artwork: Artwork }) {
  const g = useRef<SVGGElement>(null);
  const symbol = useRef<SVGSymbolElement>(null);
  useLayoutEffect(() => {
    const painted = document.createElementNS('http://www.w3.org/2000/svg', 'g');
    g.current!.replaceChildren(painted);
    paintDrawing(painted, artwork[art] ?? []);
    const shown = symbol.current!;
    measured(painted, (b) => {
      shown.setAttribute('viewBox', viewBoxOf(b, 0.06));
      shown.replaceChildren(painted);
    });
  }, [art, artwork]);
  return (
    <>
      <g ref={g} />
      <symbol ref={symbol} id={symbolOf(art)} />
    </>
  );
}
