import { useRef, useState } from 'react';
import type { Edit, EyesView } from '../../api/client';
import { useStudio } from '../../state/studio';

type Eye = EyesView['eyes'][number];
const NAMES = ['inner end', 'middle', 'outer end'] as const;

/** Three points on the line where the lids meet, to be bent up and down; both eyes follow alike. */
export function LidLine({ eye, px }: { eye: Eye; px: number }) {
  const { director, edit } = useStudio();
  const [by, setBy] = useState<[number, number, number] | null>(null);
  const from = useRef({ point: 0, y: 0 });
  const bend = (b: number[]): Edit => ({ kind: 'bend-lid-line', inner: b[0]!, middle: b[1]!, outer: b[2]! });
  const at = (e: React.PointerEvent<SVGCircleElement>) =>
    new DOMPoint(e.clientX, e.clientY).matrixTransform(
      e.currentTarget.ownerSVGElement!.getScreenCTM()!.inverse(),
    ).y;
  const only = (point: number, y: number): [number, number, number] => [
    point === 0 ? y : 0,
    point === 1 ? y : 0,
    point === 2 ? y : 0,
  ];
  const drop = () => {
    setBy(null);
    director.drafting(null);
  };
  const keep = (b: [number, number, number]) => {
    setBy(null);
    void edit(bend(b.map((v) => Math.round(v * 10) / 10))).then(() => director.drafting(null));
  };
  return (
    <>
      {eye.lidLine.map(([x, y], i) => (
        <circle
          key={i}
          cx={x}
          cy={y! + (by?.[i] ?? 0)}
          r={5 * px}
          role="slider"
          tabIndex={0}
          aria-label={`Lid line of ${eye.name}, ${NAMES[i]}`}
          aria-valuenow={Math.round(y!)}
          data-testid={`lid-line-${eye.id}-${i}`}
          pointerEvents="all"
          className="cursor-ns-resize fill-card stroke-doing focus-visible:fill-doing"
          strokeWidth={2 * px}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            e.currentTarget.focus();
            from.current = { point: i, y: at(e) };
            setBy([0, 0, 0]);
          }}
          onPointerMove={(e) => {
            if (!by) return;
            const next = only(i, at(e) - from.current.y);
            setBy(next);
            director.drafting(bend(next));
          }}
          onPointerUp={() => by && (Math.abs(by[i]!) < 0.05 ? drop() : keep(by))}
          onPointerCancel={drop}
          onKeyDown={(e) => {
            if (e.key === 'Escape' && by) drop();
            const step = { ArrowUp: -1, ArrowDown: 1 }[e.key];
            if (step) {
              e.preventDefault();
              e.stopPropagation();
              keep(only(i, step * (e.shiftKey ? 10 : e.altKey ? 0.1 : 1)));
            }
          }}
        >
          <title>The line on which the lids meet: drag up or down</title>
        </circle>
      ))}
    </>
  );
}
