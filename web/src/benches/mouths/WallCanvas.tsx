import { useEffect, useRef } from 'react';
import type { Shape } from '../../api/client';
import { inkDrawing } from './ink';
import type { Blend, Preview } from './preview';
import type { Placing } from './WallFace';

/** One mouth of the wall and the place on the screen it is painted to. */
interface Spot {
  key: string;
  shapes: Shape[];
  x: number;
  y: number;
  w: number;
  h: number;
}

/** A picture of the crop as every spot shows it: covering it, centred, in its own pixels. */
function sized(image: HTMLImageElement, w: number, h: number, box: Placing['box'], under: string) {
  const picture = document.createElement('canvas');
  picture.width = Math.ceil(w);
  picture.height = Math.ceil(h);
  const ink = picture.getContext('2d')!;
  const scale = Math.max(w / box.w, h / box.h);
  if (under) {
    ink.fillStyle = under;
    ink.fillRect(0, 0, w, h);
  }
  ink.drawImage(image, (w - box.w * scale) / 2, (h - box.h * scale) / 2, box.w * scale, box.h * scale);
  return picture;
}

async function imageOf(url: string): Promise<HTMLImageElement | null> {
  if (!url) return null;
  const image = new Image();
  image.src = url;
  await image.decode();
  return image;
}

/** Windows of the face that cut the mouth, as paths on the canvas. */
function windowsOf(placing: Placing): Path2D[] {
  return placing.clips.map((clip) => {
    const all = new Path2D();
    for (const p of document.querySelectorAll(`${clip.slice(4, -1)} path`)) {
      const own = new Path2D(p.getAttribute('d') ?? '');
      const matrix = (p as SVGPathElement).transform.baseVal.consolidate()?.matrix;
      all.addPath(own, matrix);
    }
    return all;
  });
}

/**
 * Lies over the wall while a ruler is turned and paints every mouth that is in sight at once; gone as soon as the mouths
 * beneath show what was made.
 *
 * @param shapesOf the drawing of a mouth of the wall, by its key; none for one the rulers do not make
 */
export function WallCanvas({
  preview,
  placing,
  shapesOf,
}: {
  preview: Preview;
  placing: Placing;
  shapesOf: (key: string) => Shape[] | null;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const shapes = useRef(shapesOf);
  useEffect(() => {
    shapes.current = shapesOf;
  });
  useEffect(() => {
    const on = canvas.current!;
    const wall = on.parentElement!;
    const ink = on.getContext('2d')!;
    let spots: Spot[] = [];
    let pictures: (HTMLImageElement | null)[] = [null, null];
    let windows: Path2D[] = [];
    let behind: HTMLCanvasElement | null = null;
    let before: HTMLCanvasElement | null = null;
    const matrix = new DOMMatrix(placing.matrix);
    void Promise.all([imageOf(placing.behind), imageOf(placing.before)])
      .then((p) => (pictures = p))
      .catch(() => undefined);

    const measure = () => {
      const at = wall.getBoundingClientRect();
      const fine = window.devicePixelRatio;
      on.width = Math.round(at.width * fine);
      on.height = Math.round(at.height * fine);
      spots = [];
      for (const e of wall.querySelectorAll<HTMLElement>('[data-mouth]')) {
        const b = e.getBoundingClientRect();
        const art = shapes.current(e.dataset.mouth!);
        if (art && b.bottom > 0 && b.top < window.innerHeight)
          spots.push({
            key: e.dataset.mouth!,
            shapes: art,
            x: Math.round((b.left - at.left) * fine),
            y: Math.round((b.top - at.top) * fine),
            w: b.width * fine,
            h: b.height * fine,
          });
      }
      windows = windowsOf(placing);
      const first = spots[0];
      if (!first) return;
      // every spot of the wall has the same size
      const paper = getComputedStyle(document.documentElement).getPropertyValue('--drawn');
      behind = pictures[0] ? sized(pictures[0], first.w, first.h, placing.box, paper) : null;
      before = pictures[1] ? sized(pictures[1], first.w, first.h, placing.box, '') : null;
    };
    const paint = (blend: Blend) => {
      if (spots.length === 0) measure();
      on.hidden = false;
      const { box } = placing;
      ink.setTransform(1, 0, 0, 1, 0, 0);
      ink.clearRect(0, 0, on.width, on.height);
      for (const s of spots) {
        const outlines = blend(s.key);
        if (!outlines) continue;
        // as an SVG slice: the crop covers its place, centred
        const scale = Math.max(s.w / box.w, s.h / box.h);
        ink.save();
        ink.beginPath();
        ink.rect(s.x, s.y, s.w, s.h);
        ink.clip();
        if (behind) ink.drawImage(behind, s.x, s.y);
        ink.save();
        ink.translate(s.x + (s.w - box.w * scale) / 2, s.y + (s.h - box.h * scale) / 2);
        ink.scale(scale, scale);
        ink.translate(-box.x, -box.y);
        for (const w of windows) ink.clip(w);
        ink.transform(matrix.a, matrix.b, matrix.c, matrix.d, matrix.e, matrix.f);
        inkDrawing(ink, s.shapes, outlines);
        ink.restore();
        if (before) ink.drawImage(before, s.x, s.y);
        ink.restore();
      }
    };
    const done = () => {
      on.hidden = true;
      spots = [];
    };
    done();
    window.addEventListener('resize', done);
    window.addEventListener('scroll', done, true);
    const leave = preview.blended(paint, done);
    return () => {
      leave();
      window.removeEventListener('resize', done);
      window.removeEventListener('scroll', done, true);
    };
  }, [preview, placing]);
  return (
    <canvas
      ref={canvas}
      hidden
      aria-hidden
      className="pointer-events-none absolute inset-0 z-10 h-full w-full will-change-transform"
    />
  );
}
