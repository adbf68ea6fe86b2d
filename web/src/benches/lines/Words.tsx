import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { api, type LineView, type PlacedLine } from '../../api/client';
import { ReadingProgress } from '../../line/ReadingProgress';
import { useReading } from '../../line/useReading';
import { useStudio } from '../../state/studio';
import { EditableName } from '../../ui/EditableName';
import { AnotherTake } from './AnotherTake';
import { Unwritten } from './Unwritten';
import { GuessRow } from './GuessRow';

/** Words that were typed and not read yet, by their line: they are there again when one comes back to the bench. */
const unread = new Map<string, string>();

export function Words({
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
