import { useEffect, useRef } from 'react';
import type { Artwork, Character, Frame } from '../../api/client';
import { Painter } from '../../stage/painter';
import type { ViewBox } from '../../stage/view';

/** How a mouth lies in the face of the wall: its place, its windows, and pictures of what is behind and before it. */
export interface Placing {
  /** From the mouth's coordinates to the canvas. */
  matrix: number[];
  clips: string[];
  box: ViewBox;
  behind: string;
  before: string;
}

/** Pixels a unit of the crop: enough for the large picture of one mouth on a fine screen. */
const WIDE = 320;

/** A picture of what an SVG group shows of a box; empty when the browser makes none. */
async function pictureOf(group: SVGGElement, box: ViewBox): Promise<string> {
  const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  const high = Math.round((WIDE * box.h) / box.w);
  svg.setAttribute('viewBox', `${box.x} ${box.y} ${box.w} ${box.h}`);
  svg.setAttribute('width', String(WIDE));
  svg.setAttribute('height', String(high));
  svg.append(group.cloneNode(true));
  await Promise.all(
    [...svg.querySelectorAll('image')].map(async (i) => {
      const blob = await (await fetch(i.getAttribute('href') ?? '')).blob();
      i.setAttribute('href', await asUrl(blob));
    }),
  );
  const image = new Image();
  image.src = `data:image/svg+xml,${encodeURIComponent(new XMLSerializer().serializeToString(svg))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = WIDE;
  canvas.height = high;
  canvas.getContext('2d')?.drawImage(image, 0, 0, WIDE, high);
  return canvas.toDataURL();
}

function asUrl(blob: Blob): Promise<string> {
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => failed(new Error('a picture in the face could not be read'));
    reader.readAsDataURL(blob);
  });
}

/**
 * The face every cell of the wall shows, painted once: what lies behind the mouth and what lies before it become pictures,
 * so that fifty cells with their mouths can be painted anew while a ruler is turned.
 */
export function WallFace({
  character,
  artwork,
  frame,
  mouth,
  box,
  placed,
}: {
  character: Character;
  artwork: Artwork;
  frame: Frame;
  mouth: string;
  box: ViewBox;
  placed: (p: Placing) => void;
}) {
  const behind = useRef<SVGGElement>(null);
  const before = useRef<SVGGElement>(null);
  useEffect(() => {
    let wanted = true;
    const at = character.rig.order.indexOf(mouth);
    const back = new Painter(behind.current!, character, artwork);
    back.show(frame);
    back.view(character.rig.order.slice(at), []);
    const front = new Painter(before.current!, character, artwork);
    front.show(frame);
    front.view(character.rig.order.slice(0, at + 1), []);
    const p = frame.placed.find((x) => x.part === mouth);
    const matrix = p?.matrix ?? [1, 0, 0, 1, 0, 0];
    void Promise.all([pictureOf(behind.current!, box), pictureOf(before.current!, box)])
      .catch(() => ['', ''] as const)
      .then(([b, f]) => {
        if (wanted) placed({ matrix, clips: back.clipsOf(mouth), box, behind: b, before: f });
      });
    return () => {
      wanted = false;
    };
  }, [character, artwork, frame, mouth, box, placed]);
  return (
    <svg className="absolute h-0 w-0" aria-hidden>
      <g ref={behind} />
      <g ref={before} />
    </svg>
  );
}
