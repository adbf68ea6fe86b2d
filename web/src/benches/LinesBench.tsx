import { useQuery } from '@tanstack/react-query';
import { AudioLines, Mic } from 'lucide-react';
import { useState } from 'react';
import { api } from '../api/client';
import { useDrop } from '../app/drop';
import { RecordDialog } from '../record/RecordDialog';
import { useStudio } from '../state/studio';
import { LexiconCard } from './lines/LexiconCard';
import { LineList } from './lines/LineList';
import { SoundCard } from './lines/SoundCard';
import { UnfinishedReadings } from './lines/UnfinishedReadings';
import { MouthChart } from './lines/MouthChart';
import { Words } from './lines/Words';

/** The lines of this character: their words, what was guessed about them, and which mouth serves which sound. */
export function LinesBench() {
  const { view, line } = useStudio();
  const { chooseSound, takeSound } = useDrop();
  const lines = useQuery({ queryKey: ['lines', view.id], queryFn: () => api.lines(view.id) });
  const [at, choose] = useState<number | null>(null);
  const placed = line?.shot.lines.find((l) => l.at === at) ?? line?.shot.lines[0];
  const [recording, record] = useState(false);
  return (
    <>
      <header className="flex items-baseline gap-3">
        <h1 className="text-2xl font-bold">Lines</h1>
        <button className="btn ml-auto" onClick={() => record(true)}>
          <Mic size={14} aria-hidden /> Record …
        </button>
        <button className="btn" onClick={chooseSound}>
          <AudioLines size={14} aria-hidden /> Read a recording …
        </button>
      </header>
      {recording && (
        <RecordDialog
          character={view.id}
          line=""
          words=""
          use={(file) => {
            record(false);
            takeSound(file);
          }}
          close={() => record(false)}
        />
      )}
      {lines.data?.items.length ? (
        <LineList />
      ) : (
        <p className="mt-3 rounded-lg border border-dashed border-line p-4 text-faint">
          No line yet. Drop a recording of somebody speaking anywhere on this page and type what is said; the
          mouths are put to it at once. A recording of many lines is cut up by its script.
        </p>
      )}
      <UnfinishedReadings character={view.id} />
      <SoundCard />
      {line &&
        (placed ? (
          <Words
            key={`${line.id} ${placed.at} ${placed.line.text}`}
            line={line}
            placed={placed}
            choose={choose}
          />
        ) : (
          <p className="mt-3 rounded-lg border border-dashed border-line p-4 text-faint">
            Nothing is said in the shot “{line.shot.name}”. The Shot bench places lines in it.
          </p>
        ))}
      <LexiconCard />
      <MouthChart />
    </>
  );
}
