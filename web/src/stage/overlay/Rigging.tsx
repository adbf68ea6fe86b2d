import { useEffect, useState } from 'react';
import type { Edit, Joint, Part } from '../../api/client';
import { useDesk } from '../../state/desk';
import { recorded } from '../../state/recording';
import { useStudio } from '../../state/studio';
import type { Painter } from '../painter';
import type { ViewBox } from '../view';
import { inParent, moved, round, scaled, skewed, turned, type XY } from './geometry';
import { drag } from './pointer';
import { shownBox } from './shownBox';

interface Corners {
  nw: XY;
  ne: XY;
  se: XY;
  sw: XY;
}

/** The corners of what a part shows, on the canvas, with some air round it. */
function cornersOf(painter: Painter | null, part: string, air: number): Corners | null {
  const shown = shownBox(painter, part);
  if (!shown) return null;
  const { box: b, matrix: m, at } = shown;
  const wide = air / Math.max(1e-6, Math.hypot(m.a, m.b));
  const tall = air / Math.max(1e-6, Math.hypot(m.c, m.d));
  return {
    nw: at(b.x - wide, b.y - tall),
    ne: at(b.x + b.width + wide, b.y - tall),
    se: at(b.x + b.width + wide, b.y + b.height + tall),
    sw: at(b.x - wide, b.y + b.height + tall),
  };
}

const mid = (a: XY, b: XY): XY => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];

/** Where a part is taken to turn it: off the middle of its first edge whose outside is in view. */
function turnKnob(c: Corners, view: ViewBox, out: number): [XY, XY] {
  const centre = mid(c.nw, c.se);
  const edges = [mid(c.nw, c.ne), mid(c.ne, c.se), mid(c.nw, c.sw), mid(c.sw, c.se)];
  const off = (e: XY): XY => {
    const l = Math.max(1e-6, Math.hypot(e[0] - centre[0], e[1] - centre[1]));
    return [e[0] + ((e[0] - centre[0]) / l) * out, e[1] + ((e[1] - centre[1]) / l) * out];
  };
  const air = out / 3;
  const seen = ([x, y]: XY) =>
    x > view.x + air && x < view.x + view.w - air && y > view.y + air && y < view.y + view.h - air;
  const edge = edges.find((e) => seen(off(e))) ?? edges[0]!;
  return [edge, off(edge)];
}

/** A soft curve from a part's pivot to the pivot of what it follows. */
function thread(a: number[], b: number[]): string {
  const bend = (b[0]! - a[0]!) * 0.18;
  const [mx, my] = [(a[0]! + b[0]!) / 2 - bend * 0.4, (a[1]! + b[1]!) / 2 + Math.abs(bend)];
  return `M${a[0]} ${a[1]}Q${mx} ${my} ${b[0]} ${b[1]}`;
}

/**
 * Who follows whom, drawn on the character, and the handles of the chosen part: its pivot, its size, its turn, its slant,
 * and the end of its thread, which is dragged onto another part to hang it there.
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
  const { view, director, edit } = useStudio();
  const chosen = useDesk((s) => s.part);
  const also = useDesk((s) => s.also);
  const locked = useDesk((s) => s.locked);
  const [joints, setJoints] = useState<Joint[]>([]);
  const [hook, setHook] = useState<{ at: XY; onto: string | null } | null>(null);
  const [, redraw] = useState(0);

  useEffect(() => director.watchJoints(setJoints), [director]);
  // the corners are read off the picture, which is painted after this
  useEffect(() => {
    const frame = requestAnimationFrame(() => redraw((n) => n + 1));
    return () => cancelAnimationFrame(frame);
  }, [chosen, joints, view]);
  const corners: Corners | null = chosen ? cornersOf(painter(), chosen, 7 * unit) : null;

  const { character } = view;
  const joint = joints.find((j) => j.part === chosen);
  const part = character.rig.parts.find((p) => p.id === chosen);
  const at = (id: string | undefined) => joints.find((j) => j.part === id)?.at;
  const held = part ? locked.includes(part.id) : false;

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

  const pullHook = (e: React.PointerEvent, p: Part) => {
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
        setHook({ at: to, onto });
      },
      (kept, travelled) => {
        setHook(null);
        const parts = [...new Set([p.id, ...also])];
        if (kept && travelled && onto !== p.parent)
          void edit({ kind: 'hang', parts, ...(onto ? { parent: onto } : {}) });
      },
    );
  };

  const r = 4.2 * unit;
  const hangs = part?.parent && at(part.parent);
  const end: XY | null = !joint
    ? null
    : hangs
      ? [hangs[0]! + (joint.at[0]! - hangs[0]!) * 0.22, hangs[1]! + (joint.at[1]! - hangs[1]!) * 0.22]
      : [joint.at[0]! + 26 * unit, joint.at[1]! + 26 * unit];
  const [top, knob] = corners ? turnKnob(corners, box, 26 * unit) : [null, null];

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
                  pull(e, (to, from) =>
                    place(part, moved(part.rest, joint, [to[0] - from[0], to[1] - from[1]])),
                  );
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
                    onPointerDown={(e) =>
                      pull(e, (to, from, now) =>
                        place(part, scaled(part.rest, joint, from, to, now.shiftKey)),
                      )
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
                  onPointerDown={(e) =>
                    pull(e, (to, from) => place(part, skewed(part.rest, joint, from, to)))
                  }
                >
                  <title>Drag sideways to skew it</title>
                </path>
              )}
            </>
          )}
          {end && !held && !posingOnly && (
            <g>
              <path
                d={`M${joint.at[0]} ${joint.at[1]}L${hook ? hook.at : end}`}
                stroke="var(--doing)"
                strokeWidth={hook ? 2.4 : 1.4}
                strokeDasharray={hook || !hangs ? '3 3' : undefined}
                strokeOpacity={hook || !hangs ? 1 : 0}
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
                style={hook ? { pointerEvents: 'none' } : undefined}
                onPointerDown={(e) => pullHook(e, part)}
              >
                <title>
                  Drag onto another part to make that its parent, or onto empty paper for no parent
                </title>
              </circle>
            </g>
          )}
          <g
            data-testid="handle-pivot"
            className={held || posingOnly ? '' : 'cursor-crosshair'}
            pointerEvents={posingOnly ? 'none' : undefined}
            onPointerDown={(e) =>
              pull(e, (to, from) => {
                const [x, y] = inParent(joint.within, [to[0] - from[0], to[1] - from[1]]);
                return {
                  kind: 'move-pivot',
                  part: part.id,
                  to: [round(part.pivot[0]! + x), round(part.pivot[1]! + y)],
                };
              })
            }
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
      )}
    </g>
  );
}
