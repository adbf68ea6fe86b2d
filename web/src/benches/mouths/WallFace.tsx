import { useLayoutEffect, useRef } from 'react';
import type { Artwork, Character, Frame } from '../../api/client';
import { Painter } from '../../stage/painter';

/** How a mouth is placed in the face of the wall. */
export interface Placing {
  matrix: string;
  clips: string[];
}

/**
 * The face every cell of the wall shows, painted once: what lies behind the mouth and what lies before it, for the cells
 * to refer to.
 */
export function WallFace({
  character,
  artwork,
  frame,
  mouth,
  placed,
}: {
  character: Character;
  artwork: Artwork;
  frame: Frame;
  mouth: string;
  placed: (p: Placing) => void;
}) {
  const behind = useRef<SVGGElement>(null);
  const before = useRef<SVGGElement>(null);
  useLayoutEffect(() => {
    const at = character.order.indexOf(mouth);
    const back = new Painter(behind.current!, character, artwork);
    back.show(frame);
    back.view(character.order.slice(at), []);
    const front = new Painter(before.current!, character, artwork);
    front.show(frame);
    front.view(character.order.slice(0, at + 1), []);
    const p = frame.placed.find((x) => x.part === mouth);
    placed({ matrix: `matrix(${(p?.matrix ?? [1, 0, 0, 1, 0, 0]).join(' ')})`, clips: back.clipsOf(mouth) });
  }, [character, artwork, frame, mouth, placed]);
  return (
    <svg className="absolute h-0 w-0" aria-hidden>
      <g id="wall-behind" ref={behind} />
      <g id="wall-before" ref={before} />
    </svg>
  );
}
