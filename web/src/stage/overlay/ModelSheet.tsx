import { useState } from 'react';
import { usePresses } from '../../state/usePresses';
import { steppedBy } from './steppedBy';
import type { Edit } from '../../api/client';
import { useStudio } from '../../state/studio';
import type { ViewBox } from '../view';
import { round } from './geometry';
import { drag } from './pointer';

/** The model lines and the axis of symmetry, each dragged to where it belongs. */
export function ModelSheet({
  svg,
  box,
  unit,
}: {
  svg: () => SVGSVGElement | null;
  box: ViewBox;
  unit: number;
}) {
  const { view, edit } = useStudio();
  const press = usePresses();
  const { model } = view.character.sheet;
  // stale as soon as the lines are others
  const [held, setPulled] = useState<{ of: typeof model; name: string; at: number } | null>(null);
  const pulled = held?.of === model ? held : null;

  const pull = (e: React.PointerEvent, name: string, from: number, make: (at: number) => Edit) => {
    const sheet = svg();
    if (!sheet) return;
    e.stopPropagation();
    e.preventDefault();
    const across = name === '';
    let now = from;
    drag(
      sheet,
      e,
      (to, start) => {
        now = round(from + (across ? to[0] - start[0] : to[1] - start[1]), 1);
        setPulled({ of: model, name, at: now });
      },
      (kept, travelled) => {
        setPulled(null);
        if (kept && travelled) void edit(make(now));
      },
    );
  };

  /** A line by arrow keys; it is seen where it goes before it is kept. */
  const stepped = (label: string, name: string, from: number, make: (at: number) => Edit) =>
    steppedBy(`${label}, at ${round(from, 1)}`, (dx, dy) =>
      press({
        into: `model ${name}`,
        dx,
        dy,
        make: (x, y) => {
          const at = round(from + (name === '' ? x : y), 1);
          setPulled({ of: model, name, at });
          return make(at);
        },
      }),
    );
  const left = box.x - box.w;
  const right = box.x + box.w * 2;
  const axis = pulled?.name === '' ? pulled.at : model.axis;
  return (
    <g data-testid="model-sheet">
      <line
        x1={axis}
        x2={axis}
        y1={box.y - box.h}
        y2={box.y + box.h * 2}
        stroke="transparent"
        strokeWidth={9}
        vectorEffect="non-scaling-stroke"
        className="cursor-ew-resize"
        data-testid="axis"
        {...stepped('Axis of symmetry', '', model.axis, (x) => ({ kind: 'move-axis', x }))}
        onPointerDown={(e) => pull(e, '', model.axis, (x) => ({ kind: 'move-axis', x }))}
      >
        <title>Axis of symmetry: drag it</title>
      </line>
      {pulled?.name === '' && (
        <line
          x1={axis}
          x2={axis}
          y1={box.y - box.h}
          y2={box.y + box.h * 2}
          stroke="var(--doing)"
          strokeWidth={1.6}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      )}
      {model.lines.map((l) => {
        const y = pulled?.name === l.name ? pulled.at : l.y;
        return (
          <g key={l.name}>
            <line
              x1={left}
              x2={right}
              y1={y}
              y2={y}
              stroke={pulled?.name === l.name ? 'var(--doing)' : 'var(--color-stage-ink)'}
              strokeOpacity={0.75}
              strokeWidth={1.2}
              strokeDasharray="2 4"
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
            <text
              x={box.x + 10 * unit}
              y={y - 4 * unit}
              fontSize={11 * unit}
              fill="var(--color-stage-ink)"
              pointerEvents="none"
            >
              {l.name} {round(y, 1)}
            </text>
            <line
              x1={left}
              x2={right}
              y1={y}
              y2={y}
              stroke="transparent"
              strokeWidth={9}
              vectorEffect="non-scaling-stroke"
              className="cursor-ns-resize"
              data-testid={`model-${l.name}`}
              {...stepped(l.name, l.name, l.y, (at) => ({ kind: 'move-model-line', name: l.name, y: at }))}
              onPointerDown={(e) =>
                pull(e, l.name, l.y, (at) => ({ kind: 'move-model-line', name: l.name, y: at }))
              }
            >
              <title>{l.name}: drag it</title>
            </line>
          </g>
        );
      })}
    </g>
  );
}
