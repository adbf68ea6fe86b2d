import { covered, placeIn, type Patch } from './patch';
import type { Artwork, Character, Frame, Paint, Placed, Shape } from './types';

const SVG = 'http://www.w3.org/2000/svg';
let painters = 0;

/** Where pictures made of pixels lie, by their hash, that are not fetched from the server this page came from. */
export const pictures = new Map<string, string>();

type Picture = Extract<Paint, { kind: 'picture' }>;

function element<K extends keyof SVGElementTagNameMap>(
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
function drawn(s: Shape): SVGElement {
  const parts: SVGElement[] = [];
  let shown: SVGElement;
  if (s.fill.kind === 'picture') {
    shown = pixels(s.fill, s.fill.place, s.opacity);
  } else if (s.fill.kind === 'patch') {
    const clip = element('clipPath', { id: `c${++painters}` });
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
    const clip = element('clipPath', { id: `c${++painters}` });
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
    id: `g${++painters}`,
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
function outlineOf(e: SVGElement): SVGElement | null {
  return e.tagName === 'path' ? e : e.querySelector(':scope > path, :scope > g > path');
}

/** Cut by its drawing's own window; a picture's own coordinates are pixels, so it is cut in a group. */
function cut(e: SVGElement, clip: string): SVGElement {
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
function windowShapes(shapes: Shape[]): Shape[] {
  const named = shapes.filter((s) => s.role === 'WINDOW');
  return named.length > 0 ? named : shapes.filter((s) => s.fill.kind !== 'none');
}

/** What a part is cut by: inside a window, outside a fill, or behind a hand's fingers. */
type Cut = 'w' | 'o' | 'h';

/** A drawing's elements, by which it is given other outlines. */
interface Drawn {
  group: SVGGElement;
  /** For each shape what is drawn of it: paths, or the group of a piece of a picture. */
  paths: [number, SVGElement][];
  patches: [number, SVGElement][];
  /** The paths of its own window, each with its shape. */
  within: [number, SVGElement][];
  /** The outlines it was given last; empty for its own. */
  outlines: string[];
}

interface Slot {
  outer: SVGGElement;
  placed: SVGGElement;
  drawings: Map<string, Drawn>;
  shown: string | null;
  /** What cuts the part, as attributes of the groups it lies in, outermost first. */
  cuts: string;
}

/** A clip path or a mask that some parts are seen through, and what it was made from. */
interface CutBy {
  element: SVGClipPathElement | SVGMaskElement;
  placed: SVGElement[];
  /** Its paths, each with the shape it is of. */
  paths: [number, SVGElement][];
  /** The drawing it was made from; null when it is to be made anew. */
  drawing: string | null;
  outlines: string[];
}

const NONE: string[] = [];

/** A placement as it is written; more digits than a screen can tell apart would only make it longer. */
function matrixOf(m: number[]): string {
  return `matrix(${m.map((v, i) => Math.round(v * (i < 4 ? 1e5 : 1e3)) / (i < 4 ? 1e5 : 1e3)).join(' ')})`;
}

function alike(a: string[], b: string[]): boolean {
  return a === b || (a.length === b.length && a.every((x, i) => x === b[i]));
}

const FAR = { x: '-100000', y: '-100000', width: '200000', height: '200000' };

/** All a shape covers, in the colour that a mask takes out. */
function silhouette(s: Shape, d: string, line: boolean): SVGPathElement {
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

/**
 * Shows frames inside an SVG group. Elements are made once for each part and drawing; showing another frame only sets
 * the attributes that differ, so that a drag can be painted at the screen's own rate.
 */
export class Painter {
  private readonly prefix = `p${++painters}`;
  private readonly defs = element('defs');
  private readonly slots = new Map<string, Slot>();
  /** What cuts, by the part it is made from. */
  private readonly cutsBy = new Map<string, Map<Cut, CutBy>>();
  private readonly hashes = new Map<string, string>();
  private readonly last = new Map<string, Placed>();

  constructor(
    root: SVGGElement,
    character: Character,
    private readonly artwork: Artwork,
  ) {
    root.replaceChildren(this.defs);
    for (const part of character.rig.parts) {
      for (const d of part.drawings) this.hashes.set(`${part.id}/${d.id}`, d.art as unknown as string);
    }
    for (const id of character.rig.order) {
      const outer = element('g');
      const placed = element('g', { 'data-part': id });
      outer.append(placed);
      root.append(outer);
      this.slots.set(id, { outer, placed, drawings: new Map(), shown: null, cuts: '' });
    }
  }

  show(frame: Frame): void {
    const seen = new Set<string>();
    for (const p of frame.placed) {
      seen.add(p.part);
      this.place(p);
    }
    this.stack(frame);
    for (const p of frame.placed) this.mask(p);
    for (const [id, slot] of this.slots) {
      if (!seen.has(id) && slot.shown !== null) {
        slot.drawings.get(slot.shown)!.group.style.display = 'none';
        slot.shown = null;
        this.last.delete(id);
      }
    }
  }

  /** Where a drawing says where it lies, the parts that show something are laid anew. */
  private stack(frame: Frame): void {
    let top: Element | null = null;
    for (const p of frame.placed) {
      const outer = this.slots.get(p.part)?.outer;
      if (!outer) continue;
      if (top && top.compareDocumentPosition(outer) & Node.DOCUMENT_POSITION_PRECEDING) top.after(outer);
      top = outer;
    }
  }

  /** Puts parts out of sight while somebody works on others; what they mask stays masked. */
  view(hidden: string[], solo: string[]): void {
    for (const [id, slot] of this.slots) {
      const seen = !hidden.includes(id) && (solo.length === 0 || solo.includes(id));
      slot.outer.style.display = seen ? '' : 'none';
    }
  }

  /** The group a part is drawn in, for measuring and outlining. */
  groupOf(part: string): SVGGElement | undefined {
    return this.slots.get(part)?.placed;
  }

  /** The clip paths a part shows through, outermost first. */
  clipsOf(part: string): string[] {
    const clips: string[] = [];
    const slot = this.slots.get(part);
    for (let e: Element | null = slot?.placed.parentElement ?? null; e; e = e.parentElement) {
      const clip = e.getAttribute('clip-path');
      if (clip) clips.unshift(clip);
      if (e === slot?.outer) break;
    }
    return clips;
  }

  private readonly drafts = new Map<string, Shape[]>();

  /** Shows other art for some drawings, until told of none. */
  redraw(all: { part: string; drawing: string; shapes: Shape[] }[]): void {
    const keys = new Set([...this.drafts.keys(), ...all.map((r) => `${r.part}/${r.drawing}`)]);
    this.drafts.clear();
    for (const r of all) this.drafts.set(`${r.part}/${r.drawing}`, r.shapes);
    for (const key of keys) {
      const [part, drawing] = key.split('/') as [string, string];
      const slot = this.slots.get(part);
      const own = slot?.drawings.get(drawing);
      if (own) this.fill(own, part, drawing);
      const last = this.last.get(part);
      if (slot && own && last?.drawing === drawing && last.outlines?.length) this.bend(slot, last);
      for (const [kind, cutBy] of this.cutsBy.get(part) ?? []) {
        cutBy.drawing = null;
        this.cutOf(kind, part);
      }
    }
  }

  private shapes(part: string, drawing: string): Shape[] {
    const draft = this.drafts.get(`${part}/${drawing}`);
    if (draft) return draft;
    return this.artwork[this.hashes.get(`${part}/${drawing}`) ?? ''] ?? [];
  }

  private place(p: Placed): void {
    const slot = this.slots.get(p.part);
    if (!slot) return;
    const before = this.last.get(p.part);
    if (slot.shown !== p.drawing) {
      if (slot.shown !== null) slot.drawings.get(slot.shown)!.group.style.display = 'none';
      this.drawing(slot, p).style.display = '';
      slot.shown = p.drawing;
    }
    if (!before || before.matrix.some((v, i) => v !== p.matrix[i])) {
      const matrix = matrixOf(p.matrix);
      slot.placed.setAttribute('transform', matrix);
      for (const cutBy of this.cutsBy.get(p.part)?.values() ?? [])
        for (const e of cutBy.placed) e.setAttribute('transform', matrix);
    }
    this.bend(slot, p);
    if (!before || before.opacity !== p.opacity) slot.placed.setAttribute('opacity', String(p.opacity));
    this.last.set(p.part, p);
  }

  private drawing(slot: Slot, p: Placed): SVGGElement {
    let own = slot.drawings.get(p.drawing);
    if (!own) {
      own = { group: element('g'), paths: [], patches: [], within: [], outlines: NONE };
      this.fill(own, p.part, p.drawing);
      slot.drawings.set(p.drawing, own);
      slot.placed.append(own.group);
    }
    return own.group;
  }

  private fill(own: Drawn, part: string, drawing: string): void {
    const shapes = this.shapes(part, drawing);
    const within = shapes.flatMap((s, i) => (s.role === 'WINDOW' ? [i] : []));
    const id = `${this.prefix}-in-${part}-${drawing}`;
    own.group.replaceChildren();
    own.paths = [];
    own.patches = [];
    own.outlines = NONE;
    this.defs.querySelector(`[id="${id}"]`)?.remove();
    own.within = within.map((i) => [i, element('path', { d: shapes[i]!.path })]);
    if (within.length > 0) {
      const clip = element('clipPath', { id });
      clip.append(...own.within.map(([, e]) => e));
      this.defs.append(clip);
    }
    shapes.forEach((s, i) => {
      const e = drawn(s);
      const path = s.fill.kind === 'patch' ? null : outlineOf(e);
      if (s.fill.kind === 'patch') own.patches.push([i, e]);
      else if (path) own.paths.push([i, path]);
      path?.setAttribute('data-shape', String(i));
      own.group.append(s.masked && within.length > 0 ? cut(e, id) : e);
    });
  }

  /** Gives the shapes of the drawing that is shown the outlines of this frame, or their own again; those that differ. */
  private bend(slot: Slot, p: Placed): void {
    const own = slot.drawings.get(p.drawing)!;
    const now = p.outlines ?? NONE;
    if (alike(own.outlines, now)) return;
    const shapes = this.shapes(p.part, p.drawing);
    const outline = (i: number) => now[i] ?? shapes[i]?.path ?? '';
    const before = (i: number) => own.outlines[i] ?? shapes[i]?.path ?? '';
    for (const [i, e] of [...own.paths, ...own.within])
      if (outline(i) !== before(i)) e.setAttribute('d', outline(i));
    for (const [i, e] of own.patches) {
      const fill = shapes[i]?.fill;
      if (fill?.kind !== 'patch' || outline(i) === before(i)) continue;
      e.querySelector('clipPath > path')?.setAttribute('d', covered(fill, outline(i)));
      e.querySelector('image')?.setAttribute('transform', `matrix(${placeIn(fill, outline(i)).join(' ')})`);
    }
    own.outlines = now;
  }

  /** One group for each thing that cuts, so that nested windows intersect. */
  private mask(p: Placed): void {
    const slot = this.slots.get(p.part);
    if (!slot) return;
    const cuts: [Cut, string][] = [
      ...p.windows.map((w): [Cut, string] => ['w', w]),
      ...(p.outside ?? []).map((o): [Cut, string] => ['o', o]),
      ...(p.behind ?? []).map((h): [Cut, string] => ['h', h]),
    ];
    for (const [kind, by] of cuts) this.cutOf(kind, by);
    const key = cuts.map(([kind, by]) => `${kind}-${by}`).join(' ');
    if (slot.cuts === key) return;
    slot.cuts = key;
    slot.outer.removeAttribute('clip-path');
    slot.outer.removeAttribute('mask');
    let inner = slot.outer;
    inner.replaceChildren();
    cuts.forEach(([kind, by], i) => {
      if (i > 0) {
        const next = element('g');
        inner.append(next);
        inner = next;
      }
      inner.setAttribute(kind === 'w' ? 'clip-path' : 'mask', `url(#${this.prefix}-${kind}-${by})`);
    });
    inner.append(slot.placed);
  }

  private cutOf(kind: Cut, by: string): void {
    const placed = this.last.get(by);
    if (!placed) return;
    const own = this.cutsBy.get(by) ?? new Map<Cut, CutBy>();
    this.cutsBy.set(by, own);
    let cutBy = own.get(kind);
    const now = placed.outlines ?? NONE;
    const shapes = this.shapes(by, placed.drawing);
    const outline = (i: number) => {
      const s = shapes[i]!;
      return s.fill.kind === 'patch' ? covered(s.fill, now[i] ?? s.path) : (now[i] ?? s.path);
    };
    if (cutBy?.drawing === placed.drawing) {
      if (alike(cutBy.outlines, now)) return;
      for (const [i, e] of cutBy.paths) if (cutBy.outlines[i] !== now[i]) e.setAttribute('d', outline(i));
      cutBy.outlines = now;
      return;
    }
    if (!cutBy) {
      const id = `${this.prefix}-${kind}-${by}`;
      const made =
        kind === 'w'
          ? element('clipPath', { id })
          : element('mask', { id, maskUnits: 'userSpaceOnUse', ...FAR });
      this.defs.append(made);
      cutBy = { element: made, placed: [], paths: [], drawing: null, outlines: NONE };
      own.set(kind, cutBy);
    }
    cutBy.drawing = placed.drawing;
    cutBy.outlines = now;
    const transform = matrixOf(placed.matrix);
    if (kind === 'w') {
      cutBy.paths = windowShapes(shapes).map((s) => {
        const path = element('path', { d: outline(shapes.indexOf(s)), transform });
        if (s.rule === 'EVENODD') path.setAttribute('clip-rule', 'evenodd');
        return [shapes.indexOf(s), path];
      });
      cutBy.placed = cutBy.paths.map(([, e]) => e);
      cutBy.element.replaceChildren(...cutBy.placed);
      return;
    }
    const out = element('g', { transform });
    const taken = kind === 'o' ? windowShapes(shapes) : shapes.filter((s) => s.role === 'FINGERS');
    cutBy.paths = taken.map((s) => [
      shapes.indexOf(s),
      silhouette(s, outline(shapes.indexOf(s)), kind === 'h'),
    ]);
    out.append(...cutBy.paths.map(([, e]) => e));
    cutBy.placed = [out];
    cutBy.element.replaceChildren(element('rect', { ...FAR, fill: '#fff' }), out);
  }
}

/** Draws one drawing alone into a group, its own window applied. */
export function paintDrawing(root: SVGGElement, shapes: Shape[]): void {
  const id = `p${++painters}-alone`;
  root.replaceChildren();
  const within = shapes.filter((s) => s.role === 'WINDOW');
  if (within.length > 0) {
    const clip = element('clipPath', { id });
    for (const s of within) clip.append(element('path', { d: s.path }));
    root.append(clip);
  }
  for (const s of shapes) {
    const e = drawn(s);
    root.append(s.masked && within.length > 0 ? cut(e, id) : e);
  }
}

/**
 * Gives a drawing painted by {@link paintDrawing} other outlines: its windows', then for each shape those it is cut by and
 * its own. False when it is not made of as many.
 */
export function reshapeDrawing(root: SVGGElement, outlines: string[]): boolean {
  const paths = root.querySelectorAll('path');
  if (paths.length !== outlines.length) return false;
  paths.forEach((path, i) => path.setAttribute('d', outlines[i]!));
  return true;
}
