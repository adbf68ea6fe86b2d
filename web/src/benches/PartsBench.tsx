import { FlipHorizontal2, Layers3 } from 'lucide-react';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { HistoryPanel } from './parts/HistoryPanel';
import { PartCard } from './parts/PartCard';
import { ShapeList } from './parts/ShapeList';
import { SeveralCard } from './parts/SeveralCard';
import { Silhouettes } from './parts/Silhouettes';

/** Who follows whom, what lies before what, and everything about the chosen part. */
export function PartsBench() {
  const { view, edit } = useStudio();
  const chosen = useDesk((s) => s.part);
  const also = useDesk((s) => s.also);
  const shaping = useDesk((s) => s.shaping);
  const { character } = view;
  const part = character.rig.parts.find((p) => p.id === chosen);
  return (
    <>
      <header className="flex items-baseline gap-2">
        <h1 className="mr-auto text-2xl font-bold">Parts</h1>
        <button
          className="btn"
          title="Put every part where its role belongs, back to front"
          onClick={() => void edit({ kind: 'stack-by-role' })}
        >
          <Layers3 size={14} aria-hidden /> Stack by role
        </button>
        <button
          className="btn"
          title="Reflect the whole character; names keep right, since sides are its own"
          onClick={() => void edit({ kind: 'flip' })}
        >
          <FlipHorizontal2 size={14} aria-hidden /> Flip
        </button>
      </header>
      {part && shaping ? (
        <ShapeList part={part} />
      ) : part && also.length > 0 ? (
        <SeveralCard parts={[part.id, ...also]} />
      ) : part ? (
        <PartCard key={part.id} part={part} />
      ) : (
        <p className="mt-3 rounded-lg border border-dashed border-line p-3 text-faint">
          Click a part, or its pivot on the character. A line leads from each pivot to its parent’s: drag the
          ring at its end onto another pivot to set another parent. Shift-click takes several, and so does a
          frame dragged from the ground.
        </p>
      )}
      <Silhouettes />
      <HistoryPanel />
    </>
  );
}
