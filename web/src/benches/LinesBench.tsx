import { useQueries, useQuery } from '@tanstack/react-query';
import { AudioLines, Mic, TriangleAlert } from 'lucide-react';
import { useMemo, useState } from 'react';
import { api, type DialogueLine, type LineView, type PlacedLine } from '../api/client';
import { useDrop } from '../app/drop';
import { ReadingProgress } from '../line/ReadingProgress';
import { useReading } from '../line/useReading';
import { RecordDialog } from '../record/RecordDialog';
import { useSettled } from '../state/settled';
import { useStudio } from '../state/studio';
import { EditableName } from '../ui/EditableName';
import { FaceCrop } from '../ui/FaceCrop';
import { AnotherTake } from './lines/AnotherTake';
import { LexiconCard } from './lines/LexiconCard';
import { LineList } from './lines/LineList';
import { SoundCard } from './lines/SoundCard';
import { UnfinishedReadings } from './lines/UnfinishedReadings';
import { Unwritten } from './lines/Unwritten';
import { follow, mouthBox } from './mouths/box';
import { Cells } from '../ui/Cells';

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

/** Words that were typed and not read yet, by their line: they are there again when one comes back to the bench. */
const unread = new Map<string, string>();

function Words({
  line,
  placed,
  choose,
}: {
  line: LineView;
  placed: PlacedLine;
  /** Shows the line that begins at another frame of the shot. */
  choose: (at: number) => void;
}) {
  const { view, changeLine, editLine } = useStudio();
  const said = placed.line;
  const key = `${line.id} ${placed.at}`;
  const [text, type] = useState(unread.get(key) ?? said.text);
  const setText = (typed: string) => {
    if (typed.trim() === said.text) unread.delete(key);
    else unread.set(key, typed);
    type(typed);
  };
  const doubtful = line.doubtful[line.shot.lines.indexOf(placed)] ?? [];
  const { reading, busy, wait, cancel } = useReading();
  const { rules } = line.shot;
  const reread = () =>
    wait((waiting) =>
      changeLine(async (l) => {
        const read = await api.words(l.id, l.revision, placed.at, text, waiting);
        unread.delete(key);
        return read;
      }),
    );
  return (
    <section className="mt-3 rounded-xl border border-line bg-paper p-3.5">
      <EditableName
        label="Name of the line"
        name={line.shot.name}
        rename={(name) => changeLine((l) => api.editLine(l.id, l.revision, { kind: 'rename-shot', name }))}
        className="text-lg"
      />
      {line.shot.lines.length > 1 && (
        <div className="mt-1.5 flex flex-wrap gap-1" role="group" aria-label="Lines of this shot">
          {line.shot.lines.map((l) => (
            <button
              key={l.at}
              className="btn max-w-56 px-2 py-0 text-[13px]"
              aria-pressed={l === placed}
              title={l.line.text}
              onClick={() => choose(l.at)}
            >
              <span className="truncate">
                {l.at + 1} {l.line.text || 'without words'}
              </span>
            </button>
          ))}
        </div>
      )}
      <textarea
        aria-label="Words"
        className="field mt-2 h-[52px] w-full resize-none text-[14.5px]"
        value={text}
        disabled={busy}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') setText(said.text);
        }}
      />
      {text.trim() !== said.text && (
        <div className="mt-1 flex items-center gap-2">
          {busy ? (
            <ReadingProgress reading={reading} />
          ) : (
            <button className="btn-do" disabled={text.trim() === ''} onClick={() => void reread()}>
              Read again with these words
            </button>
          )}
          <button className="btn" onClick={busy ? cancel : () => setText(said.text)}>
            {busy ? 'Stop' : 'Cancel'}
          </button>
        </div>
      )}
      {!line.fits && (
        <p className="mt-2 flex gap-2 rounded-md bg-wrong-soft p-2.5 text-wrong">
          <TriangleAlert size={17} className="mt-0.5 shrink-0" aria-hidden />
          These words do not seem to be the ones spoken. Listen, and correct them above.
        </p>
      )}
      {line.fits && doubtful.length > 0 && (
        <p className="mt-2 flex gap-2 rounded-md bg-wrong-soft p-2.5 text-wrong">
          <TriangleAlert size={17} className="mt-0.5 shrink-0" aria-hidden />
          <span>
            Something else seems to be said in place of{' '}
            {doubtful.map((i) => `“${said.words[i]?.text}”`).join(', ')}.
          </span>
        </p>
      )}
      {line.notShown.length > 0 && (
        <p className="mt-2 rounded-md bg-wrong-soft p-2.5 text-wrong">
          Not shown: {line.notShown.join('; ')}.
        </p>
      )}
      <Unwritten line={line} placed={placed} />
      {said.guesses.map((g) => (
        <GuessRow key={g.word} guess={g} at={placed.at} />
      ))}
      <div className="mt-2.5 flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
        {view.character.voice.mouths.moods.length > 0 && (
          <label className="flex items-center gap-1.5">
            <span className="text-faint">mood</span>
            <select
              className="field py-0"
              value={line.shot.mood}
              onChange={(e) => void editLine({ kind: 'feel', mood: e.target.value })}
            >
              <option value="">neutral</option>
              {view.character.voice.mouths.moods.map((m) => (
                <option key={m.id} value={m.id}>
                  {m.name}
                </option>
              ))}
            </select>
          </label>
        )}
        <Stepper
          label="mouths lead by"
          unit="frames"
          value={rules.lead}
          least={-6}
          most={6}
          set={(lead) =>
            editLine({ kind: 'expose', exposure: rules.exposure, lead, minimumHold: rules.minimumHold })
          }
        />
        <Stepper
          label="held at least"
          unit="frames"
          value={rules.minimumHold}
          least={1}
          most={6}
          set={(minimumHold) =>
            editLine({ kind: 'expose', exposure: rules.exposure, lead: rules.lead, minimumHold })
          }
        />
        <AnotherTake placed={placed} />
      </div>
    </section>
  );
}

