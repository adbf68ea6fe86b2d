import { AudioLines, Mic, Play, Square, Trash2 } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useCallback, useEffect, useState } from 'react';
import { useRecorder } from './useRecorder';
import { fileOf, SPOKEN, type Take, takesOf, throwAway } from './takes';
import { useTakeSound } from './useTakeSound';
import { decibels } from './wav';

/** From this level on a voice is cut off at its loudest. */
const TOO_LOUD = 0.985;

/** Seconds of the count-in; common practice. */
const USUAL_COUNT = 3;

/**
 * Records a line, as often as it takes.
 *
 * @param words what is to be said; empty when nobody has written it yet
 * @param line the line it is another take of; empty for a new one
 * @param use called with the take that is chosen
 */
export function RecordDialog({
  character,
  line,
  words,
  use,
  close,
}: {
  character: string;
  line: string;
  words: string;
  use: (file: File) => void;
  close: () => void;
}) {
  const [takes, setTakes] = useState<Take[]>([]);
  const [chosen, choose] = useState<string | null>(null);
  const [beats, setBeats] = useState(USUAL_COUNT);
  const [trouble, setTrouble] = useState<string | null>(null);
  const look = useCallback(
    () =>
      takesOf(character, line).then(setTakes, (e: unknown) =>
        setTrouble(`Takes cannot be kept in this browser: ${String(e)}`),
      ),
    [character, line],
  );
  useEffect(() => void look(), [look]);
  const recorder = useRecorder({ character, line }, (take) => {
    choose(take.id);
    void look();
  });
  const { state, level, problem, devices, open, record, stop } = recorder;
  useEffect(() => void open(null), [open]);
  const listening = state.is === 'recording' || state.is === 'counting';
  const number = (take: Take) => takes.length - takes.indexOf(take);
  const nameOf = (take: Take) => `${line ? 'Take' : 'Recording'} ${number(take)}`;
  const taken = takes.find((t) => t.id === chosen) ?? takes[0];

  const toggle = () => (listening ? void stop() : record(beats));
  return (
    <Dialog.Root
      open
      onOpenChange={(open) => {
        if (open) return;
        if (listening) void stop();
        else close();
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[94vh] w-[36rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-xl border border-line bg-paper p-6 shadow-2xl">
          <Dialog.Title className="font-display text-xl font-bold">
            {line ? 'Another take' : 'Record a line'}
          </Dialog.Title>
          <Dialog.Description className="mt-1 text-faint">
            {line
              ? 'Say the same words again. What is acted goes with the words of the take you choose.'
              : 'Say it as often as you like; the take you choose becomes the line.'}
          </Dialog.Description>
          {words && <p className="mt-3 rounded-lg bg-card p-3 text-[17px] leading-snug">{words}</p>}
          <div className="mt-4 flex items-center gap-3">
            <button
              className={listening ? 'btn-do min-w-28' : 'btn min-w-28'}
              onClick={toggle}
              disabled={state.is === 'closed' || state.is === 'opening'}
              autoFocus
            >
              {listening ? <Square size={15} aria-hidden /> : <Mic size={15} aria-hidden />}
              {listening ? 'Stop' : 'Record'}
            </button>
            <Level level={level} />
            <output className="w-20 text-right text-[15px] tabular-nums" aria-label="Time">
              {state.is === 'recording'
                ? `${state.seconds.toFixed(1)} s`
                : state.is === 'counting'
                  ? `in ${state.beat} …`
                  : ''}
            </output>
          </div>
          <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
            <label className="flex items-center gap-1.5">
              <span className="text-faint">counted in by</span>
              <input
                type="number"
                className="field w-14 px-1.5 py-0"
                min={0}
                max={8}
                value={beats}
                disabled={listening}
                onChange={(e) => setBeats(Math.max(0, Math.min(8, Math.round(e.target.valueAsNumber || 0))))}
              />
              <span className="text-faint">seconds</span>
            </label>
            {devices.length > 1 && (
              <label className="flex min-w-0 items-center gap-1.5">
                <span className="text-faint">microphone</span>
                <select
                  className="field max-w-52 py-0"
                  disabled={listening}
                  onChange={(e) => void open(e.target.value)}
                >
                  {devices.map((d) => (
                    <option key={d.deviceId} value={d.deviceId}>
                      {d.label || 'microphone'}
                    </option>
                  ))}
                </select>
              </label>
            )}
          </div>
          {(problem ?? trouble) && (
            <p role="alert" className="mt-3 rounded-md bg-wrong-soft p-3 text-wrong">
              {problem ?? trouble}
              {state.is === 'closed' && (
                <button className="btn ml-2" onClick={() => void open(null)}>
                  Try again
                </button>
              )}
            </p>
          )}
          {takes.length > 0 && (
            <ul className="mt-4 grid gap-1" aria-label="Takes">
              {takes.map((t) => (
                <TakeRow
                  key={t.id}
                  take={t}
                  name={nameOf(t)}
                  on={t === taken}
                  choose={() => choose(t.id)}
                  drop={() => void throwAway(t.id).then(look)}
                />
              ))}
            </ul>
          )}
          <div className="mt-4 flex justify-end gap-2">
            {line && (
              <label className="btn mr-auto cursor-pointer focus-within:outline-2">
                <AudioLines size={14} aria-hidden /> Choose a file …
                <input
                  type="file"
                  className="sr-only"
                  accept=".wav,.flac,.mp3,.ogg,.opus,.m4a,.aif,.aiff,.caf,audio/*"
                  disabled={listening}
                  onChange={(e) => e.target.files?.[0] && use(e.target.files[0])}
                />
              </label>
            )}
            <button className="btn" onClick={close} disabled={listening}>
              Close
            </button>
            <button
              className="btn-do"
              disabled={!taken || listening}
              onClick={() =>
                taken &&
                void fileOf(taken, `${nameOf(taken)}.wav`).then(use, (e: unknown) => setTrouble(String(e)))
              }
            >
              {taken ? `Use ${nameOf(taken).toLowerCase()}` : 'Use it'}
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Level({ level }: { level: number }) {
  const loud = level >= TOO_LOUD;
  return (
    <div className="flex min-w-0 flex-1 items-center gap-2">
      <div
        role="meter"
        aria-label="Level"
        aria-valuemin={-60}
        aria-valuemax={0}
        aria-valuenow={Math.round(decibels(level))}
        aria-valuetext={`${Math.round(decibels(level))} dB`}
        className="relative h-3.5 min-w-0 flex-1 overflow-hidden rounded-full bg-tide"
      >
        <div
          className={`absolute inset-y-0 left-0 ${loud ? 'bg-wrong' : 'bg-ink'}`}
          style={{ width: `${(1 + decibels(level) / 60) * 100}%` }}
        />
        {/* where a voice should peak: 18 to 6 dB below the loudest there is */}
        <div className="absolute inset-y-0 left-[70%] w-px bg-paper" />
        <div className="absolute inset-y-0 left-[90%] w-px bg-paper" />
      </div>
      <span className={`w-16 text-[12.5px] ${loud ? 'text-wrong' : 'text-faint'}`}>
        {loud ? 'too loud' : level < SPOKEN ? 'quiet' : ''}
      </span>
    </div>
  );
}

function TakeRow({
  take,
  name,
  on,
  choose,
  drop,
}: {
  take: Take;
  name: string;
  on: boolean;
  choose: () => void;
  drop: () => void;
}) {
  const { playing, toggle } = useTakeSound();
  const said =
    take.peak >= TOO_LOUD
      ? 'too loud: its loudest sounds are cut off'
      : take.peak < SPOKEN
        ? 'nothing seems to be said'
        : `peaks at ${Math.round(decibels(take.peak))} dB`;
  return (
    <li
      className={`flex items-center gap-2 rounded-lg border px-2 py-1 ${on ? 'border-chosen bg-card' : 'border-line'}`}
    >
      <button
        className="btn px-1.5"
        aria-label={`${playing ? 'Stop' : 'Play'} ${name}`}
        onClick={() => void toggle(() => fileOf(take, 'take.wav'))}
      >
        {playing ? <Square size={13} aria-hidden /> : <Play size={13} aria-hidden />}
      </button>
      <button className="min-w-0 flex-1 truncate text-left" aria-pressed={on} onClick={choose}>
        <b>{name}</b>{' '}
        <span className="text-[13px] text-faint">
          {(take.samples / take.rate).toFixed(1)} s · {said}
        </span>
      </button>
      <button className="btn px-1.5" aria-label={`Delete ${name}`} onClick={drop}>
        <Trash2 size={13} aria-hidden />
      </button>
    </li>
  );
}
