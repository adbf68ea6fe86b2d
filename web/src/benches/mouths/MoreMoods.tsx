import { Plus } from 'lucide-react';
import type { WallView } from '../../api/client';
import { useStudio } from '../../state/studio';

const MOODS = [
  { name: 'Happy', corners: 0.8, tension: 0.1 },
  { name: 'Sad', corners: -0.8, tension: 0 },
  { name: 'Angry', corners: -0.45, tension: 0.8 },
];

/** Rows that can be had besides those of the wall. */
export function MoreMoods({ wall }: { wall: WallView }) {
  const { edit } = useStudio();
  const free = MOODS.filter((m) => wall.rows.every((r) => r.name !== m.name));
  return (
    <div className="mt-2.5 flex flex-wrap items-center gap-1.5 pb-3 text-[12.5px]">
      <span className="text-faint">Another row of mouths:</span>
      {free.map((m) => (
        <button
          key={m.name}
          className="btn px-2 py-0.5"
          onClick={() => void edit({ kind: 'set-mood', mood: '', ...m })}
        >
          <Plus size={13} aria-hidden /> {m.name}
        </button>
      ))}
      <button
        className="btn px-2 py-0.5"
        onClick={() =>
          void edit({
            kind: 'set-mood',
            mood: '',
            name: `Mood ${wall.rows.length}`,
            corners: 0,
            tension: 0,
          })
        }
      >
        <Plus size={13} aria-hidden /> another
      </button>
    </div>
  );
}
