import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { Edit, Part, Shape } from '../../api/client';
import { useDesk } from '../../state/desk';
import { recordingAt } from '../../state/recording';
import { useStudio } from '../../state/studio';
import { stepOf, usePresses } from '../../state/usePresses';
import { paintDrawing } from '../alone';
import { type Painter } from '../painter';
import { round, type XY } from './geometry';
import { nearest, pointsOf, type Step, stepsOf } from './outline';
import { drag, onCanvas } from './pointer';

type Hold = 'POINT' | 'FIRST_HANDLE' | 'SECOND_HANDLE';

/**
 * The points and handles of one drawing, dragged where they belong. Double-click on an outline adds a point, Delete takes
 * one out, S makes it smooth and C a corner.
 */
export function ShapePoints({
  svg,
  painter,
  unit,
  part,
  drawing,
  shapes,
  shape,
  choose,
  recording = false,
}: {
  svg: () => SVGSVGElement | null;
  painter: () => Painter | null;
  unit: number;
  part: Part;
  drawing: string;
  shapes: Shape[];
  shape: number;
  choose: (shape: number) => void;
  /** Whether points are pulled at a stop of the dial being recorded; the artwork stays as it is drawn. */
  recording?: boolean;
}) {
  const { director, edit, artwork, view } = useStudio();
  const press = usePresses();
  // at a stop the points are where the pose has them
  const [posed, setPosed] = useState<string[]>([]);
  useEffect(
    () =>
      recording
        ? director.watch((frame) =>
            setPosed(frame.placed.find((p) => p.part === part.id && p.drawing === drawing)?.outlines ?? []),
          )
        : undefined,
    [director, recording, part.id, drawing],
  );
  const alike = useDesk((s) => s.alike);
  const through = useDesk((s) => s.through);
  const ghost = useRef<SVGGElement>(null);
  const other = part.drawings.find((d) => d.id === through && d.id !== drawing);
  const otherArt = other ? artwork[other.art] : undefined;
  useLayoutEffect(() => paintDrawing(ghost.current!, otherArt ?? []), [otherArt]);
  const [point, setPoint] = useState<number | null>(null);
  // what a drag in progress makes of the art it began with; stale as soon as the art is another
  const [live, setLive] = useState<{ of: Shape[]; shapes: Shape[] } | null>(null);
  const [, redraw] = useState(0);

  useEffect(
    () =>
      director.watchRedrawn((all) => {
        const mine = all.find((r) => r.part === part.id && r.drawing === drawing);
        setLive(mine ? { of: shapes, shapes: mine.shapes } : null);
      }),
    [director, part.id, drawing, shapes],
  );
  useEffect(() => director.watch(() => requestAnimationFrame(() => redraw((n) => n + 1))), [director]);

  const drawn = live?.of === shapes ? live.shapes : shapes;
  const now =
    recording && posed.length === drawn.length ? drawn.map((s, i) => ({ ...s, path: posed[i]! })) : drawn;
  const chosen = now[shape];
  const steps = chosen ? stepsOf(chosen.path) : [];

  /** A point pulled at the stop where the recorded dial stands. */
  const pulled = (segment: number, hold: Hold, dx: number, dy: number): Edit | null => {
    const here = recordingAt(useDesk.getState(), view.character.controls.dials);
    return here
      ? {
          kind: 'pull-point',
          dial: here.dial.id,
          at: here.at,
          part: part.id,
          drawing,
          shape,
          segment,
          hold,
          dx: round(dx, 3),
          dy: round(dy, 3),
          mirrored: alike,
        }
      : null;
  };

  useEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      if ((e.target as Element).closest?.('input, textarea, select')) return;
      // from point to point of the outline, round and round
      if ((e.key === 'PageDown' || e.key === 'PageUp') && steps.length > 0) {
        const now = steps.findIndex((s) => s.at === point);
        const by = e.key === 'PageDown' ? 1 : -1;
        const first = by > 0 ? 0 : steps.length - 1;
        setPoint(steps[now < 0 ? first : (now + by + steps.length) % steps.length]!.at);
        e.preventDefault();
        e.stopImmediatePropagation();
        return;
      }
      if (point === null) return;
      const at = { part: part.id, drawing, shape, at: point };
      if (recording && !e.key.startsWith('Arrow')) return;
      if (e.key === 'Delete' || e.key === 'Backspace') void edit({ kind: 'remove-point', ...at });
      else if (e.key === 's' || e.key === 'S') void edit({ kind: 'round-point', ...at, smooth: true });
      else if (e.key === 'c' || e.key === 'C') void edit({ kind: 'round-point', ...at, smooth: false });
      else if (e.key.startsWith('Arrow')) {
        const by = stepOf(e);
        const step = steps.find((s) => s.at === point);
        if (!step || !by) return;
        press({
          into: JSON.stringify(at),
          dx: by[0],
          dy: by[1],
          make: (dx, dy) =>
            recording
              ? pulled(point, 'POINT', dx, dy)
              : {
                  kind: 'move-point',
                  mirrored: alike,
                  ...at,
                  hold: 'POINT',
                  to: [round(step.to[0] + dx, 3), round(step.to[1] + dy, 3)],
                },
        });
      } else return;
      e.preventDefault();
      e.stopImmediatePropagation();
    };
    window.addEventListener('keydown', pressed, true);
    return () => window.removeEventListener('keydown', pressed, true);
  });

  const group = painter()?.groupOf(part.id);
  const matrix = group?.getAttribute('transform') ?? 'matrix(1 0 0 1 0 0)';
  const place = new DOMMatrix(matrix.replace('matrix(', '').replace(')', '').split(/[ ,]+/).map(Number));
  const back = place.inverse();
  const canvas = ([x, y]: XY): XY => {
    const p = new DOMPoint(x, y).matrixTransform(place);
    return [p.x, p.y];
  };
  const art = ([x, y]: XY): XY => {
    const p = new DOMPoint(x, y).matrixTransform(back);
    return [p.x, p.y];
  };

  const pull = (e: React.PointerEvent, at: number, hold: Hold) => {
    const sheet = svg();
    if (!sheet) return;
    e.stopPropagation();
    e.preventDefault();
    if (hold === 'POINT') setPoint(at);
    let draft: Edit | null = null;
    drag(
      sheet,
      e,
      (to, from) => {
        const [x, y] = art(to);
        const [fx, fy] = art(from);
        draft = recording
          ? pulled(at, hold, x - fx, y - fy)
          : {
              kind: 'move-point',
              mirrored: alike,
              part: part.id,
              drawing,
              shape,
              at,
              hold,
              to: [round(x, 3), round(y, 3)],
            };
        if (draft) director.drafting(draft);
      },
      (kept) => {
        const final = draft;
        if (kept && final) void edit(final).then((done) => !done && director.drafting(null));
        else director.drafting(null);
      },
    );
  };

  const add = (e: React.MouseEvent) => {
    const sheet = svg();
    if (!sheet || recording) return;
    e.stopPropagation();
    const near = nearest(steps, art(onCanvas(sheet, e)));
    if (near)
      void edit({ kind: 'add-point', part: part.id, drawing, shape, at: near.at, t: round(near.t, 4) });
  };

  const r = 4 * unit;
  const handle = (s: Step, hold: Hold, from: XY, to: XY) => {
    const [a, b] = [canvas(from), canvas(to)];
    return (
      <g key={`${s.at}${hold}`}>
        <path
          d={`M${a}L${b}`}
          stroke="var(--doing)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
        <circle
          data-testid={`handle-of-${s.at}-${hold === 'FIRST_HANDLE' ? 1 : 2}`}
          cx={b[0]}
          cy={b[1]}
          r={r * 0.8}
          fill="var(--doing)"
          className="cursor-move"
          onPointerDown={(e) => pull(e, s.at, hold)}
        />
      </g>
    );
  };
  return (
    <g data-testid="shape-points">
      <g ref={ghost} transform={matrix} opacity={0.3} pointerEvents="none" data-testid="shows-through" />
      <g transform={matrix}>
        {now.map((s, i) => (
          <path
            key={i}
            d={s.path}
            fill="transparent"
            stroke={i === shape ? 'var(--doing)' : 'transparent'}
            strokeWidth={i === shape ? 1.4 : 6}
            vectorEffect="non-scaling-stroke"
            className={i === shape ? 'cursor-copy' : 'cursor-pointer'}
            pointerEvents={s.role === 'UPPER_TEETH' && part.role === 'MOUTH' ? 'none' : undefined}
            onClick={(e) => {
              e.stopPropagation();
              choose(i);
              setPoint(null);
            }}
            onDoubleClick={i === shape ? add : undefined}
          />
        ))}
      </g>
      {steps.flatMap((s) =>
        s.kind === 'C' && (s.at === point || steps[s.at - 1]?.at === point)
          ? [handle(s, 'FIRST_HANDLE', s.from, s.c1!), handle(s, 'SECOND_HANDLE', s.to, s.c2!)]
          : [],
      )}
      {pointsOf(steps).map((s) => {
        const [x, y] = canvas(s.to);
        return (
          <rect
            key={s.at}
            data-testid={`point-${s.at}`}
            x={x - r}
            y={y - r}
            width={r * 2}
            height={r * 2}
            rx={r * 0.3}
            fill={s.at === point ? 'var(--doing)' : 'var(--color-stage)'}
            stroke="var(--doing)"
            strokeWidth={1.6}
            vectorEffect="non-scaling-stroke"
            className="cursor-move"
            onClick={(e) => e.stopPropagation()}
            onPointerDown={(e) => pull(e, s.at, 'POINT')}
          />
        );
      })}
    </g>
  );
}
