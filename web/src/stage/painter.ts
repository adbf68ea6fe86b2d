import {
  alike,
  cut,
  drawn,
  element,
  FAR,
  matrixOf,
  nextId,
  outlineOf,
  silhouette,
  tucked,
  windowShapes,
} from './elements';
import { bendGradients } from './gradient';
import { covered, placeIn } from './patch';
import type { Artwork, Character, Frame, Placed, Shape } from './types';
import { type Cut, type CutBy, type Drawn, NONE, type Slot } from './painted';

/**
 * Shows frames inside an SVG group. Elements are made once for each part and drawing; showing another frame only sets
 * the attributes that differ, so that a drag can be painted at the screen's own rate.
 */
export class Painter {
  private readonly prefix = `p${nextId()}`;
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
      for (const d of part.drawings) this.hashes.set(`${part.id}/${d.id}`, d.art);
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
    for (const [i, e] of [...own.paths, ...own.within]) {
      if (outline(i) === before(i)) continue;
      e.setAttribute('d', outline(i));
      bendGradients(own.group, e, shapes[i]!, outline(i));
    }
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
    cutBy.paths = taken.map((s) => {
      const at = shapes.indexOf(s);
      const alone = kind === 'o' && taken.length === 1;
      return [at, alone ? tucked(s, outline(at)) : silhouette(s, outline(at), kind === 'h')];
    });
    out.append(...cutBy.paths.map(([, e]) => e));
    cutBy.placed = [out];
    cutBy.element.replaceChildren(element('rect', { ...FAR, fill: '#fff' }), out);
  }
}
