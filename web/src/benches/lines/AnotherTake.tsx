import { Mic } from 'lucide-react';
import { useState } from 'react';
import type { PlacedLine } from '../../api/client';
import { ReadingProgress } from '../../line/ReadingProgress';
import { useRetake } from '../../line/useRetake';
import { RecordDialog } from '../../record/RecordDialog';
import { useStudio } from '../../state/studio';

/** Puts another take of a line in the place of the one that is there; what is acted goes with its words. */
export function AnotherTake({ placed }: { placed: PlacedLine }) {
  const { view, line } = useStudio();
  const [open, setOpen] = useState(false);
  const { reading, busy, cancel, retake } = useRetake();
  const put = (sound: File) => {
    setOpen(false);
    void retake(placed.at, sound);
  };
  if (busy)
    return (
      <div className="flex min-w-0 flex-1 items-center gap-2">
        <ReadingProgress reading={reading} />
        <button className="btn px-2 py-0" onClick={cancel}>
          Stop
        </button>
      </div>
    );
  return (
    <>
      <button
        className="btn px-2 py-0"
        title="Put a better take of these words in; what is acted goes with them"
        onClick={() => setOpen(true)}
      >
        <Mic size={13} aria-hidden /> Another take …
      </button>
      {open && (
        <RecordDialog
          character={view.id}
          line={`${line!.id} ${placed.at}`}
          words={placed.line.text}
          use={put}
          close={() => setOpen(false)}
        />
      )}
    </>
  );
}
