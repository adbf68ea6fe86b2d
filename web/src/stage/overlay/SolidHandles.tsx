import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Edit, SolidPiece, TurnView } from '../../api/client';
import { saying } from '../../benches/turn/saying';
import { useDesk } from '../../state/desk';
import { usePresses } from '../../state/usePresses';
import { useStudio } from '../../state/studio';
import type { Painter } from '../painter';
import { round, type XY } from './geometry';
import { drag } from './pointer';
import { RootHandle } from './RootHandle';
import { shownBox } from './shownBox';
import { steppedBy } from './steppedBy';

/** Below this angle a pull would need no depth at all to go anywhere, or any. */
const LEAST = 8;

/** How far forward a piece stands once it is pulled by so much, in half widths of the head. */
const forwardOf = (piece: SolidPiece, by: number) => round(Math.max(-1.5, Math.min(1.5, piece.forward + by)));

/** The middle of what a piece shows now, on the canvas. */
function middleOf(painter: Painter | null, part: string): XY | null {
  const shown = shownBox(painter, part);
  return shown && shown.at(shown.box.x + shown.box.width / 2, shown.box.y + shown.box.height / 2);
}

/**
 * The pieces of a turned head, taken hold of: pulled along, a piece tells how far before or behind the head it stands. What comes
 * of it is shown at once.
 */
export function SolidHandles({
  svg,
  painter,
  unit,
}: {
  svg: () => SVGSVGElement | null;
  painter: () => Painter | null;
  unit: number;
}) {
  const { view, director, edit } = useStudio();
  const press = usePresses();
  const dial = view.character.controls.dials.find((d) => d.purpose === 'TURN');
  const at = useDesk((s) => s.dials[dial?.id ?? ''] ?? dial?.rest ?? 0);
  const chosen = useDesk((s) => s.part);
  const [, redraw] = useState(0);
  useEffect(() => {
    let frame = 0;
    const off = director.watchJoints(() => {
      frame = requestAnimationFrame(() => redraw((n) => n + 1));
    });
    return () => {
      cancelAnimationFrame(frame);
      off();
    };
  }, [director]);
  // what the bench asked for, whose answer is there already
  const turn = useQuery<TurnView>({ queryKey: ['turn-pieces', view.id, view.revision], enabled: false });
  if (!dial || !turn.data) return null;
  const { pieces, angle: reads, halfWidth } = turn.data;
  const drawn = reads?.drawn ?? 0;
  const angle = drawn + (at - dial.rest) * (reads?.scale ?? 1);
  // how much further across a piece comes for each step forward it takes
  const gain = Math.sin((angle * Math.PI) / 180) - Math.sin((drawn * Math.PI) / 180);
  const pulls = Math.abs(angle - drawn) >= LEAST;
  const atRest = Math.abs(at - dial.rest) < 1e-6;
  const pull = (e: React.PointerEvent, piece: SolidPiece) => {
    const sheet = svg();
    if (!sheet || !pulls) return;
    e.stopPropagation();
    e.preventDefault();
    useDesk.setState({ part: piece.part });
    const part = view.character.rig.parts.find((p) => p.id === piece.part);
    let last: Edit | null = null;
    drag(
      sheet,
      e,
      (to, from) => {
        const by = (to[0] - from[0]) / (gain * halfWidth);
        last = saying(piece, part?.solid, { forward: forwardOf(piece, by) });
        director.drafting(last);
      },
      (kept) => {
        const final = last;
        const done = () => director.drafting(null);
        if (kept && final) void edit(final).then(done);
        else done();
      },
    );
  };
  const held = pieces.find((p) => p.part === chosen);
  return (
    <g data-testid="solids">
      {atRest &&
        held?.welded.map(([x, y], i) => (
          <circle
            key={i}
            data-testid="weld"
            cx={x}
            cy={y}
            r={3 * unit}
            fill="none"
            stroke="var(--doing)"
            vectorEffect="non-scaling-stroke"
            pointerEvents="none"
          />
        ))}
      {atRest && held?.root && <RootHandle piece={held} svg={svg} unit={unit} />}
      {pieces
        .filter((p) => !p.alongWith && p.kind !== 'FLAT')
        .map((p) => {
          const where = middleOf(painter(), p.part);
          const name = view.character.rig.parts.find((q) => q.id === p.part)?.name ?? p.part;
          return (
            where && (
              <circle
                key={p.part}
                data-testid={`solid-${p.part}`}
                cx={where[0]}
                cy={where[1]}
                r={(p.part === chosen ? 7 : 5) * unit}
                fill={p.part === chosen ? 'var(--doing)' : 'var(--color-stage)'}
                stroke="var(--doing)"
                strokeWidth={2}
                strokeDasharray={p.kind === p.guessed ? undefined : '3 2'}
                vectorEffect="non-scaling-stroke"
                className={pulls ? 'cursor-ew-resize' : undefined}
                opacity={pulls ? 1 : 0.55}
                {...(pulls &&
                  steppedBy(`${name}, ${round(p.forward)} forward`, (dx) =>
                    press({
                      into: `solid ${p.part}`,
                      dx: dx / 100,
                      dy: 0,
                      make: (v) => {
                        const part = view.character.rig.parts.find((q) => q.id === p.part);
                        return saying(p, part?.solid, { forward: forwardOf(p, v) });
                      },
                    }),
                  ))}
                onFocus={() => useDesk.setState({ part: p.part })}
                onPointerDown={(e) => pull(e, p)}
                onClick={(e) => {
                  e.stopPropagation();
                  useDesk.setState({ part: p.part });
                }}
              >
                <title>
                  {pulls ? `${name}: pull it forward or back` : `${name}: turn the head to pull it`}
                </title>
              </circle>
            )
          );
        })}
    </g>
  );
}