function GuessRow({ guess, at }: { guess: DialogueLine['guesses'][number]; at: number }) {
  const { word } = guess;
  const phones = guess.phones.join(' ');
  const { changeLine } = useStudio();
  const [sounds, setSounds] = useState('');
  const { reading, busy, wait, cancel } = useReading();
  const keep = (as: string) =>
    wait((waiting) => changeLine((l) => api.pronounce(l.id, l.revision, at, word, as, waiting)));
  return (
    <div className="mt-2 rounded-md bg-doing-soft p-2.5 text-[13px]">
      <p>
        “<b>{word}</b>” is not in the dictionary. Guessed from its spelling and heard: <b>{phones}</b>
      </p>
      {guess.others.length > 0 && (
        <p className="mt-1 flex flex-wrap items-center gap-1.5">
          <span className="text-faint">or</span>
          {guess.others.map((o) => (
            <button
              key={o.join(' ')}
              className="btn px-2 py-0"
              disabled={busy}
              title="Remember it so, and listen again"
              onClick={() => void keep(o.join(' '))}
            >
              {o.join(' ')}
            </button>
          ))}
        </p>
      )}
      <div className="mt-1.5 flex gap-2">
        <input
          aria-label={`${word} sounds like`}
          className="field min-w-0 flex-1"
          placeholder="sounds like … (words, or ARPAbet in capitals)"
          value={sounds}
          onChange={(e) => setSounds(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && void keep(sounds.trim() || phones)}
        />
        <button className="btn" onClick={busy ? cancel : () => void keep(sounds.trim() || phones)}>
          {busy ? 'Stop' : sounds.trim() ? 'Remember' : 'The guess is right'}
        </button>
      </div>
      {busy && (
        <div className="mt-1.5 flex">
          <ReadingProgress reading={reading} />
        </div>
      )}
    </div>
  );
}

function Stepper({
  label,
  unit,
  value,
  least,
  most,
  set,
}: {
  label: string;
  unit: string;
  value: number;
  least: number;
  most: number;
  set: (v: number) => Promise<boolean>;
}) {
  return (
    <div className="flex items-center gap-1.5" role="group" aria-label={`${label}, ${unit}`}>
      <span className="text-faint">{label}</span>
      <button
        className="btn px-2 py-0"
        disabled={value <= least}
        aria-label="less"
        onClick={() => void set(value - 1)}
      >
        −
      </button>
      <b>{value}</b>
      <button
        className="btn px-2 py-0"
        disabled={value >= most}
        aria-label="more"
        onClick={() => void set(value + 1)}
      >
        +
      </button>
      <span className="text-faint">{unit}</span>
    </div>
  );
}

/** The 15 classes, each as the real face with the mouth that serves it. */
function MouthChart() {
  const { view, artwork, edit } = useStudio();
  const dials = useSettled((s) => s.dials, 350);
  const [giving, setGiving] = useState<string | null>(null);
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const served = [...new Set(view.mouths.map((m) => m.drawing))];
  const frames = useQueries({
    queries: served.map((drawing) => ({
      queryKey: ['mouth', view.id, view.revision, drawing, dials],
      queryFn: () => api.pose(view.id, { pose: { dials, pins: { [mouth!.id]: drawing } } }),
      enabled: mouth !== undefined,
      staleTime: Infinity,
      placeholderData: (old: Awaited<ReturnType<typeof api.pose>> | undefined) => old,
    })),
  });
  const box = useMemo(() => mouthBox(view.character, artwork, mouth), [view.character, artwork, mouth]);
  if (!mouth || !box) return null;
  return (
    <section className="mt-4 pb-2">
      <h2 className="text-[15px] font-semibold">
        Mouth chart{' '}
        <span className="font-sans text-[12.5px] font-normal text-faint">
          {view.mouths.filter((m) => m.own).length} of 15 classes have a mouth of their own
        </span>
      </h2>
      <Cells className="mt-1.5 grid grid-cols-5 gap-1.5">
        {view.mouths.map((m) => {
          const frame = frames[served.indexOf(m.drawing)]?.data?.frame;
          return (
            <button
              key={m.viseme}
              className={`overflow-hidden rounded-lg border bg-card text-left ${
                giving === m.viseme
                  ? 'border-doing'
                  : m.own
                    ? 'border-line hover:border-faint'
                    : 'border-dashed border-faint'
              }`}
              title={`${m.why}${m.examples.length ? ` – ${m.examples.join(', ')}` : ''}`}
              onClick={() => setGiving(giving === m.viseme ? null : m.viseme)}
            >
              {frame ? (
                <FaceCrop
                  character={view.character}
                  artwork={artwork}
                  frame={frame}
                  box={follow(box, frame, mouth.id)}
                  label={`${m.sounds}: ${m.why}`}
                  className="h-[70px] w-full"
                />
              ) : (
                <span className="block h-[70px]" />
              )}
              <span className="block truncate px-1.5 py-0.5 text-[11.5px]">
                <b>{m.sounds}</b>
                {!m.own && <span className="text-faint"> nearest</span>}
              </span>
            </button>
          );
        })}
      </Cells>
      {giving && (
        <div className="mt-2 rounded-lg border border-line bg-paper p-2.5 text-[13px]">
          <p className="mb-1.5">
            Another mouth for <b>{view.mouths.find((m) => m.viseme === giving)?.sounds}</b>:
          </p>
          <div className="flex flex-wrap gap-1">
            {mouth.drawings.map((d) => (
              <button
                key={d.id}
                className="btn px-1.5 text-[12px]"
                aria-pressed={view.mouths.find((m) => m.viseme === giving)?.drawing === d.id}
                onClick={async () => {
                  await edit({
                    kind: 'serve-sound',
                    mood: '',
                    viseme: giving as 'REST',
                    drawing: d.id,
                  });
                  setGiving(null);
                }}
              >
                {d.name}
              </button>
            ))}
          </div>
        </div>
      )}
    </section>
  );
}
