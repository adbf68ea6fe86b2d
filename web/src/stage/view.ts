import type { Artwork, Character } from '../api/client';
import { paintDrawing } from './alone';

export interface ViewBox {
  x: number;
  y: number;
  w: number;
  h: number;
}

/**
 * Where the drawings of some parts lie at rest; measured by the browser, since it is only about where to look.
 *
 * @param all every drawing of theirs, and not only the one that is shown
 */
export function boundsOf(
  character: Character,
  artwork: Artwork,
  parts: string[],
  all = false,
): ViewBox | null {
  const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  svg.setAttribute('style', 'position:absolute;left:-9999px;width:10px;height:10px;overflow:hidden');
  document.body.append(svg);
  const painted: SVGGElement[] = [];
  for (const part of character.rig.parts.filter((p) => parts.includes(p.id))) {
    const shown = part.drawings.find((d) => d.id === part.shown) ?? part.drawings[0];
    for (const drawing of all ? part.drawings : [shown]) {
      const shapes = drawing ? artwork[drawing.art] : undefined;
      if (!shapes) continue;
      const g = document.createElementNS('http://www.w3.org/2000/svg', 'g');
      svg.append(g);
      paintDrawing(g, shapes);
      painted.push(g);
    }
  }
  // measured when all is painted, so that it is laid out once
  let box: ViewBox | null = null;
  for (const g of painted) {
    const b = g.getBBox();
    if (b.width > 0 || b.height > 0) box = union(box, { x: b.x, y: b.y, w: b.width, h: b.height });
  }
  svg.remove();
  return box;
}

function union(a: ViewBox | null, b: ViewBox): ViewBox {
  if (!a) return b;
  const x = Math.min(a.x, b.x);
  const y = Math.min(a.y, b.y);
  return { x, y, w: Math.max(a.x + a.w, b.x + b.w) - x, h: Math.max(a.y + a.h, b.y + b.h) - y };
}

/** What hangs on the head, or on one of its views, as far down as it goes: a hat is a group, and drawn in its pieces. */
export function onHead(character: Character): string[] {
  const { parts } = character.rig;
  const head = parts.find((p) => p.role === 'HEAD');
  const roots = new Set([head?.id, ...(character.controls.views?.views.map((v) => v.root) ?? [])]);
  // what nobody has named may lie anywhere
  const taken = parts.filter((p) => roots.has(p.parent) && p.role !== 'OTHER' && p.role !== 'VIEW');
  for (let i = 0; i < taken.length; i++)
    taken.push(...parts.filter((p) => p.parent === taken[i]!.id && p.role !== 'OTHER' && !taken.includes(p)));
  return taken.map((p) => p.id);
}

/** The head with some air and the shoulders under it: what the stage shows until somebody zooms. */
export function headView(character: Character, artwork: Artwork): ViewBox {
  const box = boundsOf(character, artwork, onHead(character));
  if (!box) return { x: 0, y: 0, w: character.sheet.canvas.width, h: character.sheet.canvas.height };
  const h = box.h * 1.34;
  return { x: box.x - box.w * 0.22, y: box.y - box.h * 0.06, w: box.w * 1.44, h };
}

/** The whole character and its canvas, with some air. */
export function wholeView(character: Character, artwork: Artwork): ViewBox {
  const all = boundsOf(
    character,
    artwork,
    character.rig.parts.map((p) => p.id),
  );
  const canvas = { x: 0, y: 0, w: character.sheet.canvas.width, h: character.sheet.canvas.height };
  const box = all ? union(all, canvas) : canvas;
  return { x: box.x - box.w * 0.04, y: box.y - box.h * 0.04, w: box.w * 1.08, h: box.h * 1.08 };
}

/** Face and brows with some air; hair that hangs lower than the chin is cut off. */
export function faceBox(character: Character, artwork: Artwork): ViewBox | null {
  const ids = (...roles: string[]) =>
    character.rig.parts.filter((p) => roles.includes(p.role)).map((p) => p.id);
  const b =
    boundsOf(character, artwork, ids('FACE')) ??
    boundsOf(character, artwork, ids('BROW', 'EYE', 'WHITE', 'MOUTH'));
  if (!b) return null;
  const w = b.w * 1.2;
  const h = w * 0.94;
  return { x: b.x + b.w / 2 - w / 2, y: b.y + b.h * 1.03 - h, w, h };
}

/** The head from the brim to the chin, square: wide enough for what a turn brings round the sides. */
export function turnBox(character: Character, artwork: Artwork): ViewBox | null {
  const drawn = boundsOf(character, artwork, onHead(character));
  // views are shown as their mirror images too
  const axis = character.sheet.model.axis;
  const b =
    drawn && character.controls.views ? union(drawn, { ...drawn, x: 2 * axis - drawn.x - drawn.w }) : drawn;
  if (b && character.controls.views) {
    const whole = 1.05 * Math.max(b.w, b.h);
    return { x: axis - whole / 2, y: b.y + b.h / 2 - whole / 2, w: whole, h: whole };
  }
  const face = faceBox(character, artwork);
  if (!b || !face) return b;
  const side = Math.max(Math.min(b.w, b.h), face.w) * 1.02;
  return { x: b.x + b.w / 2 - side / 2, y: face.y + face.h * 1.02 - side, w: side, h: side };
}
