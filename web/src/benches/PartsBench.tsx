import { Pin, Star } from 'lucide-react';
import type { Character, Part } from '../api/client';
import { useDesk } from '../state/desk';
import { useShown, useStudio } from '../state/studio';
import { DrawingThumb } from '../ui/DrawingThumb';
import { EditableName } from '../ui/EditableName';

const SIDES = {
  LEFT: 'the character’s left – right on the screen',
  RIGHT: 'the character’s right – left on the screen',
  NONE: 'neither side',
};

/** Every part from front to back, and everything about the chosen one. */
export function PartsBench() {
  const { view, artwork } = useStudio();
  const chosen = useDesk((s) => s.part);
  const { character } = view;
  const part = character.parts.find((p) => p.id === chosen);
  return (
    <>
      <header className="flex items-baseline gap-3">
        <h1 className="text-2xl font-bold">Parts</h1>
        <p className="text-faint">front to back; click one here or on the stage</p>
      </header>
      {part ? (
        <PartCard key={part.id} part={part} character={character} />
      ) : (
        <p className="mt-3 rounded-lg border border-dashed border-line p-4 text-faint">
          Click a part on the face to see what it follows, what masks it and which drawings it can show. Arrow
          keys nudge it.
        </p>
      )}
      <ol
        className="mt-4 grid grid-cols-[repeat(auto-fill,minmax(92px,1fr))] gap-1.5 pb-2"
        aria-label="Stacking order"
      >
        {[...character.order].reverse().map((id) => {
          const p = character.parts.find((x) => x.id === id)!;
          const d = p.drawings.find((x) => x.id === p.shown) ?? p.drawings[0];
          return (
            <li key={id}>
              <button
                onClick={() => useDesk.getState().select(id)}
                aria-pressed={id === chosen}
                className={`w-full rounded-lg border p-1 ${
                  id === chosen ? 'border-doing bg-doing-soft' : 'border-line bg-card hover:border-faint'
                }`}
              >
                {d ? (
                  <DrawingThumb
                    shapes={artwork[d.art as unknown as string] ?? []}
                    label=""
                    className="mx-auto h-11 w-full rounded bg-drawn p-1"
                  />
                ) : (
                  <span className="grid h-11 place-items-center rounded border border-dashed border-line text-[11px] text-faint">
                    holds others
                  </span>
                )}
                <span className="block truncate text-[11.5px]">{p.name}</span>
              </button>
            </li>
          );
        })}
      </ol>
    </>
  );
}

function names(character: Character, ids: string[]): string {
  return ids.map((id) => character.parts.find((p) => p.id === id)?.name ?? id).join(', ');
}

function PartCard({ part, character }: { part: Part; character: Character }) {
  const { artwork, edit } = useStudio();
  const shown = useShown(part.id);
  const picks = useDesk((s) => s.picks);
  const pins = useDesk((s) => s.pins);
  const dials = useDesk((s) => s.dials);
  const windows = character.windows.filter((w) => w.masked.includes(part.id)).map((w) => w.by);
  const masks = character.windows.find((w) => w.by === part.id)?.masked ?? [];
  const followers = character.parts.filter((p) => p.parent === part.id).map((p) => p.id);
  const pin = pins[part.id];
  // only the server decides; this says no more than that some dial away from rest has bands for the part
  const held = character.dials.find(
    (d) => d.bands.some((b) => b.part === part.id) && (dials[d.id] ?? d.rest) !== d.rest,
  );
  const choices = [...part.drawings.map((d) => d.id), 'nothing'];
  return (
    <section className="mt-3 rounded-xl border border-line bg-paper p-4">
      <EditableName
        label="Name of the part"
        name={part.name}
        rename={(name) => edit({ kind: 'rename-part', part: part.id, name })}
        className="text-lg"
      />
      <dl className="mt-1.5 grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 text-[13px]">
        <dt className="text-faint">side</dt>
        <dd>{SIDES[part.side]}</dd>
        <dt className="text-faint">follows</dt>
        <dd>{part.parent ? names(character, [part.parent]) : 'nothing'}</dd>
        {followers.length > 0 && (
          <>
            <dt className="text-faint">followed by</dt>
            <dd>{names(character, followers)}</dd>
          </>
        )}
        {windows.length > 0 && (
          <>
            <dt className="text-faint">seen through</dt>
            <dd>{names(character, windows)}</dd>
          </>
        )}
        {masks.length > 0 && (
          <>
            <dt className="text-faint">window for</dt>
            <dd>{names(character, masks)}</dd>
          </>
        )}
        <dt className="text-faint">pivot</dt>
        <dd>
          {part.pivot.map((v) => Math.round(v * 10) / 10).join(', ')}
          {(part.rest.x !== 0 || part.rest.y !== 0) &&
            ` · moved ${Math.round(part.rest.x * 10) / 10}, ${Math.round(part.rest.y * 10) / 10}`}
        </dd>
      </dl>
      {part.drawings.length > 0 && (
        <>
          <h2 className="mt-3 text-[15px] font-semibold">Drawings</h2>
          <p className="text-[12.5px] text-faint">
            {held
              ? `${held.name} decides at the moment. Pin a drawing to win over it.`
              : 'Click to pick for this pose; pin to win over every dial; the star is the default.'}
          </p>
          <div className="mt-1.5 grid grid-cols-[repeat(auto-fill,minmax(84px,1fr))] gap-1.5">
            {choices.map((id) => {
              const d = part.drawings.find((x) => x.id === id);
              const name = d?.name ?? 'nothing';
              const now = shown === id;
              return (
                <div
                  key={id}
                  className={`group relative rounded-lg border ${
                    pin === id || picks[part.id] === id ? 'border-doing bg-doing-soft' : 'border-line bg-card'
                  } ${now ? 'ring-2 ring-tide' : ''}`}
                >
                  <button
                    className="block w-full p-1"
                    aria-label={`Pick ${name}`}
                    aria-pressed={picks[part.id] === id}
                    onClick={() => useDesk.getState().pick(part.id, picks[part.id] === id ? null : id)}
                  >
                    {d ? (
                      <DrawingThumb
                        shapes={artwork[d.art as unknown as string] ?? []}
                        label=""
                        className="mx-auto h-12 w-full rounded bg-drawn p-1"
                      />
                    ) : (
                      <span className="grid h-11 place-items-center text-faint">∅</span>
                    )}
                    <span className="block truncate text-[11.5px]">{name}</span>
                  </button>
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
                </div>
              );
            })}
          </div>
        </>
      )}
    </section>
  );
}
