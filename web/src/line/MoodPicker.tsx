import type { Mood } from '../api/client';
import { MOODS } from '../shot/tracks';
import { useStudio } from '../state/studio';
import type { Stretch } from './spans';
import { DrawingThumb } from '../ui/DrawingThumb';

/** Sounds whose mouths tell one row from another. */
const TELLING = ['REST', 'AH', 'EE', 'OO', 'FV'] as const;

/** Another row of mouths for a stretch of the line. Each row shows what it is by a few of its mouths. */
export function MoodPicker({ from, to, good, done }: Stretch) {
  const { line, view, artwork, editLine } = useStudio();
  const { moods, drawn, part } = view.character.voice.mouths;
  const mouth = view.character.rig.parts.find((p) => p.id === part);
  const spans = line?.shot.tracks.moods ?? [];
  const here = spans.some((s) => s.from <= to && s.to > from);
  const whole = line?.shot.mood ?? '';
  const now = spans.find((s) => s.from <= from && s.to > to)?.mood ?? (here ? null : whole);
  const shapes = (row: Mood | undefined, viseme: (typeof TELLING)[number]) => {
    const id = row?.drawn[viseme] ?? drawn[viseme];
    const d = mouth?.drawings.find((m) => m.id === id);
    return d ? (artwork[d.art] ?? []) : [];
  };
  const say = async (mood: string) => {
    done();
    await editLine({ kind: 'feel-along', span: { from, to: to + 1, mood } });
  };
  if (moods.length === 0)
    return (
      <p className="text-[13px] text-faint">
        The character has one row of mouths. The Mouths bench makes more: happy, sad, or what you need.
      </p>
    );
  return (
    <>
      <div className="grid gap-1" role="group" aria-label="Moods">
        {[undefined, ...moods].map((m) => (
          <button
            key={m?.id ?? ''}
            className={`flex items-center gap-2 rounded-md border p-1 text-left text-[13px] ${
              now === (m?.id ?? '') ? 'border-doing bg-doing-soft' : 'border-line hover:border-faint'
            }`}
            aria-pressed={now === (m?.id ?? '')}
            disabled={!good}
            onClick={() => void say(m?.id ?? '')}
          >
            <span className="w-20 truncate">{m?.name ?? 'neutral'}</span>
            {TELLING.map((v) => (
              <DrawingThumb key={v} shapes={shapes(m, v)} label="" className="h-7 w-9 rounded bg-stage" />
            ))}
          </button>
        ))}
      </div>
      {here && (
        <button
          className="btn mt-2"
          disabled={!good}
          onClick={() => {
            done();
            void editLine({ kind: 'clear-frames', tracks: [MOODS], from, to: to + 1 });
          }}
        >
          As the whole line is said
        </button>
      )}
    </>
  );
}
