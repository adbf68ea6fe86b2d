import { CircleCheck, TriangleAlert } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import type { Dial, Frame, TurnView, ViewSet } from '../../api/client';
import { nearest } from '../../stage/series';
import { turnBox } from '../../stage/view';
import { shown } from '../../shelf/values';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { FaceCrop } from '../../ui/FaceCrop';

const MARKS = ['NECK', 'EYES', 'MOUTH', 'CHIN', 'TOP'] as const;

/**
 * The views of a head along its turn: each from where to where, and what jumps where one gives way to the next.
 */
export function ViewsCard({
  dial,
  views,
  at: places,
  frames,
  edges,
  offModel,
}: {
  dial: Dial;
  views: ViewSet;
  /** Places of the dial, evenly from end to end, and the head at each. */
  at: number[];
  frames: Frame[];
  edges: TurnView['edges'];
  offModel: string | undefined;
}) {
  const { view, artwork, edit } = useStudio();
  const { character } = view;
  const track = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<{ after: number; to: number } | null>(null);
  const value = useDesk((s) => s.dials[dial.id] ?? dial.rest);
  const box = useMemo(() => turnBox(character, artwork), [character, artwork]);
  const share = (v: number) => ((v - dial.from) / (dial.to - dial.from)) * 100;
  const edgeAt = (i: number) => (held?.after === i ? held.to : views.bands[i]!.to);
  const nameOf = (root: string) => views.views.find((v) => v.root === root)?.name ?? root;
  const jumping = edges.filter((e) => e.message !== '');
  const tidy = (v: number) => Math.round(v * 10) / 10;
  const at = (e: React.PointerEvent) => {
    const r = track.current!.getBoundingClientRect();
    return tidy(dial.from + ((e.clientX - r.left) / r.width) * (dial.to - dial.from));
  };
  const move = (after: number, to: number) => void edit({ kind: 'move-view-edge', after, at: to });
  return (
    <section className="mt-3" aria-label="Views">
      <div className="flex items-baseline gap-2">
        <h2 className="text-[15px] font-semibold">Views</h2>
        <span className="flex-1 text-[12.5px] text-faint">
          {views.views.length} drawn, {views.bands.length} on the turn. Drag where one gives way to the next.
        </span>
      </div>
      <div
        ref={track}
        className="relative mt-1.5 h-[84px] overflow-hidden rounded-lg border border-line bg-drawn"
        data-testid="view-bands"
      >
        {views.bands.map((b, i) => {
          const from = i === 0 ? dial.from : edgeAt(i - 1);
          const to = i === views.bands.length - 1 ? dial.to : edgeAt(i);
          const middle = (b.from + b.to) / 2;
          const inBand = places.filter((v) => v >= b.from && v <= b.to);
          const picture = inBand.length > 0 ? inBand[nearest(inBand, middle)]! : middle;
          const now = value >= from && (value < to || i === views.bands.length - 1);
          return (
            <button
              key={b.from}
              className={`absolute inset-y-0 overflow-hidden text-left ${now ? 'bg-tide' : 'hover:bg-tide/50'}`}
              style={{ left: `${share(from)}%`, width: `${Math.max(0, share(to) - share(from))}%` }}
              aria-pressed={now}
              aria-label={`${nameOf(b.view)}${b.flipped ? ', mirrored' : ''}, from ${shown(dial, from)} to ${shown(dial, to)}`}
              onClick={() => useDesk.getState().turn(dial.id, middle)}
            >
              {box && (
                <FaceCrop
                  character={character}
                  artwork={artwork}
                  frame={frames[nearest(places, picture)]}
                  box={box}
                  label=""
                  className="mx-auto block h-[66px] w-[66px]"
                />
              )}
              <span className="block truncate px-1 text-center text-[11px] leading-4">
                {nameOf(b.view).replace(/ view$/i, '')}
                {b.flipped ? ' ⇋' : ''}
              </span>
            </button>
          );
        })}
        {views.bands.slice(0, -1).map((b, i) => (
          <div
            key={b.to}
            role="slider"
            tabIndex={0}
            aria-label={`Where ${nameOf(b.view)} gives way to ${nameOf(views.bands[i + 1]!.view)}`}
            aria-valuemin={b.from}
            aria-valuemax={views.bands[i + 1]!.to}
            aria-valuenow={edgeAt(i)}
            aria-valuetext={shown(dial, edgeAt(i))}
            className="absolute inset-y-0 -ml-[6px] w-[12px] cursor-col-resize touch-none before:absolute before:inset-y-0 before:left-[5px] before:w-[2px] before:bg-ink"
            style={{ left: `${share(edgeAt(i))}%` }}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId);
              setHeld({ after: i, to: b.to });
            }}
            onPointerMove={(e) => {
              if (held?.after !== i) return;
              const next = views.bands[i + 1]!;
              setHeld({ after: i, to: Math.max(b.from + 1, Math.min(next.to - 1, at(e))) });
            }}
            onPointerUp={() => {
              if (held && held.to !== b.to) move(i, held.to);
              setHeld(null);
            }}
            onPointerCancel={() => setHeld(null)}
            onKeyDown={(e) => {
              if (e.key === 'Escape') setHeld(null);
              const by = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
              if (!by) return;
              e.preventDefault();
              e.stopPropagation();
              move(i, tidy(b.to + by));
            }}
          />
        ))}
        <div
          className="pointer-events-none absolute inset-y-0 w-[2px] bg-doing"
          style={{ left: `${share(value)}%` }}
        />
      </div>
      <table className="mt-2 w-full text-[12.5px]">
        <thead className="text-left text-faint">
          <tr>
            <th className="font-normal">jump, in units</th>
            {MARKS.map((m) => (
              <th key={m} className="w-14 text-right font-normal">
                {m.toLowerCase()}
              </th>
            ))}
            <td className="w-20" />
          </tr>
        </thead>
        <tbody>
          {edges.map((e) => (
            <tr key={e.after} className={`border-t border-line ${e.message ? 'text-wrong' : ''}`}>
              <td className="py-1">
                <button
                  className="underline decoration-dotted"
                  title={e.message || 'Nothing jumps here'}
                  onClick={() => useDesk.getState().turn(dial.id, e.at)}
                >
                  {shown(dial, e.at)}
                </button>{' '}
                {nameOf(e.from).replace(/ view$/i, '')} to {nameOf(e.to).replace(/ view$/i, '')}
              </td>
              {MARKS.map((m) => (
                <td key={m} className="text-right tabular-nums">
                  {e.jumps[m] === undefined ? '–' : e.jumps[m].toFixed(1)}
                </td>
              ))}
              <td className="text-right">
                {e.mends && (
                  <button
                    className="btn px-2 py-0.5 text-ink"
                    title={`Moves and scales ${nameOf(e.mends)}; its drawings stay`}
                    onClick={() => void edit({ kind: 'register-views', view: e.mends! })}
                  >
                    Mend
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {offModel && (
        <p className="mt-1.5 flex items-center gap-2 text-[13px]">
          <TriangleAlert size={15} className="shrink-0 text-wrong" aria-hidden />
          <span className="flex-1">{offModel}</span>
          <button
            className="btn"
            title="Grows and lifts every view until chin and top of the head are on their lines"
            onClick={() => void edit({ kind: 'register-views', view: '' })}
          >
            Stand all on the lines
          </button>
        </p>
      )}
      {jumping.length === 0 ? (
        <p className="mt-1.5 flex items-center gap-2 text-[13px]">
          <CircleCheck size={16} className="shrink-0 text-doing" aria-hidden />
          Nothing jumps: necks meet, and eyes, mouths, chins and tops keep their heights.
        </p>
      ) : (
        <p className="mt-1.5 flex items-center gap-2 text-[13px]">
          <TriangleAlert size={15} className="shrink-0 text-wrong" aria-hidden />
          <span className="flex-1">
            {jumping.length} of {edges.length} edges jump.
          </span>
          <button className="btn" onClick={() => void edit({ kind: 'register-views', view: '' })}>
            Register all to {nameOf(views.views[0]!.root)}
          </button>
        </p>
      )}
    </section>
  );
}
