import type { Artwork, Character, Frame, Part } from '../../api/client';
import { boundsOf, type ViewBox } from '../../stage/view';

/**
 * The part of the face that is looked at while mouths are: the mouth with cheeks and chin.
 *
 * @param wide how much wider than the mouth it is at the least
 */
export function mouthBox(
  character: Character,
  artwork: Artwork,
  mouth: Part | undefined,
  wide = 1.75,
): ViewBox | null {
  const b = boundsOf(character, artwork, mouth ? [mouth.id] : [], true);
  if (!b) return null;
  const face = boundsOf(
    character,
    artwork,
    character.rig.parts.filter((p) => p.role === 'FACE').map((p) => p.id),
  );
  // wide enough for the widest of the set, and high enough for the one that opens furthest
  const w = Math.max(b.w * wide * 0.84, (face?.w ?? 0) * 0.286 * wide, (b.h * 1.12) / 0.78);
  const y = Math.min(b.y - 0.05 * b.h, b.y + b.h / 2 - w * 0.39);
  return { x: b.x + b.w / 2 - w / 2, y, w, h: w * 0.78 };
}

/** A crop that goes where the part goes when the head is turned. */
export function follow(box: ViewBox, frame: Frame, part: string): ViewBox {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = frame.placed.find((p) => p.part === part)?.matrix ?? [];
  const x = box.x + box.w / 2;
  const y = box.y + box.h / 2;
  return { ...box, x: a * x + c * y + e - box.w / 2, y: b * x + d * y + f - box.h / 2 };
}
