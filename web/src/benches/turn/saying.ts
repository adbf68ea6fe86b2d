import type { Edit, Solid, SolidPiece } from '../../api/client';

/** The edit that says one thing more of a piece and leaves what was said before. */
export function saying(piece: SolidPiece, said: Solid | undefined, more: Partial<Solid>): Edit {
  const now: Partial<Solid> = { forward: piece.forward, ...said, ...more };
  return {
    kind: 'set-solid',
    part: piece.part,
    solid: now.kind,
    forward: now.forward ?? 0,
    root: now.root,
    weld: now.weld,
  };
}
