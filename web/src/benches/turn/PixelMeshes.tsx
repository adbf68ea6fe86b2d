import { Grid3x3 } from 'lucide-react';
import type { TurnView } from '../../api/client';
import { useStudio } from '../../state/studio';
import { NoteLines } from './NoteLines';

/** Pieces made of pixels that go along as one each, and what makes them go point by point. */
export function PixelMeshes({ turn }: { turn: TurnView }) {
  const { view, edit } = useStudio();
  const pixels = turn.notes.filter((n) => n.mesh);
  if (pixels.length === 0) return null;
  const name = (id: string) => view.character.rig.parts.find((p) => p.id === id)?.name ?? id;
  const names = pixels.map((n) => name(n.part));
  return (
    <section
      className="mt-3 rounded-lg border border-line bg-paper px-3 py-2 text-[13px]"
      aria-label="Made of pixels"
    >
      <div className="flex items-start gap-2.5">
        <Grid3x3 size={17} className="mt-0.5 shrink-0 text-doing" aria-hidden />
        <p className="min-w-0 flex-1">
          {names.length === 1
            ? `${names[0]} is made of pixels and goes`
            : `${names.length} pieces are made of pixels and go`}{' '}
          along as one piece. Cut into triangles, they follow the head point by point; at rest they look the
          same.
        </p>
        <button
          className="btn-do shrink-0"
          disabled={turn.revision !== view.revision}
          onClick={() => void edit({ kind: 'mesh-picture', parts: pixels.map((n) => n.part) })}
        >
          <Grid3x3 size={14} aria-hidden /> Cut {names.length === 1 ? 'it into a mesh' : 'them into meshes'}
        </button>
      </div>
      <details className="mt-1 pl-7">
        <summary className="cursor-pointer text-[12.5px] text-faint">How far each is off</summary>
        <NoteLines notes={pixels} label="Off by so much" />
      </details>
    </section>
  );
}
