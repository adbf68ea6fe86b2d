import type { Shape } from '../../api/client';
import { pointsOf, stepsOf } from '../../stage/overlay/outline';
import { useRow } from '../../state/useRow';
import type { At } from './HandPicture';

/** Which point of a drawing's outlines. */
export type PointAt = { shape: number; at: number };

/** How much the arrow keys change a weight by. */
const STEP = 0.1;
const held01 = (v: number) => Math.max(0, Math.min(1, Math.round(v * 100) / 100));

/**
 * The points near a wrist that bends, each filled as far as it follows the arm. Dragging one up and down, or its arrow keys,
 * changes how far.
 */
export function Weights({
  shapes,
  outlines,
  weights,
  near,
  width,
  chosen,
  choose,
  weigh,
}: {
  shapes: Shape[];
  outlines: string[];
  /** By shape, then by step of its outline. */
  weights: number[][];
  /** Middle of the wrist: points further than the bend could ever go are left out. */
  near: At;
  width: number;
  chosen: PointAt | null;
  choose: (point: PointAt) => void;
  weigh: (point: PointAt, weight: number) => void;
}) {
  const row = useRow<{ point: PointAt; weight: number }>((_, to) => weigh(to.point, to.weight));
  return shapes.flatMap((s, shape) => {
    const drawn = stepsOf(s.path);
    const now = stepsOf(outlines[shape] ?? s.path);
    return pointsOf(drawn)
      .filter((p) => Math.hypot(p.to[0] - near.x, p.to[1] - near.y) < 1.6 * width)
      .map((p) => {
        const [x, y] = now[p.at]?.to ?? p.to;
        const key = `${shape}/${p.at}`;
        const weight = row.held(key)?.weight ?? weights[shape]?.[p.at] ?? 0;
        const on = chosen?.shape === shape && chosen.at === p.at;
        const to = (v: number) => held01(v) !== weight && weigh({ shape, at: p.at }, held01(v));
        return (
          <g key={key}>
            <circle
              cx={x}
              cy={y}
              r={width * (on ? 0.075 : 0.055)}
              fill="var(--color-card)"
              stroke={on ? 'var(--color-doing)' : 'var(--color-ink)'}
              strokeWidth={width * 0.022}
            />
            <circle
              cx={x}
              cy={y}
              r={width * (on ? 0.062 : 0.045)}
              fill="var(--color-doing)"
              fillOpacity={weight}
              pointerEvents="none"
            />
            <circle
              cx={x}
              cy={y}
              r={width * 0.09}
              fill="transparent"
              className="cursor-ns-resize touch-none"
              role="slider"
              tabIndex={0}
              aria-label={`Point ${p.at + 1} of shape ${shape + 1} follows the arm`}
              aria-valuemin={0}
              aria-valuemax={100}
              aria-valuenow={Math.round(weight * 100)}
              aria-valuetext={`${Math.round(weight * 100)} %`}
              onFocus={() => choose({ shape, at: p.at })}
              onPointerDown={(e) => {
                e.stopPropagation();
                e.currentTarget.setPointerCapture(e.pointerId);
                choose({ shape, at: p.at });
                e.currentTarget.dataset.from = String(e.clientY);
              }}
              onPointerUp={(e) => {
                const from = e.currentTarget.dataset.from;
                delete e.currentTarget.dataset.from;
                // a hundred pixels are the whole way; a click alone changes nothing
                if (from !== undefined && Math.abs(e.clientY - Number(from)) > 3)
                  to(weight + (Number(from) - e.clientY) / 100);
              }}
              onPointerCancel={(e) => delete e.currentTarget.dataset.from}
              onKeyDown={(e) => {
                const by = { ArrowUp: STEP, ArrowRight: STEP, ArrowDown: -STEP, ArrowLeft: -STEP }[e.key];
                const end = { Home: 0, End: 1 }[e.key];
                if (by === undefined && end === undefined) return;
                e.preventDefault();
                e.stopPropagation();
                const next = held01(end ?? weight + by!);
                if (next !== weight) row.press(key, { point: { shape, at: p.at }, weight: next });
              }}
            />
          </g>
        );
      });
  });
}
