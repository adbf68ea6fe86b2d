import { covered, placeIn, type Patch } from './patch';
import type { Paint, Shape } from './types';

const SVG = 'http://www.w3.org/2000/svg';
let made = 0;

/** A number no other clip path, gradient or mask of the page is called by. */
export const nextId = () => ++made;

/** Where pictures made of pixels lie, by their hash, that are not fetched from the server this page came from. */
export const pictures = new Map<string, string>();

type Picture = Extract<Paint, { kind: 'picture' }>;

export function element<K extends keyof SVGElementTagNameMap>(
  name: K,
  attributes: Record<string, string> = {},
): SVGElementTagNameMap[K] {
  const e = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) e.setAttribute(key, value);
  return e;
}

function paint(p: Paint): [string, number] {
  return p.kind === 'flat' ? [p.colour, p.opacity] : ['none', 1];
}

/** A shape as it is drawn: a path or a picture made of pixels, with its gradients and what the art itself cuts it by. */
export function drawn(s: Shape): SVGElement {
  const parts: SVGElement[] = [];
  let shown: SVGElement;
  if (s.fill.kind === 'picture') {
    shown = pixels(s.fill, s.fill.place, s.opacity);
  } else if (s.fill.kind === 'patch') {
    const clip = element('clipPath', { id: `c${nextId()}` });
    clip.append(element('path', { d: covered(s.fill, s.path) }));
    const g = element('g', { 'clip-path': `url(#${clip.id})` });
    g.append(pixels(s.fill, placeIn(s.fill, s.path), s.opacity));
    parts.push(clip);
    shown = g;
  } else {
    shown = pathOf(s);
    if (s.fill.kind === 'gradient') {
      const gradient = gradientOf(s.fill);
      parts.push(gradient);
      shown.setAttribute('fill', `url(#${gradient.id})`);
    }
    if (s.stroke.paint.kind === 'gradient' && s.stroke.width > 0) {
      const gradient = gradientOf(s.stroke.paint);
      parts.push(gradient);
      shown.setAttribute('stroke', `url(#${gradient.id})`);
    }
  }
  for (const c of s.clips) {
    const clip = element('clipPath', { id: `c${nextId()}` });
    clip.append(
      element('path', { d: c.path || 'M0 0', ...(c.rule === 'EVENODD' ? { 'clip-rule': 'evenodd' } : {}) }),
    );
    parts.push(clip);
    const inner = shown;
    shown = element('g', { 'clip-path': `url(#${clip.id})` });
    shown.append(inner);
  }
  if (parts.length === 0) return shown;
  const group = element('g');
  group.append(...parts, shown);
  return group;
}

function pixels(p: Picture | Patch, place: number[], opacity: number): SVGImageElement {
  const image = element('image', {
    href: pictures.get(p.image) ?? `/api/v1/images/${p.image}.png`,
    width: String(p.width),
    height: String(p.height),
    preserveAspectRatio: 'none',
    transform: `matrix(${place.join(' ')})`,
  });
  if (opacity !== 1) image.setAttribute('opacity', String(opacity));
  return image;
}

/** A gradient in the coordinates of what it fills, which it travels with. */
function gradientOf(g: Extract<Paint, { kind: 'gradient' }>): SVGGradientElement {
  const gradient = element(g.radial ? 'radialGradient' : 'linearGradient', {
    id: `g${nextId()}`,
    gradientUnits: 'userSpaceOnUse',
    gradientTransform: `matrix(${g.place.join(' ')})`,
    spreadMethod: g.spread.toLowerCase(),
    ...(g.radial
      ? { cx: '0', cy: '0', r: '1', fx: String(g.focus[0]), fy: String(g.focus[1]) }
      : { x1: '0', y1: '0', x2: '1', y2: '0' }),
  });
  for (const stop of g.stops) {
    gradient.append(
      element('stop', {
        offset: String(stop.at),
        'stop-color': stop.colour,
        'stop-opacity': String(stop.opacity),
      }),
    );
  }
  return gradient;
}

