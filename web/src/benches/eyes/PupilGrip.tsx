import { useRef, useState } from 'react';
import type { Edit, EyesView } from '../../api/client';
import { useStudio } from '../../state/studio';
import { stepOf, usePresses } from '../../state/usePresses';

type Eye = EyesView['eyes'][number];

/** A ring round one pupil, to set it apart from the other: dragged, or nudged by arrow keys. */
export function PupilGrip({ eye, px }: { eye: Eye; px: number }) {
  const { director, edit } = useStudio();
  const press = usePresses();
  const [by, setBy] = useState<[number, number] | null>(null);
  const from = useRef([0, 0]);
  if (!eye.pupil) return null;
  const [x, y] = eye.pupil as [number, number];
  const apart = ([dx, dy]: [number, number]): Edit => ({
    kind: 'offset-pupil',
    eye: eye.id,
    dx: Math.round(dx * 10) / 10,
    dy: Math.round(dy * 10) / 10,
  });
  const at = (e: React.PointerEvent<SVGCircleElement>): [number, number] => {
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(
      e.currentTarget.ownerSVGElement!.getScreenCTM()!.inverse(),
    );
    return [p.x, p.y];
  };
  const drop = () => {
    setBy(null);
    director.drafting(null);
  };
  return (
    <circle
      cx={x + (by?.[0] ?? 0)}
      cy={y + (by?.[1] ?? 0)}
      r={15 * px}
      role="slider"
      tabIndex={0}
      aria-label={`Pupil of ${eye.name}, set apart`}
      aria-valuenow={Math.round(x)}
      data-testid={`pupil-${eye.id}`}
      pointerEvents="all"
      className={`cursor-move fill-transparent focus-visible:stroke-doing ${
        by ? 'stroke-doing' : 'stroke-transparent hover:stroke-doing'
      }`}
      strokeWidth={2 * px}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        e.currentTarget.focus();
        from.current = at(e);
        setBy([0, 0]);
      }}
      onPointerMove={(e) => {
        if (!by) return;
        const to = at(e);
        const next: [number, number] = [to[0] - from.current[0]!, to[1] - from.current[1]!];
        setBy(next);
        director.drafting(apart(next));
      }}
      onPointerUp={() => {
        if (!by) return;
        if (Math.hypot(...by) < 0.05) return drop();
        setBy(null);
        void edit(apart(by)).then(() => director.drafting(null));
      }}
      onPointerCancel={drop}
      onKeyDown={(e) => {
        if (e.key === 'Escape' && by) drop();
        const step = stepOf(e);
        if (step) {
          e.preventDefault();
          e.stopPropagation();
          press({ into: `pupil ${eye.id}`, dx: step[0], dy: step[1], make: (x, y) => apart([x, y]) });
        }
      }}
    >
      <title>Drag to set this pupil apart from the other; the gaze pad moves both</title>
    </circle>
  );
}
