import type { Joint, Placement } from '../../api/client';

export type XY = [number, number];
type Matrix = number[];

/** A movement on the canvas, as the part's parent sees it. */
export function inParent(within: Matrix, [x, y]: XY): XY {
  const [a, b, c, d] = within as [number, number, number, number];
  const det = a * d - b * c;
  if (Math.abs(det) < 1e-12) return [0, 0];
  return [(d * x - c * y) / det, (-b * x + a * y) / det];
}

export const round = (v: number, places = 2) => Math.round(v * 10 ** places) / 10 ** places;

/** The placement a part gets when its body is dragged. */
export function moved(rest: Placement, joint: Joint, by: XY): Placement {
  const [x, y] = inParent(joint.within, by);
  return { ...rest, x: round(rest.x + x), y: round(rest.y + y) };
}

/** The placement a part gets when a handle is turned about its pivot; whole steps of 15° when `steps` is set. */
export function turned(rest: Placement, joint: Joint, from: XY, to: XY, steps: boolean): Placement {
  const angle = (p: XY) => Math.atan2(p[1] - joint.at[1]!, p[0] - joint.at[0]!);
  const [a, b, c, d] = joint.within as [number, number, number, number];
  const sense = a * d - b * c < 0 ? -1 : 1;
  let by = (((angle(to) - angle(from)) * 180) / Math.PI) * sense;
  by = ((by + 540) % 360) - 180;
  const rotation = rest.rotation + by;
  return { ...rest, rotation: steps ? Math.round(rotation / 15) * 15 : round(rotation, 1) };
}

/** Where a point on the canvas lies, seen from the pivot along the part's own turned axes. */
function alongOwn(rest: Placement, joint: Joint, p: XY): XY {
  const [x, y] = inParent(joint.within, [p[0] - joint.at[0]!, p[1] - joint.at[1]!]);
  const r = (-rest.rotation * Math.PI) / 180;
  return [x * Math.cos(r) - y * Math.sin(r), x * Math.sin(r) + y * Math.cos(r)];
}

const factor = (from: number, to: number) => (Math.abs(from) < 1e-6 ? 1 : to / from);

/** The placement a part gets when a corner is dragged; both ways alike when `even` is set. */
export function scaled(rest: Placement, joint: Joint, from: XY, to: XY, even: boolean): Placement {
  const a = alongOwn(rest, joint, from);
  const b = alongOwn(rest, joint, to);
  let x = factor(a[0], b[0]);
  let y = factor(a[1], b[1]);
  if (even) x = y = Math.hypot(b[0], b[1]) / Math.max(1e-6, Math.hypot(a[0], a[1]));
  return { ...rest, scaleX: round(rest.scaleX * x, 4), scaleY: round(rest.scaleY * y, 4) };
}

/** The placement a part gets when an edge is dragged along itself. */
export function skewed(rest: Placement, joint: Joint, from: XY, to: XY): Placement {
  const a = alongOwn(rest, joint, from);
  const b = alongOwn(rest, joint, to);
  if (Math.abs(a[1]) < 1e-6) return rest;
  const slant = Math.tan((rest.skewX * Math.PI) / 180) + (b[0] - a[0]) / a[1];
  return { ...rest, skewX: round((Math.atan(slant) * 180) / Math.PI, 1) };
}