/** The path of a shape that is drawn, whatever it is wrapped in; none for a picture made of pixels. */
export function outlineOf(e: SVGElement): SVGElement | null {
  return e.tagName === 'path' ? e : e.querySelector(':scope > path, :scope > g > path');
}

/** Cut by its drawing's own window; a picture's own coordinates are pixels, so it is cut in a group. */
export function cut(e: SVGElement, clip: string): SVGElement {
  if (e.tagName === 'path') {
    e.setAttribute('clip-path', `url(#${clip})`);
    return e;
  }
  const g = element('g', { 'clip-path': `url(#${clip})` });
  g.append(e);
  return g;
}

function pathOf(s: Shape): SVGPathElement {
  const [fill, fillOpacity] = paint(s.fill);
  const path = element('path', { d: s.path, fill });
  if (fillOpacity !== 1) path.setAttribute('fill-opacity', String(fillOpacity));
  if (s.rule === 'EVENODD') path.setAttribute('fill-rule', 'evenodd');
  const [stroke, strokeOpacity] = paint(s.stroke.paint);
  if (s.stroke.paint.kind !== 'none' && s.stroke.width > 0) {
    path.setAttribute('stroke', stroke);
    path.setAttribute('stroke-width', String(s.stroke.width));
    path.setAttribute('stroke-linecap', s.stroke.cap.toLowerCase());
    path.setAttribute('stroke-linejoin', s.stroke.join.toLowerCase());
    path.setAttribute('stroke-miterlimit', String(s.stroke.miterLimit));
    if (s.stroke.dashes.length > 0) {
      path.setAttribute('stroke-dasharray', s.stroke.dashes.join(' '));
      path.setAttribute('stroke-dashoffset', String(s.stroke.dashOffset));
    }
    if (strokeOpacity !== 1) path.setAttribute('stroke-opacity', String(strokeOpacity));
  }
  if (s.opacity !== 1) path.setAttribute('opacity', String(s.opacity));
  return path;
}

/** The shapes whose fill masks others: the server's rule, as it is told in the shapes' roles. */
export function windowShapes(shapes: Shape[]): Shape[] {
  const named = shapes.filter((s) => s.role === 'WINDOW');
  return named.length > 0 ? named : shapes.filter((s) => s.fill.kind !== 'none');
}

/** A placement as it is written; more digits than a screen can tell apart would only make it longer. */
export function matrixOf(m: number[]): string {
  return `matrix(${m.map((v, i) => Math.round(v * (i < 4 ? 1e5 : 1e3)) / (i < 4 ? 1e5 : 1e3)).join(' ')})`;
}

export function alike(a: string[], b: string[]): boolean {
  return a === b || (a.length === b.length && a.every((x, i) => x === b[i]));
}

export const FAR = { x: '-100000', y: '-100000', width: '200000', height: '200000' };

/** How far what shows past an edge reaches in under it: two smoothed edges side by side would show a hair line between them. */
const TUCKED = 0.75;

/** What a mask takes out for what shows past a shape's edge: its fill, less a narrow border. */
export function tucked(s: Shape, d: string): SVGPathElement {
  const path = silhouette(s, d, false);
  path.setAttribute('stroke', '#fff');
  path.setAttribute('stroke-width', String(2 * TUCKED));
  return path;
}

/** All a shape covers, in the colour that a mask takes out. */
export function silhouette(s: Shape, d: string, line: boolean): SVGPathElement {
  const path = element('path', { d, fill: s.fill.kind === 'none' ? 'none' : '#000' });
  if (s.rule === 'EVENODD') path.setAttribute('fill-rule', 'evenodd');
  if (line && s.stroke.paint.kind !== 'none' && s.stroke.width > 0) {
    path.setAttribute('stroke', '#000');
    path.setAttribute('stroke-width', String(s.stroke.width));
    path.setAttribute('stroke-linecap', s.stroke.cap.toLowerCase());
    path.setAttribute('stroke-linejoin', s.stroke.join.toLowerCase());
  }
  return path;
}
