import { Play, Square } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { api, type PlacedLine } from '../api/client';
import { useDrop } from '../app/drop';
import { ReadingProgress } from '../line/ReadingProgress';
import { useReading } from '../line/useReading';
import { fileOf, takeBy } from '../record/takes';
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
  const { changeLine, tell } = useStudio();
  const { takeSound } = useDrop();
  const { reading, busy, wait, cancel } = useReading();
  const [seconds, setSeconds] = useState<number | null>(null);
  const sound = useRef<{ audio: HTMLAudioElement; url: string } | null>(null);
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    void takeBy(id).then(
      (t) => setSeconds(t ? t.samples / t.rate : null),
      () => setSeconds(null),
    );
  }, [id]);
  const quiet = () => {
    sound.current?.audio.pause();
    if (sound.current) URL.revokeObjectURL(sound.current.url);
    sound.current = null;
    setPlaying(false);
  };
  useEffect(() => quiet, []);
  if (seconds === null) return null;
  const file = async (lead = 0) => {
    const kept = await takeBy(id);
    if (!kept) throw new Error('it was thrown away');
    return fileOf(kept, `${name}.wav`, lead);
  };
  const take = (then: (file: File) => unknown, lead = 0) =>
    void file(lead).then(then, (e: unknown) =>
      tell({ message: `The voice cannot be used: ${String(e)}`, bad: true }),
    );
  const hear = () => {
    if (sound.current) return quiet();
    take(async (f) => {
      const url = URL.createObjectURL(f);
      const audio = new Audio(url);
      sound.current = { audio, url };
      setPlaying(true);
      audio.onended = quiet;
      await audio.play().catch(quiet);
    });
  };
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
        onClick={hear}
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
            take(
              (f) =>
                wait((waiting) => changeLine((l) => api.retake(l.id, l.revision, placed.at, f, waiting))),
              begun - placedAt,
            )
          }
        >
          Another take of the line
        </button>
      )}
      <button
        className="btn px-2 py-0"
        title="Type what was said, or leave it open: a line of its own"
        onClick={() => take(takeSound)}
      >
        A line of its own …
      </button>
    </span>
  );
}
