import { useEffect, useState } from 'react';
import type { Edit, Joint, Part } from '../../api/client';
import { useDesk } from '../../state/desk';
import { recorded } from '../../state/recording';
import { useStudio } from '../../state/studio';
import { usePresses } from '../../state/usePresses';
import type { Painter } from '../painter';
import type { ViewBox } from '../view';
import { cornersOf, mid, turnKnob } from './corners';
import { inParent, moved, round, scaled, skewed, turned, type XY } from './geometry';
import { drag } from './pointer';
import { steppedBy } from './steppedBy';

/** The end of a part's line to its parent while it is dragged, and the part it is over. */
export interface Hook {
  at: XY;
  onto: string | null;
}

/**
 * The handles of the chosen part: its pivot, its size, its rotation, its skew, and the end of its line, which is dragged onto another
 * part to make that its parent. Each is reached by Tab, and goes by arrow keys.
 *
 * @param unit canvas units a screen pixel
 * @param box what of the canvas is in view
 */
export function PartHandles({
  svg,
  painter,
  unit,
  box,
  part,
  joint,
  parent,
  held,
  posingOnly,
  hook,
  pullHook,
}: {
  svg: () => SVGSVGElement | null;
  painter: () => Painter | null;
  unit: number;
  box: ViewBox;
  part: Part;
  joint: Joint;
  /** Where the pivot of its parent is. */
  parent: number[] | undefined;
  /** Whether it is locked. */
  held: boolean;
  posingOnly: boolean;
  hook: Hook | null;
  pullHook: (hook: Hook | null) => void;
}) {
  const { view, director, edit } = useStudio();
  const also = useDesk((s) => s.also);
  const press = usePresses();
  const [, redraw] = useState(0);
  // the corners are read off the picture, which is painted after this
  useEffect(() => {
    const frame = requestAnimationFrame(() => redraw((n) => n + 1));
    return () => cancelAnimationFrame(frame);
  }, [part, joint, view]);
  const corners = cornersOf(painter(), part.id, 7 * unit);

  /** Drags something of the chosen part: shows what the edit would do, and makes it when let go. */
  const pull = (e: React.PointerEvent, make: (to: XY, from: XY, e: PointerEvent) => Edit | null) => {
    const sheet = svg();
    if (!sheet || held) return;
    e.stopPropagation();
    e.preventDefault();
    let draft: Edit | null = null;
    drag(
      sheet,
      e,
      (to, from, now) => {
        const made = make(to, from, now);
        draft = made && recorded(made, view.character.controls.dials);
        if (draft) director.drafting(draft);
      },
      (kept) => {
        const final = draft;
        if (kept && final) void edit(final).then(() => director.drafting(null));
        else director.drafting(null);
      },
    );
  };

  const place = (p: Part, rest: Part['rest']): Edit => ({ kind: 'place', part: p.id, rest });

  const pullEnd = (e: React.PointerEvent, p: Part) => {
    const sheet = svg();
    if (!sheet || held) return;
    e.stopPropagation();
    e.preventDefault();
    const under = (x: number, y: number) => {
      const node = document.elementsFromPoint(x, y);
      const id = node
        .map(
          (n) =>
            n.closest('[data-node]')?.getAttribute('data-node') ??
            n.closest('[data-part]')?.getAttribute('data-part'),
        )
        .find((n) => n && n !== p.id);
      return id ?? null;
    };
    let onto: string | null = null;
    drag(
      sheet,
      e,
      (to, _from, now) => {
        onto = under(now.clientX, now.clientY);
        pullHook({ at: to, onto });
      },
      (kept, travelled) => {
        pullHook(null);
        const parts = [...new Set([p.id, ...also])];
        if (kept && travelled && onto !== p.parent)
          void edit({ kind: 'hang', parts, ...(onto ? { parent: onto } : {}) });
      },
    );
  };

  const r = 4.2 * unit;
  const end: XY = parent
    ? [parent[0]! + (joint.at[0]! - parent[0]!) * 0.22, parent[1]! + (joint.at[1]! - parent[1]!) * 0.22]
    : [joint.at[0]! + 26 * unit, joint.at[1]! + 26 * unit];
  const [top, knob] = corners ? turnKnob(corners, box, 26 * unit) : [null, null];

  const { dials } = view.character.controls;
  /** Arrow keys on a handle, in canvas units or degrees. */
  const stepped = (label: string, make: (dx: number, dy: number) => Edit) =>
    steppedBy(`${label} of ${part.name}`, (dx, dy) =>
      press({ into: `${label} ${part.id}`, dx, dy, make: (x, y) => recorded(make(x, y), dials) }),
    );
  const sizeBy = (dx: number, dy: number): Edit => {
    const from = corners!.se;
    return place(part, scaled(part.rest, joint, from, [from[0] + dx, from[1] + dy], false));
  };
  const pivotBy = (dx: number, dy: number): Edit => {
    const [x, y] = inParent(joint.within, [dx, dy]);
    return {
      kind: 'move-pivot',
      part: part.id,
      to: [round(part.pivot[0]! + x), round(part.pivot[1]! + y)],
    };
  };
  return (
    <g data-testid="handles">
      {corners && (
        <>
          <path
            d={`M${corners.nw}L${corners.ne}L${corners.se}L${corners.sw}Z`}
            fill="transparent"
            stroke="var(--doing)"
            strokeWidth={1.4}
            strokeDasharray="5 4"
            vectorEffect="non-scaling-stroke"
            className={held ? '' : 'cursor-move'}
            data-testid="handle-move"
            onPointerDown={(e) => {
              if (e.shiftKey) return;
              pull(e, (to, from) => place(part, moved(part.rest, joint, [to[0] - from[0], to[1] - from[1]])));
            }}
          />
          {top && knob && (
            <path
              d={`M${top}L${knob}`}
              stroke="var(--doing)"
              strokeWidth={1.4}
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
          )}
          {!held &&
            (['nw', 'ne', 'se', 'sw'] as const).map((k) => (
              <rect
                key={k}
                data-testid={`handle-${k}`}
                x={corners[k][0] - r * 0.9}
                y={corners[k][1] - r * 0.9}
                width={r * 1.8}
                height={r * 1.8}
                rx={r * 0.4}
                fill="var(--color-stage)"
                stroke="var(--doing)"
                strokeWidth={1.6}
                vectorEffect="non-scaling-stroke"
                className="cursor-nwse-resize"
                // one of the four is enough for the keyboard: all of them scale from the pivot
                {...(k === 'se' && stepped('Size', sizeBy))}
                onPointerDown={(e) =>
                  pull(e, (to, from, now) => place(part, scaled(part.rest, joint, from, to, now.shiftKey)))
                }
              >
                <title>Drag to scale it from its pivot (Shift: evenly)</title>
              </rect>
            ))}
          {!held && knob && (
            <circle
              data-testid="handle-turn"
              cx={knob[0]}
              cy={knob[1]}
              r={r * 1.15}
              fill="var(--doing)"
              className="cursor-grab"
              {...stepped('Rotation', (dx, dy) =>
                place(part, { ...part.rest, rotation: round(part.rest.rotation + dx + dy) }),
              )}
              onPointerDown={(e) =>
                pull(e, (to, from, now) => place(part, turned(part.rest, joint, from, to, now.shiftKey)))
              }
            >
              <title>Drag to rotate it about its pivot (Shift: steps of 15°)</title>
            </circle>
          )}
          {!held && (
            <path
              data-testid="handle-slant"
              d={(() => {
                const m = mid(corners.sw, corners.se);
                return `M${m[0] - r * 1.6} ${m[1]}L${m[0] - r * 0.6} ${m[1] - r}L${m[0] + r * 1.6} ${m[1]}L${m[0] + r * 0.6} ${m[1] + r}Z`;
              })()}
              fill="var(--color-stage)"
              stroke="var(--doing)"
              strokeWidth={1.6}
              vectorEffect="non-scaling-stroke"
              className="cursor-ew-resize"
              {...stepped('Skew', (dx) => place(part, { ...part.rest, skewX: round(part.rest.skewX + dx) }))}
              onPointerDown={(e) => pull(e, (to, from) => place(part, skewed(part.rest, joint, from, to)))}
            >
              <title>Drag sideways to skew it</title>
            </path>
          )}
        </>
      )}
      {!held && !posingOnly && (
        <g>
          <path
            d={`M${joint.at[0]} ${joint.at[1]}L${hook ? hook.at : end}`}
            stroke="var(--doing)"
            strokeWidth={hook ? 2.4 : 1.4}
            strokeDasharray={hook || !parent ? '3 3' : undefined}
            strokeOpacity={hook || !parent ? 1 : 0}
            vectorEffect="non-scaling-stroke"
            pointerEvents="none"
          />
          <circle
            data-testid="handle-hook"
            cx={hook ? hook.at[0] : end[0]}
            cy={hook ? hook.at[1] : end[1]}
            r={r * 1.15}
            fill="var(--color-stage)"
            stroke="var(--doing)"
            strokeWidth={2.4}
            vectorEffect="non-scaling-stroke"
            className="cursor-alias"
            tabIndex={0}
            role="button"
            aria-label={`Parent of ${part.name}: Enter chooses another`}
            onKeyDown={(e) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              e.stopPropagation();
              document.querySelector<HTMLElement>('[data-panel=bench] select[aria-label="Parent"]')?.focus();
            }}
            style={hook ? { pointerEvents: 'none' } : undefined}
            onPointerDown={(e) => pullEnd(e, part)}
          >
            <title>Drag onto another part to make that its parent, or onto empty paper for no parent</title>
          </circle>
        </g>
      )}
      <g
        data-testid="handle-pivot"
        {...(!held && !posingOnly && stepped('Pivot', pivotBy))}
        className={held || posingOnly ? '' : 'cursor-crosshair'}
        pointerEvents={posingOnly ? 'none' : undefined}
        onPointerDown={(e) => pull(e, (to, from) => pivotBy(to[0] - from[0], to[1] - from[1]))}
      >
        <title>The pivot: drag it; no picture changes</title>
        <circle cx={joint.at[0]} cy={joint.at[1]} r={r * 1.7} fill="var(--doing)" />
        <path
          d={`M${joint.at[0]! - r * 2.7} ${joint.at[1]}H${joint.at[0]! + r * 2.7}M${joint.at[0]} ${joint.at[1]! - r * 2.7}V${joint.at[1]! + r * 2.7}`}
          stroke="var(--doing)"
          strokeWidth={1.6}
          vectorEffect="non-scaling-stroke"
        />
        <circle cx={joint.at[0]} cy={joint.at[1]} r={r * 0.6} fill="var(--color-stage)" />
      </g>
    </g>
  );
}
