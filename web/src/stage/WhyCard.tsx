import { useQuery } from '@tanstack/react-query';
import { Pin, X } from 'lucide-react';
import { useDesk } from '../state/desk';
import { useShown, useStudio } from '../state/studio';

/** Who speaks through a dial that can be gone to. */
const TO_DIAL = new Set(['DIAL', 'VIEW', 'CORNER', 'LIMIT']);

/** Why the chosen part looks as it does: who set each channel, who was overruled, and what can be done about it. */
export function WhyCard() {
  const { view, director } = useStudio();
  const desk = useDesk();
  const { part, dials, picks, pins, line, frame, playing } = desk;
  const why = useQuery({
    queryKey: ['why', view.id, view.revision, part, dials, picks, pins, line, playing ? 'playing' : frame],
    queryFn: () => director.why(part!),
    enabled: part !== null,
    placeholderData: (old) => old,
  });
  const reasons = (why.data ?? []).filter(
    (r) => r.channel === 'drawing' || r.channel === 'order' || r.heard.length > 1 || r.overruled.length > 0,
  );
  const still = (why.data?.length ?? 0) - reasons.length;
  const shown = useShown(part ?? '');
  return (
    <aside aria-label="Why" className="mb-4 rounded-xl border-2 border-doing bg-paper p-3.5 text-[13px]">
      {part === null || !why.data ? (
        <p>Click any part of the character to be told who decides what it shows.</p>
      ) : (
        <>
          <div className="flex items-start justify-between gap-2">
            <h2 className="text-base font-bold">
              Why is the {view.character.rig.parts.find((p) => p.id === part)?.name ?? part} like this?
            </h2>
            <button aria-label="Close" onClick={() => desk.ask(false)}>
              <X size={15} />
            </button>
          </div>
          {reasons.map((r) => (
            <section key={r.channel} className="mt-2.5">
              <h3 className="font-semibold">
                <span className="first-letter:uppercase inline-block">{r.words}</span>:{' '}
                <span className="font-normal">{r.value}</span>
              </h3>
              <ul className="mt-0.5 space-y-0.5">
                {r.heard.map((v) => (
                  <li key={v.message} className="flex gap-1.5">
                    <span aria-hidden className="text-doing">
                      ●
                    </span>
                    {TO_DIAL.has(v.kind) ? (
                      <button
                        className="text-left underline decoration-dotted underline-offset-2"
                        title="Go to this dial"
                        onClick={() => {
                          desk.go('turn');
                          desk.openDial(v.by);
                        }}
                      >
                        {v.message}
                      </button>
                    ) : (
                      v.message
                    )}
                  </li>
                ))}
                {r.overruled.map((v) => (
                  <li key={v.message} className="flex gap-1.5 text-faint line-through decoration-faint/60">
                    <span aria-hidden>○</span>
                    {v.message}
                  </li>
                ))}
              </ul>
            </section>
          ))}
          {still > 0 && (
            <p className="mt-2 text-faint">Nothing else touches it: {still} channels stand at rest.</p>
          )}
          <div className="mt-3 flex flex-wrap gap-1.5">
            {pins[part] !== undefined ? (
              <button className="btn" onClick={() => desk.pin(part, null)}>
                Release the pin
              </button>
            ) : (
              shown !== 'nothing' && (
                <button className="btn" onClick={() => desk.pin(part, shown)}>
                  <Pin size={13} aria-hidden /> Pin what it shows
                </button>
              )
            )}
            {picks[part] !== undefined && (
              <button className="btn" onClick={() => desk.pick(part, null)}>
                Drop the pick
              </button>
            )}
            <button className="btn" onClick={() => desk.go('parts')}>
              Its drawings
            </button>
          </div>
        </>
      )}
    </aside>
  );
}
