import { useState } from 'react';
import type { BallSetting } from '../../api/client';
import { useStudio } from '../../state/studio';
import { round, type XY } from './geometry';
import { drag } from './pointer';

/** The ball under the face: dragged by its middle, its side and its chin. What comes of it is shown at once. */
export function BallHandles({ svg, unit }: { svg: () => SVGSVGElement | null; unit: number }) {
  const { view, director, edit } = useStudio();
  const [held, setHeld] = useState<BallSetting | null>(null);
  const known = view.character.controls.turn?.ball;
  const ball = held ?? known;
  if (!ball || !known) return null;
  const [cx, cy] = ball.centre as XY;
  const pull = (e: React.PointerEvent, make: (to: XY, from: XY) => Partial<BallSetting>) => {
    const sheet = svg();
    if (!sheet) return;
    e.stopPropagation();
    e.preventDefault();
    let last: BallSetting | null = null;
    drag(
      sheet,
      e,
      (to, from) => {
        last = { ...known, ...make(to, from) };
        setHeld(last);
        director.drafting({ kind: 'make-turn', ball: last });
      },
      (kept) => {
        const final = last;
        const done = () => {
          setHeld(null);
          director.drafting(null);
        };
        if (kept && final) void edit({ kind: 'make-turn', ball: final }).then(done);
        else done();
      },
    );
  };
  const r = 6 * unit;
  const knob = (
    x: number,
    y: number,
    id: string,
    words: string,
    make: (to: XY, from: XY) => Partial<BallSetting>,
  ) => (
    <circle
      data-testid={id}
      cx={x}
      cy={y}
      r={r}
      fill="var(--color-stage)"
      stroke="var(--doing)"
      strokeWidth={2.4}
      vectorEffect="non-scaling-stroke"
      className="cursor-move"
      onPointerDown={(e) => pull(e, make)}
      onClick={(e) => e.stopPropagation()}
    >
      <title>{words}</title>
    </circle>
  );
  const line = {
    fill: 'none',
    stroke: 'var(--doing)',
    strokeWidth: 1.4,
    vectorEffect: 'non-scaling-stroke' as const,
    pointerEvents: 'none' as const,
  };
  return (
    <g data-testid="ball">
      <ellipse cx={cx} cy={cy} rx={ball.rx} ry={ball.ry} {...line} strokeWidth={2} />
      {[0.5, 0.866].map((k) => (
        <ellipse key={k} cx={cx} cy={cy} rx={ball.rx * k} ry={ball.ry} {...line} strokeDasharray="4 4" />
      ))}
      <line x1={cx} x2={cx} y1={cy - ball.ry} y2={cy + ball.ry} {...line} strokeDasharray="4 4" />
      <line x1={cx - ball.rx} x2={cx + ball.rx} y1={cy} y2={cy} {...line} strokeDasharray="4 4" />
      {knob(cx, cy, 'ball-centre', 'Where the head turns about', (to, from) => ({
        centre: [
          round(known.centre[0]! + to[0] - from[0]),
          round(known.centre[1]! + to[1] - from[1]),
        ] as unknown as BallSetting['centre'],
      }))}
      {knob(cx + ball.rx, cy, 'ball-side', 'How wide the head is', (to) => ({
        rx: round(Math.max(1, Math.abs(to[0] - cx))),
      }))}
      {knob(cx, cy + ball.ry, 'ball-chin', 'How tall the head is', (to) => ({
        ry: round(Math.max(1, Math.abs(to[1] - cy))),
      }))}
    </g>
  );
}
