import { cut, drawn, element, nextId } from './elements';
import type { Shape } from './types';

/** Draws one drawing alone into a group, its own window applied. */
export function paintDrawing(root: SVGGElement, shapes: Shape[]): void {
  const id = `p${nextId()}-alone`;
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
