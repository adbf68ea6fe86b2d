import { useRef, useState } from 'react';
import type { Edit, HeadShape } from '../../api/client';
import { usePresses } from '../../state/usePresses';
import { useStudio } from '../../state/studio';
import { drag } from '../../stage/overlay/pointer';
import { steppedBy } from '../../stage/overlay/steppedBy';

const WIDE = 150;
const TALL = 150;
/** One half width of the head, and the place of the ears, in the picture. */
const HALF = 62;
const EARS = 78;

const KNOBS: { key: 'front' | 'chin' | 'back' | 'nape'; y: number; sign: 1 | -1; words: string }[] = [
  { key: 'front', y: 0.5, sign: -1, words: 'How far the face stands forward' },
  { key: 'chin', y: 0.97, sign: -1, words: 'How far the chin stands forward' },
  { key: 'back', y: 0.42, sign: 1, words: 'How far the back of the head reaches' },
  { key: 'nape', y: 0.97, sign: 1, words: 'How far the nape reaches' },
];

const LIMITS = { front: [0.2, 1.6], back: [0.2, 1.6], chin: [-0.5, 1.5], nape: [-0.5, 1.5] } as const;

/** The head seen from its side, facing left: how deep it is, pulled by four knobs. */
export function SideView({ shape, side }: { shape: HeadShape; side: number[][] }) {
  const { director, edit } = useStudio();
  const press = usePresses();
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<HeadShape | null>(null);
  const now = held ?? shape;
  const x = (v: number) => EARS + v * HALF;
  const y = (v: number) => 12 + v * (TALL - 24);
  const pull = (e: React.PointerEvent, knob: (typeof KNOBS)[number]) => {
    if (!svg.current) return;
    e.preventDefault();
    let last: HeadShape | null = null;
    drag(
      svg.current,
      e,
      (to, from) => {
        const [least, most] = LIMITS[knob.key];
        const value = shape[knob.key] + (knob.sign * (to[0] - from[0])) / HALF;
        last = { ...shape, [knob.key]: Math.round(Math.max(least, Math.min(most, value)) * 100) / 100 };
        setHeld(last);
        director.drafting({ kind: 'make-turn', shape: last });
      },
      (kept) => {
        const final = last;
        const done = () => {
          setHeld(null);
          director.drafting(null);
        };
        if (kept && final) void edit({ kind: 'make-turn', shape: final }).then(done);
        else done();
      },
    );
  };
  const deeper = (knob: (typeof KNOBS)[number], by: number): Edit => {
    const [least, most] = LIMITS[knob.key];
    const value = Math.max(least, Math.min(most, shape[knob.key] + by));
    return { kind: 'make-turn', shape: { ...shape, [knob.key]: Math.round(value * 100) / 100 } };
  };
  const path = side
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p[0]!).toFixed(1)} ${y(p[1]!).toFixed(1)}`)
    .join('');
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDE} ${TALL}`}
      className="h-[150px] w-[150px] shrink-0 rounded-lg border border-line bg-stage"
      role="group"
      aria-label="The head seen from its side, facing left"
      data-testid="side-view"
    >
      <line
        x1={EARS}
        x2={EARS}
        y1={4}
        y2={TALL - 4}
        stroke="var(--color-stage-ink)"
        strokeOpacity={0.5}
        strokeDasharray="5 4"
      />
      <path d={`${path}Z`} fill="var(--color-paper)" stroke="var(--color-ink)" strokeWidth={1.6} />
      <text x={8} y={TALL - 6} fontSize={9.5} fill="var(--color-stage-ink)">
        front
      </text>
      {KNOBS.map((k) => (
        <circle
          key={k.key}
          data-testid={`side-${k.key}`}
          cx={x(k.sign * now[k.key])}
          cy={y(k.y)}
          r={5}
          fill="var(--color-stage)"
          stroke="var(--doing)"
          strokeWidth={2.2}
          className="cursor-ew-resize"
          onPointerDown={(e) => pull(e, k)}
          {...steppedBy(k.words, (dx) => {
            const by = (k.sign * dx) / 100;
            press({ into: k.key, dx: by, dy: 0, make: (v) => deeper(k, v) });
          })}
        >
          <title>{k.words}</title>
        </circle>
      ))}
    </svg>
  );
}
