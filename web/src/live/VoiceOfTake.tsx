import { Play, Square } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { PlacedLine } from '../api/client';
import { useDrop } from '../app/drop';
import { ReadingProgress } from '../line/ReadingProgress';
import { useRetake } from '../line/useRetake';
import { fileOf, takeBy } from '../record/takes';
import { useTakeSound } from '../record/useTakeSound';
import { useStudio } from '../state/studio';

/** What was spoken in a take: it is heard, and made a line or another take of the one that is there. */
export function VoiceOfTake({
  id,
  name,
  placed,
  begun,
  placedAt,
}: {
  id: string;
  name: string;
  /** The line it may be another take of. */
  placed: PlacedLine | undefined;
  /** Seconds of the shot before the voice began, and before the line does. */
  begun: number;
  placedAt: number;
}) {
  const { tell } = useStudio();
  const { takeSound } = useDrop();
  const { reading, busy, cancel, retake } = useRetake();
  const [seconds, setSeconds] = useState<number | null>(null);
  const { playing, toggle } = useTakeSound();
  useEffect(() => {
    void takeBy(id).then(
      (t) => setSeconds(t ? t.samples / t.rate : null),
      () => setSeconds(null),
    );
  }, [id]);
  if (seconds === null) return null;
  const file = async (lead = 0) => {
    const kept = await takeBy(id);
    if (!kept) throw new Error('it was thrown away');
    return fileOf(kept, `${name}.wav`, lead);
  };
  const unless = (work: Promise<unknown>) =>
    void work.catch((e: unknown) => tell({ message: `The voice cannot be used: ${String(e)}`, bad: true }));
  if (busy)
    return (
      <span className="flex min-w-0 items-center gap-1.5">
        <ReadingProgress reading={reading} />
        <button className="btn px-2 py-0" onClick={cancel}>
          Stop
        </button>
      </span>
    );
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <button
        className="btn px-1.5 py-0"
        aria-label={`${playing ? 'Stop' : 'Play'} voice ${seconds.toFixed(1)} s of ${name}`}
        onClick={() => unless(toggle(() => file()))}
      >
        {playing ? <Square size={12} aria-hidden /> : <Play size={12} aria-hidden />} voice{' '}
        {seconds.toFixed(1)} s
      </button>
      {placed && (
        <button
          className="btn px-2 py-0"
          title={`Put in the place of “${placed.line.text}”; what is acted goes with its words`}
          onClick={() =>
            // what was said beside the shot stays beside it
            unless(file(begun - placedAt).then((f) => retake(placed.at, f)))
          }
        >
          Another take of the line
        </button>
      )}
      <button
        className="btn px-2 py-0"
        title="Type what was said, or leave it open: a line of its own"
        onClick={() => unless(file().then(takeSound))}
      >
        A line of its own …
      </button>
    </span>
  );
}
