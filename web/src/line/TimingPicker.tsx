import { useState } from 'react';
import { TIMINGS } from '../shot/tracks';
import { useStudio } from '../state/studio';
import type { Stretch } from './spans';

/** Another lead and hold of the mouths for a stretch of the line. */
export function TimingPicker({ from, to, good, done }: Stretch) {
  const { line, editLine } = useStudio();
  const spans = line?.shot.tracks.timings ?? [];
  const whole = line!.shot.rules;
  const now = spans.find((s) => s.from <= from && s.to > from) ?? whole;
  const [lead, setLead] = useState(now.lead);
  const [hold, setHold] = useState(now.minimumHold);
  const here = spans.some((s) => s.from <= to && s.to > from);
  const fits = lead >= -12 && lead <= 12 && hold >= 1 && hold <= 12;
  return (
    <form
      className="text-[13px]"
      onSubmit={(e) => {
        e.preventDefault();
        if (!good || !fits) return;
        done();
        void editLine({ kind: 'time-along', span: { from, to: to + 1, lead, minimumHold: hold } });
      }}
    >
      <p className="text-faint">
        The whole line leads by {whole.lead} and is held at least {whole.minimumHold} frames. On these frames
        instead:
      </p>
      <div className="mt-1.5 flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-1.5">
          lead by
          <input
            type="number"
            className="field w-16 px-1.5 py-0"
            min={-12}
            max={12}
            value={lead}
            onChange={(e) => setLead(Math.round(e.target.valueAsNumber || 0))}
            onKeyDown={(e) => e.key !== 'Escape' && e.stopPropagation()}
          />
        </label>
        <label className="flex items-center gap-1.5">
          held at least
          <input
            type="number"
            className="field w-16 px-1.5 py-0"
            min={1}
            max={12}
            value={hold}
            onChange={(e) => setHold(Math.round(e.target.valueAsNumber || 0))}
            onKeyDown={(e) => e.key !== 'Escape' && e.stopPropagation()}
          />
        </label>
      </div>
      {!fits && (
        <p className="mt-1.5 text-wrong">Mouths lead by -12 to 12 frames and are held for 1 to 12.</p>
      )}
      <div className="mt-2 flex gap-1.5">
        <button className="btn-do" disabled={!good || !fits}>
          Set it
        </button>
        {here && (
          <button
            type="button"
            className="btn"
            disabled={!good}
            onClick={() => {
              done();
              void editLine({ kind: 'clear-frames', tracks: [TIMINGS], from, to: to + 1 });
            }}
          >
            As the whole line
          </button>
        )}
      </div>
    </form>
  );
}
