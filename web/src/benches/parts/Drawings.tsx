import { ArrowLeft, ArrowRight, AlignVerticalSpaceAround, PenTool, Pin, Star } from 'lucide-react';
import { useState } from 'react';
import type { Part } from '../../api/client';
import { useDesk } from '../../state/desk';
import { NameInput } from '../../ui/NameInput';
import { useShown, useStudio } from '../../state/studio';
import { DrawingKeyField } from '../../ui/DrawingKeyField';
import { Runs } from '../hands/Runs';
import { DrawingThumb } from '../../ui/DrawingThumb';
import { EditableName } from '../../ui/EditableName';
import { useWheelSteps } from '../../ui/wheel';
import { Cells } from '../../ui/Cells';

/** From how many drawings on they are found by typing. */
const MANY = 5;

/** What a part can show: picked for this pose, pinned over every dial, or made the default. */
export function Drawings({ part }: { part: Part }) {
  const { view, artwork, edit } = useStudio();
  const { character } = view;
  const shown = useShown(part.id);
  const picks = useDesk((s) => s.picks);
  const pins = useDesk((s) => s.pins);
  const dials = useDesk((s) => s.dials);
  const [wanted, setWanted] = useState('');
  const [naming, setNaming] = useState<string | null>(null);
  const pin = pins[part.id];
  // only the server decides; this says no more than that some dial away from rest has bands for the part
  const held = character.controls.dials.find(
    (d) => d.bands.some((b) => b.part === part.id) && (dials[d.id] ?? d.rest) !== d.rest,
  );
  const all = [...part.drawings.map((d) => d.id), 'nothing'];
  const nameOf = (id: string) => part.drawings.find((d) => d.id === id)?.name ?? 'nothing';
  const choices = all.filter((id) => nameOf(id).toLowerCase().includes(wanted.trim().toLowerCase()));
  /** The next drawing of the set is picked, or the one before. */
  const stepBy = (by: number) => {
    // the stage answers a moment later, and steps may come faster
    const at = all.indexOf(useDesk.getState().picks[part.id] ?? shown ?? 'nothing');
    const next = all[(at + by + all.length) % all.length]!;
    useDesk.getState().pick(part.id, next);
  };
  const shownAt = part.drawings.findIndex((d) => d.id === shown);
  const stepper = useWheelSteps(stepBy);
  if (part.drawings.length === 0) return null;
  return (
    <>
      <div className="mt-3 flex items-center gap-2">
        <h2 className="text-[15px] font-semibold">Drawings</h2>
        <span
          ref={stepper}
          role="spinbutton"
          tabIndex={0}
          aria-label={`Drawing of ${part.name}`}
          aria-valuenow={Math.max(0, all.indexOf(shown ?? 'nothing')) + 1}
          aria-valuemin={1}
          aria-valuemax={all.length}
          aria-valuetext={nameOf(shown ?? 'nothing')}
          title="The wheel steps through them; so do the arrow keys up and down"
          className="min-w-0 flex-1 cursor-ns-resize truncate rounded-md border border-line bg-card px-2 py-0.5 text-[12.5px]"
          onKeyDown={(e) => {
            const by = { ArrowDown: 1, ArrowUp: -1 }[e.key];
            if (!by) return;
            e.preventDefault();
            e.stopPropagation();
            stepBy(by);
          }}
        >
          {nameOf(shown ?? 'nothing')}
        </span>
        {all.length > MANY && (
          <input
            type="search"
            className="field w-28 py-0.5 text-[12.5px]"
            placeholder="find …"
            aria-label={`Find a drawing of ${part.name}`}
            value={wanted}
            onChange={(e) => setWanted(e.target.value)}
          />
        )}
      </div>
      <p className="text-[12.5px] text-faint">
        {held
          ? `${held.name} decides at the moment. Pin a drawing to win over it.`
          : 'Click to pick for this pose; pin to win over every dial; the star is the default.'}
      </p>
      <Cells className="mt-1.5 grid grid-cols-[repeat(auto-fill,minmax(84px,1fr))] gap-1.5">
        {choices.map((id) => {
          const d = part.drawings.find((x) => x.id === id);
          const name = d?.name ?? 'nothing';
          const now = shown === id;
          return (
            <div
              key={id}
              data-copies={d && `drawing:${part.id}/${id}`}
              className={`group relative rounded-lg border ${
                pin === id || picks[part.id] === id ? 'border-doing bg-doing-soft' : 'border-line bg-card'
              } ${now ? 'ring-2 ring-tide' : ''}`}
            >
              <button
                className="block w-full p-1"
                aria-label={`Pick ${name}`}
                aria-pressed={picks[part.id] === id}
                onClick={() => useDesk.getState().pick(part.id, picks[part.id] === id ? null : id)}
                onDoubleClick={() => d && setNaming(id)}
                onKeyDown={(e) => e.key === 'F2' && d && setNaming(id)}
                title={d ? 'Double-click or F2 renames it' : undefined}
              >
                {d ? (
                  <DrawingThumb
                    shapes={artwork[d.art] ?? []}
                    label=""
                    className="mx-auto h-12 w-full rounded bg-drawn p-1"
                  />
                ) : (
                  <span className="grid h-11 place-items-center text-faint">∅</span>
                )}
                <span className="block truncate text-[11.5px]">{name}</span>
              </button>
              {d && naming === id && (
                <NameInput
                  label={`Name of the drawing ${name}`}
                  name={name}
                  rename={(to) => edit({ kind: 'name-drawing', part: part.id, drawing: id, name: to })}
                  done={() => setNaming(null)}
                  className="mx-auto mb-1 block w-[92%] px-1 py-0 text-[11.5px]"
                />
              )}
              <DrawingKeyField
                part={part.id}
                drawing={id}
                name={`${name} of ${part.name}`}
                className="mx-auto mb-1 block w-[92%] border-transparent bg-transparent text-faint"
              />
              <button
                className={`absolute top-0.5 left-0.5 rounded p-0.5 ${part.shown === id ? 'text-doing' : 'text-line hover:text-faint'}`}
                aria-label={part.shown === id ? `${name} is the default` : `Make ${name} the default`}
                title={part.shown === id ? 'The default' : 'Make it the default'}
                disabled={part.shown === id}
                onClick={() => void edit({ kind: 'show', part: part.id, drawing: id })}
              >
                <Star size={13} fill={part.shown === id ? 'currentColor' : 'none'} />
              </button>
              <button
                className={`absolute top-0.5 right-0.5 rounded p-0.5 ${pin === id ? 'text-doing' : 'text-line hover:text-faint'}`}
                aria-label={pin === id ? `Release the pin on ${name}` : `Pin ${name}`}
                aria-pressed={pin === id}
                title={pin === id ? 'Release the pin' : 'Pin it'}
                onClick={() => useDesk.getState().pin(part.id, pin === id ? null : id)}
              >
                <Pin size={13} fill={pin === id ? 'currentColor' : 'none'} />
              </button>
              {d && (
                <button
                  className="absolute top-5 right-0.5 rounded p-0.5 text-faint hover:text-doing focus:text-doing"
                  aria-label={`Edit the artwork of ${name}`}
                  title="Edit its artwork"
                  onClick={() => {
                    if (!now) useDesk.getState().pin(part.id, id);
                    useDesk.getState().shape(id);
                  }}
                >
                  <PenTool size={13} />
                </button>
              )}
            </div>
          );
        })}
      </Cells>
      {shownAt >= 0 && (
        <div className="mt-1.5 flex items-center gap-1.5 text-[12.5px]">
          <span className="text-faint">shown:</span>
          <span className="min-w-0 flex-1">
            <EditableName
              key={shown}
              label="Name of the drawing"
              name={part.drawings[shownAt]!.name}
              rename={(name) => edit({ kind: 'name-drawing', part: part.id, drawing: shown!, name })}
            />
          </span>
          {part.drawings.length > 1 &&
            ([-1, 1] as const).map((by) => (
              <button
                key={by}
                className="btn px-1.5"
                disabled={!part.drawings[shownAt + by]}
                aria-label={by < 0 ? 'Earlier in the set' : 'Later in the set'}
                title={by < 0 ? 'Earlier in the set' : 'Later in the set'}
                onClick={() =>
                  void edit({ kind: 'order-drawing', part: part.id, drawing: shown!, to: shownAt + by })
                }
              >
                {by < 0 ? <ArrowLeft size={13} aria-hidden /> : <ArrowRight size={13} aria-hidden />}
              </button>
            ))}
        </div>
      )}
      {part.drawings.length > 1 && <Stand part={part} />}
      {part.drawings.length > 1 && <Runs part={part} />}
    </>
  );
}

/** Views drawn at different sizes are brought between two model lines. */
function Stand({ part }: { part: Part }) {
  const { view, edit } = useStudio();
  const lines = [...view.character.sheet.model.lines].sort((a, b) => a.y - b.y);
  const [between, setBetween] = useState<[string, string] | null>(null);
  const [upper, lower] = between ?? [lines[0]?.name ?? '', lines[1]?.name ?? ''];
  if (lines.length < 2) return null;
  const pick = (label: string, value: string, choose: (name: string) => void) => (
    <select className="field py-0" aria-label={label} value={value} onChange={(e) => choose(e.target.value)}>
      {lines.map((l) => (
        <option key={l.name}>{l.name}</option>
      ))}
    </select>
  );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5 text-[12.5px]">
      <button
        className="btn"
        title="Scales every drawing of this part evenly, so that all views are of one size"
        onClick={() => void edit({ kind: 'stand-between', part: part.id, upper, lower })}
      >
        <AlignVerticalSpaceAround size={14} aria-hidden /> Stand all
      </button>
      between {pick('Upper model line', upper, (n) => setBetween([n, lower]))} and{' '}
      {pick('Lower model line', lower, (n) => setBetween([upper, n]))}
    </div>
  );
}
