import { Mic } from 'lucide-react';
import { useState } from 'react';
import { api, type PlacedLine } from '../../api/client';
import { ReadingProgress } from '../../line/ReadingProgress';
import { useReading } from '../../line/useReading';
import { RecordDialog } from '../../record/RecordDialog';
import { useStudio } from '../../state/studio';

/** Puts another take of a line in the place of the one that is there; what is acted goes with its words. */
export function AnotherTake({ placed }: { placed: PlacedLine }) {
  const { view, line, changeLine } = useStudio();
  const [open, setOpen] = useState(false);
  const { reading, busy, wait, cancel } = useReading();
  const put = (sound: File) => {
    setOpen(false);
    void wait((waiting) => changeLine((l) => api.retake(l.id, l.revision, placed.at, sound, waiting)));
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
