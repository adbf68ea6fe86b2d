import { useEffect, useMemo, useRef } from 'react';
import type { Finding, EyesView } from '../../api/client';
import { Painter } from '../../stage/painter';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { LidLine } from './LidLine';
import { PupilGrip } from './PupilGrip';

type Eye = EyesView['eyes'][number];

const outline = (points: number[][]) => 'M' + points.map((p) => `${p[0]} ${p[1]}`).join('L') + 'Z';

/** Room around an eye, the same on both sides, so that brows and lids are seen too. */
export function frameOfEye(eye: Eye): [number, number, number, number] {
  const { minX, minY, maxX, maxY } = eye.box;
  const w = Math.max(maxX - minX, 1);
  const h = Math.max(maxY - minY, 1);
  const side = Math.max(w, h * 1.1) * 1.5;
  return [(minX + maxX - side) / 2, (minY + maxY) / 2 - side * 0.42, side, side * 0.8];
}

/** One eye, large and live: its window, how far its pupil can go, and what is wrong where it is wrong. */
export function EyeCloseUp({ eye, marked }: { eye: Eye; marked: Finding | null }) {
  const { view, artwork, director } = useStudio();
  const root = useRef<SVGGElement>(null);
  useEffect(() => {
    const painter = new Painter(root.current!, view.character, artwork);
    return director.watch((frame) => painter.show(frame));
  }, [view.character, artwork, director]);
  const box = useMemo(() => frameOfEye(eye), [eye.box]); // eslint-disable-line react-hooks/exhaustive-deps
  const px = box[2] / 260;
  const shut = useDesk((s) =>
    view.character.controls.dials.some(
      (d) => d.purpose === 'BLINK' && (s.dials[d.id] ?? d.rest) >= 0.99 * d.to,
    ),
  );
  return (
    <figure className="overflow-hidden rounded-xl border border-line bg-drawn">
      <svg viewBox={box.join(' ')} className="block w-full" role="group" aria-label={eye.name}>
        <g ref={root} />
        <g fill="none" pointerEvents="none">
          {eye.window.map((w, i) => (
            <path key={i} d={outline(w)} stroke="var(--color-faint)" strokeWidth={1.6 * px} />
          ))}
          {eye.reach.length > 0 && (
            <path
              data-testid={`reach-${eye.id}`}
              d={outline(eye.reach)}
              stroke="var(--color-doing)"
              strokeWidth={1.4 * px}
              strokeDasharray={`${5 * px} ${3 * px}`}
            />
          )}
          {marked?.where.map((w, i) => (
            <path
              key={i}
              data-testid="fault"
              d={outline(w)}
              fill="var(--color-wrong)"
              fillOpacity={0.75}
              stroke="var(--color-wrong)"
              strokeWidth={2 * px}
            />
          ))}
        </g>
        {shut ? <LidLine eye={eye} px={px} /> : <PupilGrip eye={eye} px={px} />}
      </svg>
      <figcaption className="flex flex-wrap justify-between gap-x-2 bg-paper px-2.5 py-1 text-[12px]">
        <b className="truncate" title={eye.name}>
          {eye.name}
        </b>
        {eye.reach.length > 0 && (
          <span className="shrink-0 text-faint tabular-nums">
            pupil {Math.round(eye.kept * 100)} % in its window
          </span>
        )}
      </figcaption>
    </figure>
  );
}
