import { ChevronLeft, ChevronRight, Hand, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useStudio } from '../../state/studio';
import { holds, wordOf } from '../../line/sounds';
import { useSoundDesk } from '../../line/soundDesk';
import { hear, type Phone, useSoundEdits } from '../../line/useSoundEdits';
import { PHONES } from './phones';
import { Cells } from '../../ui/Cells';

/** The sound that is chosen in the strip: what it is, when, and what can be done about it. */
export function SoundCard() {
  const { line } = useStudio();
  const chosen = useSoundDesk((s) => s.chosen);
  const placed = line?.shot.lines.find((l) => l.at === chosen?.at);
  const p = chosen && placed?.line.phones[chosen.sound];
  const edits = useSoundEdits();
  const { frames, push } = useSoundDesk();
  if (!chosen || !placed || !p) return null;
  const { rate } = edits;
  const said = placed.line;
  const word = wordOf(said, chosen.sound);
  const left = holds(said.held, p.start);
  const right = holds(said.held, p.end);
  const around = said.words[word] ?? p;
  const frame = (t: number) => Math.floor(placed.at + t * rate + 1e-6) + 1;
  return (
    <section aria-label="The chosen sound" className="mt-3 rounded-xl border border-chosen bg-card p-3">
      <div className="flex items-baseline gap-2">
        <h2 className="text-[17px] font-bold">{p.phone}</h2>
        <p className="text-[13px]">
          {word >= 0 ? (
            <>
              in “<b>{said.words[word]!.text}</b>”
            </>
          ) : (
            'of no word'
          )}
          <span className="text-faint">
            {' '}
            · {p.start.toFixed(3)}–{p.end.toFixed(3)} s · frames {frame(p.start)}–
            {Math.max(frame(p.start), frame(p.end - 1e-6))}
          </span>
        </p>
        <button
          className="btn ml-auto self-start px-1.5"
          aria-label="Close"
          onClick={() => edits.choose(null)}
        >
          <X size={14} aria-hidden />
        </button>
      </div>
      {(left || right) && (
        <p className="mt-1 flex items-center gap-1.5 text-[13px] text-doing">
          <Hand size={14} aria-hidden />
          {left && right
            ? 'Both its edges were put by hand, and stay when the recording is read again.'
            : `Its ${left ? 'start' : 'end'} was put by hand, and stays when the recording is read again.`}
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1.5 text-[13px]">
        <EdgeSteps
          label="start"
          by={(way) => edits.moveBy(chosen, { sound: chosen.sound, end: false }, way)}
        />
        <EdgeSteps label="end" by={(way) => edits.moveBy(chosen, { sound: chosen.sound, end: true }, way)} />
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={frames}
            onChange={(e) => useSoundDesk.setState({ frames: e.target.checked })}
          />
          to frames
        </label>
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={push}
            onChange={(e) => useSoundDesk.setState({ push: e.target.checked })}
          />
          neighbours give way
        </label>
      </div>
      <div className="mt-2 flex flex-wrap gap-1">
        <button
          className="btn"
          onClick={() => hear(placed.at / rate + around.start, placed.at / rate + around.end, rate)}
        >
          Hear {word >= 0 ? 'the word' : 'it'}
        </button>
        <button
          className="btn"
          title="S: where the playhead stands in it, else in the middle"
          onClick={() => edits.split(chosen)}
        >
          Split
        </button>
        <button className="btn" title="J" onClick={() => void edits.join(chosen)}>
          Join with the next
        </button>
        <button className="btn" title="Insert" onClick={() => edits.add(chosen, word)}>
          Add one behind it
        </button>
        <button className="btn" title="Delete" onClick={() => edits.drop(chosen)}>
          Delete it
        </button>
        <button
          className="btn"
          title="L: what was put by hand stays"
          onClick={() => void edits.again(chosen.at, around.start, around.end)}
        >
          Listen again {word >= 0 ? 'for this word' : 'here'}
        </button>
        {(left || right) && (
          <button className="btn" title="R" onClick={() => void edits.release(chosen.at, p.start, p.end)}>
            Let go of its edges
          </button>
        )}
      </div>
      <PhonePicker
        key={`${chosen.at} ${chosen.sound}`}
        is={p.phone}
        pick={(phone) => void edits.change(chosen, phone)}
      />
    </section>
  );
}

function EdgeSteps({ label, by }: { label: string; by: (way: 1 | -1) => void }) {
  return (
    <div className="flex items-center gap-1" role="group" aria-label={label}>
      <span className="text-faint">{label}</span>
      <button className="btn px-1 py-0" aria-label={`${label} earlier`} onClick={() => by(-1)}>
        <ChevronLeft size={15} aria-hidden />
      </button>
      <button className="btn px-1 py-0" aria-label={`${label} later`} onClick={() => by(1)}>
        <ChevronRight size={15} aria-hidden />
      </button>
    </div>
  );
}

/** Every sound there is, by its name and a word it is heard in; typing finds one. */
function PhonePicker({ is, pick }: { is: Phone; pick: (phone: Phone) => void }) {
  const asking = useSoundDesk((s) => s.asking);
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState('');
  useEffect(() => {
    if (asking) field.current?.focus();
  }, [asking]);
  const back = () => {
    useSoundDesk.setState({ asking: false });
    setTyped('');
    document.querySelector<HTMLElement>('[role="listbox"][aria-label="Sounds"]')?.focus();
  };
  const want = typed.trim().toUpperCase();
  const fits = PHONES.filter(
    (p) => want === '' || p.phone.startsWith(want) || p.word.toUpperCase().includes(want),
  );
  const best = fits.find((p) => p.phone === want) ?? fits[0];
  return (
    <div className="mt-2.5">
      <div className="flex items-center gap-2">
        <label className="text-[13px] text-faint" htmlFor="another-sound">
          Another sound
        </label>
        <input
          id="another-sound"
          ref={field}
          className="field w-32 py-0"
          placeholder="name or word"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          onKeyDown={(e) => {
            e.stopPropagation();
            if (e.key === 'Escape') back();
            if (e.key === 'Enter' && want !== '' && best) {
              pick(best.phone);
              back();
            }
          }}
        />
        {want !== '' && (
          <span className="text-[13px] text-faint">
            {best ? `Enter: ${best.phone}` : 'none is called so'}
          </span>
        )}
      </div>
      <Cells className="mt-1.5 grid grid-cols-8 gap-1" role="group" aria-label="Sounds to choose from">
        {PHONES.map((p) => (
          <button
            key={p.phone}
            className={`rounded-md border px-0.5 py-0.5 text-center leading-tight ${
              p.phone === is
                ? 'border-chosen bg-chosen-soft outline-1 outline-chosen'
                : fits.includes(p)
                  ? 'border-line bg-paper hover:border-faint'
                  : 'border-line bg-paper opacity-40'
            }`}
            aria-pressed={p.phone === is}
            title={`${p.phone} as in “${p.word}”`}
            onClick={() => p.phone !== is && pick(p.phone)}
          >
            <b className="block text-[12.5px]">{p.phone}</b>
            <span className="block truncate text-[11px] text-faint">{p.word}</span>
          </button>
        ))}
      </Cells>
    </div>
  );
}
