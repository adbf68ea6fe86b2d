import { X } from 'lucide-react';
import { useState } from 'react';
import type { WallView } from '../../api/client';
import { useStudio } from '../../state/studio';
import { EditableName } from '../../ui/EditableName';

/** The name of a row, and what sets its mouths apart from the neutral ones. */
export function MoodHead({ row }: { row: WallView['rows'][number] }) {
  const { edit } = useStudio();
  const [turned, setTurned] = useState<{ corners: number; tension: number } | null>(null);
  const { corners, tension } = turned ?? row;
  const keep = (name: string) => {
    const now = turned ?? row;
    return edit({
      kind: 'set-mood',
      mood: row.mood,
      name,
      corners: now.corners,
      tension: now.tension,
    });
  };
  const settle = () => {
    if (turned) void keep(row.name).then(() => setTurned(null));
  };
  const ruler = (label: string, value: number, min: number, set: (v: number) => void) => (
    <label className="flex items-center gap-1.5 text-[12px] text-faint">
      {label}
      <input
        type="range"
        className="w-[74px] accent-(--doing)"
        min={min}
        max={1}
        step={0.05}
        value={value}
        aria-label={`${label} in the mood ${row.name}`}
        onChange={(e) => set(Number(e.target.value))}
        onPointerUp={settle}
        onKeyUp={settle}
        onBlur={settle}
      />
    </label>
  );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3">
      <EditableName
        label="Name of the mood"
        name={row.name}
        rename={keep}
        className="min-w-16 flex-1 truncate text-[14px]"
      />
      {ruler('corners', corners, -1, (v) => setTurned({ corners: v, tension }))}
      {ruler('tension', tension, 0, (v) => setTurned({ corners, tension: v }))}
      <button
        className="p-0.5 text-faint hover:text-wrong"
        aria-label={`Delete the mood ${row.name}`}
        title="Delete this row; what was shaped by hand stays in the set"
        onClick={() => void edit({ kind: 'drop-mood', mood: row.mood })}
      >
        <X size={14} aria-hidden />
      </button>
    </div>
  );
}
