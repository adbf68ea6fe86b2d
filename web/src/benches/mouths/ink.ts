import type { Shape } from '../../api/client';

/** A paint as a canvas takes it; a gradient on a line is its middle colour. */
function styleOf(p: Shape['fill']): string | null {
  if (p.kind === 'flat') return withOpacity(p.colour, p.opacity);
  if (p.kind === 'gradient') {
    const stop = p.stops[p.stops.length >> 1];
    return stop ? withOpacity(stop.colour, stop.opacity) : null;
  }
  return null;
}

function withOpacity(colour: string, opacity: number): string {
  if (opacity >= 1) return colour;
  const alpha = Math.round(opacity * 255)
    .toString(16)
    .padStart(2, '0');
  return colour + alpha;
}

/** As far as a gradient's unit circle and line need to be painted to cover any mouth, in lengths of the gradient. */
const FAR = 50;

function fillWith(ink: CanvasRenderingContext2D, s: Shape, path: Path2D, rule: CanvasFillRule): void {
  if (s.fill.kind !== 'gradient') {
    const style = styleOf(s.fill);
    if (style === null) return;
    ink.fillStyle = style;
    ink.fill(path, rule);
    return;
  }
  const [fx = 0, fy = 0] = s.fill.focus;
  const gradient = s.fill.radial
    ? ink.createRadialGradient(fx, fy, 0, 0, 0, 1)
    : ink.createLinearGradient(0, 0, 1, 0);
  for (const stop of s.fill.stops) gradient.addColorStop(stop.at, withOpacity(stop.colour, stop.opacity));
  ink.save();
  ink.clip(path, rule);
  ink.transform(...(s.fill.place as [number, number, number, number, number, number]));
  ink.fillStyle = gradient;
  ink.fillRect(-FAR, -FAR, 2 * FAR, 2 * FAR);
  ink.restore();
}

const ruleOf = (rule: Shape['rule']): CanvasFillRule => (rule === 'EVENODD' ? 'evenodd' : 'nonzero');

/**
 * Paints a drawing of paths with other outlines than its own: its windows', then for each shape those it is cut by and its
 * own. A canvas is painted much faster than as many SVG elements, which is what a drag over fifty mouths needs; the shapes'
 * opacities are applied to fill and line apart.
 */
export function inkDrawing(ink: CanvasRenderingContext2D, shapes: Shape[], outlines: string[]): void {
  let next = 0;
  const path = () => new Path2D(outlines[next++] ?? '');
  const within = shapes.filter((s) => s.role === 'WINDOW');
  const window = new Path2D();
  for (let i = 0; i < within.length; i++) window.addPath(path());
  for (const s of shapes) {
    ink.save();
    if (s.masked && within.length > 0) ink.clip(window);
    for (const c of s.clips) ink.clip(path(), ruleOf(c.rule));
    const own = path();
    ink.globalAlpha *= s.opacity;
    fillWith(ink, s, own, ruleOf(s.rule));
    const line = styleOf(s.stroke.paint);
    if (line !== null && s.stroke.width > 0) {
      ink.strokeStyle = line;
      ink.lineWidth = s.stroke.width;
      ink.lineCap = s.stroke.cap.toLowerCase() as CanvasLineCap;
      ink.lineJoin = s.stroke.join.toLowerCase() as CanvasLineJoin;
      ink.miterLimit = s.stroke.miterLimit;
      ink.setLineDash(s.stroke.dashes);
      ink.lineDashOffset = s.stroke.dashOffset;
      ink.stroke(own);
    }
    ink.restore();
  }
}
