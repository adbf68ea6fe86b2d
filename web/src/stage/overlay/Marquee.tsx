import { useEffect, useState } from 'react';
import { useDesk } from '../../state/desk';
import type { Painter } from '../painter';
import type { ViewBox } from '../view';
import { drag } from './pointer';

/** The parts that lie within a rectangle of the screen as a whole. */
export function within(
  parts: { id: string; box: { left: number; top: number; right: number; bottom: number } }[],
  held: { left: number; top: number; right: number; bottom: number },
): string[] {
  return parts
    .filter(({ box }) => box.right > box.left || box.bottom > box.top)
    .filter(
      ({ box }) =>
        box.left >= held.left && box.right <= held.right && box.top >= held.top && box.bottom <= held.bottom,
    )
    .map((p) => p.id);
}

/** A frame drawn from the ground of the stage: what lies in it as a whole is chosen, with Shift besides what was. */
export function Marquee({
  svg,
  painter,
  parts,
  ground,
}: {
  svg: () => SVGSVGElement | null;
  painter: () => Painter | null;
  /** Those that can be chosen, the uppermost last. */
  parts: string[];
  /** Whether there is nothing at a place of the screen. */
  ground: (x: number, y: number) => boolean;
}) {
  const [frame, setFrame] = useState<ViewBox | null>(null);
  useEffect(() => {
    const e = svg();
    if (!e) return;
    const press = (down: PointerEvent) => {
      if (down.button !== 0 || down.pointerType === 'touch' || down.target !== e) return;
      if (!ground(down.clientX, down.clientY)) return;
      drag(
        e,
        down,
        ([x, y], [fromX, fromY]) =>
          setFrame({
            x: Math.min(x, fromX),
            y: Math.min(y, fromY),
            w: Math.abs(x - fromX),
            h: Math.abs(y - fromY),
          }),
        (kept, moved, up) => {
          setFrame(null);
          if (!kept || !moved || !up) return;
          const held = {
            left: Math.min(down.clientX, up.clientX),
            right: Math.max(down.clientX, up.clientX),
            top: Math.min(down.clientY, up.clientY),
            bottom: Math.max(down.clientY, up.clientY),
          };
          const boxes = parts.flatMap((id) => {
            const g = painter()?.groupOf(id);
            return g && g.style.display !== 'none' ? [{ id, box: g.getBoundingClientRect() }] : [];
          });
          useDesk.getState().chooseAll(within(boxes, held), up.shiftKey);
        },
      );
    };
    e.addEventListener('pointerdown', press);
    return () => e.removeEventListener('pointerdown', press);
  }, [svg, painter, parts, ground]);
  if (!frame) return null;
  return (
    <rect
      data-testid="marquee"
      x={frame.x}
      y={frame.y}
      width={frame.w}
      height={frame.h}
      fill="var(--chosen)"
      fillOpacity={0.1}
      stroke="var(--chosen)"
      strokeWidth={1.5}
      vectorEffect="non-scaling-stroke"
      pointerEvents="none"
    />
  );
}
