import { useLayoutEffect, useRef } from 'react';
import type { Part, Shape } from '../../api/client';
import { paintDrawing } from '../../stage/alone';
import type { At } from './HandPicture';

/** What a hand holds, on its grip, with the fingers painted over it once more. */
export function HeldThing({
  part,
  shapes,
  grip,
  angle,
  fingers,
}: {
  part: Part;
  shapes: Shape[];
  grip: At;
  angle: number;
  fingers: Shape[];
}) {
  const thing = useRef<SVGGElement>(null);
  const front = useRef<SVGGElement>(null);
  useLayoutEffect(() => paintDrawing(thing.current!, shapes), [shapes]);
  useLayoutEffect(() => paintDrawing(front.current!, fingers), [fingers]);
  const [px, py] = part.pivot as [number, number];
  const { rotation, scaleX, scaleY } = part.rest;
  return (
    <g pointerEvents="none">
      <g
        ref={thing}
        transform={`translate(${grip.x} ${grip.y}) rotate(${angle + rotation}) scale(${scaleX} ${scaleY}) translate(${-px} ${-py})`}
      />
      <g ref={front} />
    </g>
  );
}
