import { useEffect, useState } from 'react';
import type { Joint } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import type { Painter } from '../painter';
import type { ViewBox } from '../view';
import { type Hook, PartHandles } from './PartHandles';

/** A soft curve from a part's pivot to the pivot of what it follows. */
function thread(a: number[], b: number[]): string {
  const bend = (b[0]! - a[0]!) * 0.18;
  const [mx, my] = [(a[0]! + b[0]!) / 2 - bend * 0.4, (a[1]! + b[1]!) / 2 + Math.abs(bend)];
  return `M${a[0]} ${a[1]}Q${mx} ${my} ${b[0]} ${b[1]}`;
}

/**
 * Who follows whom, drawn on the character, and the handles of the chosen part.
 *
 * @param unit canvas units a screen pixel
 * @param box what of the canvas is in view
 */
export function Rigging({
  svg,
  painter,
  unit,
  box,
  posingOnly = false,
}: {
  svg: () => SVGSVGElement | null;
  painter: () => Painter | null;
  unit: number;
  box: ViewBox;
  /** While a dial is recorded parts are posed, and neither hung elsewhere nor given another pivot. */
  posingOnly?: boolean;
}) {
  const { view, director } = useStudio();
  const chosen = useDesk((s) => s.part);
  const also = useDesk((s) => s.also);
  const locked = useDesk((s) => s.locked);
  const [joints, setJoints] = useState<Joint[]>([]);
  const [hook, setHook] = useState<Hook | null>(null);
  useEffect(() => director.watchJoints(setJoints), [director]);

  const { character } = view;
  const joint = joints.find((j) => j.part === chosen);
  const part = character.rig.parts.find((p) => p.id === chosen);
  const at = (id: string | undefined) => joints.find((j) => j.part === id)?.at;

  const r = 4.2 * unit;

  return (
    <g data-testid="rigging">
      {joints.map((j) => {
        const to = at(j.parent);
        return to && !posingOnly && Math.hypot(to[0]! - j.at[0]!, to[1]! - j.at[1]!) > unit ? (
          <path
            key={`t-${j.part}`}
            d={thread(j.at, to)}
            fill="none"
            stroke={j.part === chosen ? 'var(--doing)' : 'var(--color-stage-ink)'}
            strokeOpacity={j.part === chosen ? 1 : 0.5}
            strokeWidth={j.part === chosen ? 2.2 : 1.3}
            vectorEffect="non-scaling-stroke"
            pointerEvents="none"
          />
        ) : null;
      })}
      {joints.map((j) => (
        <circle
          key={`n-${j.part}`}
          data-node={j.part}
          cx={j.at[0]}
          cy={j.at[1]}
          r={hook?.onto === j.part ? r * 1.9 : r}
          fill={
            hook?.onto === j.part
              ? 'var(--doing)'
              : also.includes(j.part)
                ? 'var(--doing-soft)'
                : 'var(--color-stage)'
          }
          stroke={also.includes(j.part) ? 'var(--doing)' : 'var(--color-stage-ink)'}
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
          className="cursor-pointer"
          onClick={(e) => {
            e.stopPropagation();
            if (e.shiftKey) useDesk.getState().addTo(j.part);
            else useDesk.getState().select(j.part);
          }}
        >
          <title>{character.rig.parts.find((p) => p.id === j.part)?.name}</title>
        </circle>
      ))}
      {part && joint && (
        <PartHandles
          svg={svg}
          painter={painter}
          unit={unit}
          box={box}
          part={part}
          joint={joint}
          parent={at(part.parent)}
          held={locked.includes(part.id)}
          posingOnly={posingOnly}
          hook={hook}
          pullHook={setHook}
        />
      )}
    </g>
  );
}
