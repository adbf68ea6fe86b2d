import { Play, Volume2, VolumeX } from 'lucide-react';
import { useState } from 'react';
import type { SaidView } from '../../api/client';
import { useStudio } from '../../state/studio';
import { asMessage } from '../../state/messages';
import { sayOnStage } from './aloud';

const PACES: [number, string][] = [
  [0.5, 'slowly'],
  [1, 'as people talk'],
  [1.5, 'quickly'],
];

/** A stretch of frames that show one mouth. */
interface Run {
  from: number;
  to: number;
  drawing: string;
  viseme: string;
  sounds: string[];
}

function runsOf(said: SaidView): Run[] {
  const runs: Run[] = [];
  said.drawings.forEach((drawing, f) => {
    const last = runs[runs.length - 1];
    const sound = said.sounds[f] ?? '';
    if (last && last.drawing === drawing) {
      last.to = f;
      if (sound && !last.sounds.includes(sound)) last.sounds.push(sound);
    } else {
      runs.push({
        from: f,
        to: f,
        drawing,
        viseme: said.classes[f] ?? 'REST',
        sounds: sound ? [sound] : [],
      });
    }
  });
  return runs;
}

/** Any words, said at once by the mouths on the stage; every mouth of them can be looked at. */
export function SayIt({ mood, jump }: { mood: string; jump: (drawing: string) => void }) {
  const studio = useStudio();
  const { view, tell } = studio;
  const [text, setText] = useState('Mind the ropes, please.');
  const [pace, setPace] = useState(1);
  const [aloud, setAloud] = useState(false);
  const [said, setSaid] = useState<{ of: number; said: SaidView; show: (frame: number) => void } | null>(
    null,
  );
  const [at, setAt] = useState<number | null>(null);
  const say = async () => {
    try {
      const answer = await sayOnStage(studio, text, pace, mood, aloud);
      setSaid({ of: view.revision, ...answer });
      setAt(null);
      if (answer.said.skipped.length > 0) tell({ message: answer.said.skipped.join(' '), bad: true });
    } catch (e) {
      tell(asMessage(e));
    }
  };
  const now = said?.of === view.revision ? said.said : null;
  const runs = now ? runsOf(now) : [];
  const frames = now?.drawings.length ?? 1;
  const show = (run: Run, i: number) => {
    setAt(i);
    said!.show(run.from);
    jump(run.drawing);
  };
  return (
    <section className="mt-2 rounded-xl border border-line bg-paper px-3 py-2" aria-label="Say it">
      <form
        className="flex items-center gap-1.5"
        onSubmit={(e) => {
          e.preventDefault();
          void say();
        }}
      >
        <input
          className="field min-w-0 flex-1"
          aria-label="Words to say"
          placeholder="any words, or sounds: /S AO R AH L/"
          value={text}
          maxLength={1200}
          onChange={(e) => setText(e.target.value)}
        />
        <select
          className="field py-0.5"
          aria-label="Pace"
          value={pace}
          onChange={(e) => setPace(Number(e.target.value))}
        >
          {PACES.map(([p, name]) => (
            <option key={p} value={p}>
              {name}
            </option>
          ))}
        </select>
        <button
          type="button"
          className="btn px-1.5"
          aria-pressed={aloud}
          aria-label="Aloud"
          title={aloud ? 'The voice booth speaks, and the mouths follow it' : 'Silent: typical durations'}
          onClick={() => setAloud(!aloud)}
        >
          {aloud ? <Volume2 size={14} aria-hidden /> : <VolumeX size={14} aria-hidden />}
        </button>
        <button className="btn-do" disabled={text.trim() === ''}>
          <Play size={14} aria-hidden /> Say it
        </button>
      </form>
      {runs.length > 0 && (
        <div className="mt-1.5 flex h-7 gap-px overflow-hidden rounded" role="group" aria-label="Mouths said">
          {runs.map((run, i) => (
            <button
              key={run.from}
              className={`min-w-0 overflow-hidden text-[10.5px] leading-7 ${i === at ? 'bg-doing text-on-doing' : 'bg-tide/70 hover:bg-tide'}`}
              style={{ flexGrow: (run.to - run.from + 1) / frames, flexBasis: 0 }}
              aria-pressed={i === at}
              aria-label={`frames ${run.from} to ${run.to}: ${run.drawing}${run.sounds.length ? `, ${run.sounds.join(' ')}` : ', a pause'}`}
              title={`${run.from}–${run.to}  ${run.drawing}  ${run.sounds.join(' ')}`}
              onClick={() => show(run, i)}
              onKeyDown={(e) => {
                const to = e.key === 'ArrowRight' ? i + 1 : e.key === 'ArrowLeft' ? i - 1 : -1;
                const next = runs[to];
                if (!next) return;
                e.preventDefault();
                (e.currentTarget.parentElement?.children[to] as HTMLElement).focus();
                show(next, to);
              }}
            >
              {run.sounds.join(' ')}
            </button>
          ))}
        </div>
      )}
      {now && now.guessed.length > 0 && (
        <p className="mt-1 text-[12px] text-faint">Guessed from their spelling: {now.guessed.join(', ')}.</p>
      )}
    </section>
  );
}
