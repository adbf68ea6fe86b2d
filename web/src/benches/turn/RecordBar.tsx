import { CircleDot, PenTool, Square } from 'lucide-react';
import type { Dial } from '../../api/client';
import { shown } from '../../shelf/values';
import { useDesk } from '../../state/desk';
import { recorded, valueOf } from '../../state/recording';
import { useShown, useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';

/** Record: what is posed on the stage from now on belongs to the stop where the dial stands. */
export function RecordBar({ dial }: { dial: Dial }) {
  const { dials } = useStudio().view.character.controls;
  const recording = useDesk((s) => s.recording);
  const together = useDesk((s) => s.together);
  const at = useDesk((s) => valueOf(s, dial));
  const held = useDesk((s) => s.dials);
  const away = dials.filter((d) => d.id !== dial.id && (held[d.id] ?? d.rest) !== d.rest);
  const resting = at === dial.rest;
  const with_ = dials.find((d) => d.id === together);
  if (!recording)
    return (
      <div className="mt-2 flex items-center gap-2">
        <button className="btn-do" onClick={() => useDesk.getState().record(true)}>
          <CircleDot size={15} aria-hidden /> Record at {shown(dial, at)}
        </button>
        <span className="text-[12.5px] text-faint">
          {resting ? 'Put the dial where the change belongs first.' : 'Then pose the face on the stage.'}
        </span>
      </div>
    );
  return (
    <section
      className="mt-2 rounded-xl border-2 border-doing bg-doing-soft px-3 py-2"
      aria-label="Recording"
      data-testid="recording"
    >
      <div className="flex items-center gap-2">
        <CircleDot size={16} className="text-doing" aria-hidden />
        <p className="flex-1 text-[13px]">
          {resting ? (
            <>
              <b>{dial.name}</b> rests; move it to the stop that is to be recorded.
            </>
          ) : (
            <>
              Writing into <b>{dial.name}</b> at <b>{shown(dial, at)}</b>
              {with_ && (
                <>
                  {' '}
                  with <b>{with_.name}</b> at <b>{shown(with_, valueOf({ dials: held }, with_))}</b>
                </>
              )}
              : drag parts, step them with the arrow keys, pick drawings.
            </>
          )}
        </p>
        <button className="btn" onClick={() => useDesk.getState().record(false)}>
          <Square size={13} aria-hidden /> Stop
        </button>
      </div>
      {away.length > 0 && (
        <div className="mt-1.5 flex flex-wrap items-center gap-1 text-[12.5px]">
          <span className="text-faint">as a correction only together with</span>
          {away.map((d) => (
            <button
              key={d.id}
              className="btn px-2 py-0.5 text-[12px]"
              aria-pressed={together === d.id}
              onClick={() => useDesk.getState().record(true, together === d.id ? null : d.id)}
            >
              {d.name}
            </button>
          ))}
        </div>
      )}
      {!resting && <PartAtStop dial={dial} at={at} />}
    </section>
  );
}

/** The choice that no part is called by: where the dial says nothing of it. */
const NOWHERE = '-';

/** What else of the chosen part can be recorded: its drawing, where it lies, and the points of its outline. */
function PartAtStop({ dial, at }: { dial: Dial; at: number }) {
  const { view, artwork, edit } = useStudio();
  const { character } = view;
  const id = useDesk((s) => s.part);
  const shaping = useDesk((s) => s.shaping);
  const alike = useDesk((s) => s.alike);
  const part = character.rig.parts.find((p) => p.id === id);
  const shownNow = useShown(part?.id ?? '');
  // the stage is for the pointer; who works by keyboard chooses here
  const chooser = (
    <select
      className="field min-w-0 py-0.5 text-[12.5px]"
      aria-label="Part to record"
      value={part?.id ?? ''}
      onChange={(e) => useDesk.getState().select(e.target.value || null)}
    >
      <option value="">a part …</option>
      {character.rig.parts.map((p) => (
        <option key={p.id} value={p.id}>
          {p.name}
        </option>
      ))}
    </select>
  );
  if (!part)
    return (
      <p className="mt-1 flex items-center gap-2 text-[12.5px] text-faint">
        Click a part on the stage, or choose {chooser}
      </p>
    );
  const lies = dial.layers
    .find((l) => l.part === part.id)
    ?.bands.find((b) => at >= b.from && (at < b.to || at === dial.to));
  const choices = part.drawings.length === 0 ? [] : [...part.drawings.map((d) => d.id), 'nothing'];
  return (
    <div className="mt-1.5">
      <div className="flex flex-wrap items-center gap-1.5 text-[12.5px]">
        {chooser}
        {shownNow !== 'nothing' && part.drawings.some((d) => d.id === shownNow) && (
          <button
            className="btn px-2 py-0.5 text-[12px]"
            aria-pressed={shaping !== null}
            onClick={() => useDesk.getState().shape(shaping ? null : shownNow)}
          >
            <PenTool size={12} aria-hidden /> Pull its points
          </button>
        )}
        <select
          className="field min-w-0 py-0.5 text-[12.5px]"
          aria-label={`Where ${part.name} lies at ${shown(dial, at)}`}
          title="Which part it lies directly over from about here on"
          value={lies?.drawing ?? NOWHERE}
          onChange={(e) =>
            void edit(
              e.target.value === NOWHERE
                ? { kind: 'forget', dial: dial.id, at, part: part.id, aspect: 'ORDER' }
                : recorded(
                    {
                      kind: 'stack',
                      parts: [part.id],
                      ...(e.target.value ? { above: e.target.value } : {}),
                    },
                    character.controls.dials,
                  ),
            )
          }
        >
          <option value={NOWHERE}>Layer: as drawn</option>
          {[...character.rig.order]
            .reverse()
            .filter((p) => p !== part.id)
            .map((p) => (
              <option key={p} value={p}>
                over {character.rig.parts.find((x) => x.id === p)?.name}
              </option>
            ))}
          <option value="">behind everything</option>
        </select>
        {shaping && (
          <label className="flex items-center gap-1">
            <input
              type="checkbox"
              checked={alike}
              onChange={(e) => useDesk.setState({ alike: e.target.checked })}
            />
            both sides alike
          </label>
        )}
      </div>
      {choices.length > 1 && (
        <div className="mt-1 flex flex-wrap gap-1" role="group" aria-label={`Drawing of ${part.name}`}>
          {choices.map((c) => {
            const d = part.drawings.find((x) => x.id === c);
            return (
              <button
                key={c}
                title={d?.name ?? 'nothing'}
                aria-label={`Show ${d?.name ?? 'nothing'} at ${shown(dial, at)}`}
                aria-pressed={shownNow === c}
                className={`rounded-md border bg-card ${shownNow === c ? 'border-doing ring-2 ring-doing' : 'border-line'}`}
                onClick={() =>
                  void edit(recorded({ kind: 'show', part: part.id, drawing: c }, character.controls.dials))
                }
              >
                {d ? (
                  <DrawingThumb shapes={artwork[d.art] ?? []} label="" className="h-9 w-11 p-0.5" />
                ) : (
                  <span className="grid h-9 w-11 place-items-center text-faint">∅</span>
                )}
              </button>
            );
          })}
        </div>
      )}
    </div>
  );
}
