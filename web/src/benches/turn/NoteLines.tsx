import { Info } from 'lucide-react';
import type { TurnView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';

/** What the turn says of single pieces; a press chooses the piece. */
export function NoteLines({ notes, label }: { notes: TurnView['notes']; label: string }) {
  const { view } = useStudio();
  const name = (id: string) => view.character.rig.parts.find((p) => p.id === id)?.name ?? id;
  return (
    <ul className="mt-1.5 flex flex-col gap-0.5" aria-label={label}>
      {notes.map((n) => (
        <li key={`${n.part} ${n.message}`} className="flex items-start gap-1.5 text-[12.5px] text-faint">
          <Info size={13} className="mt-0.5 shrink-0" aria-hidden />
          <button className="text-left hover:underline" onClick={() => useDesk.setState({ part: n.part })}>
            <span className="font-medium text-ink">{name(n.part)}</span> {n.message}
          </button>
        </li>
      ))}
    </ul>
  );
}
