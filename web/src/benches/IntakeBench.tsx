import { FilePlus2, TriangleAlert, X } from 'lucide-react';
import { useDrop } from '../app/drop';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { DrawingThumb } from '../ui/DrawingThumb';
import { filling, GROUPS, missing } from './slots';

/** What the file held: which piece became what, what was not recognised, what is missing and what that costs. */
export function IntakeBench() {
  const { view, artwork } = useStudio();
  const { chooseArt, problem, dismiss } = useDrop();
  const part = useDesk((s) => s.part);
  const { character } = view;
  const others = character.parts.filter((p) => p.role === 'OTHER');
  const gaps = GROUPS.flatMap((g) => g.slots).flatMap((s) => {
    const cost = missing(character, s);
    return cost ? [`${s.name}: ${cost}`] : [];
  });
  return (
    <>
      <header className="flex items-baseline gap-3">
        <h1 className="text-2xl font-bold">Intake</h1>
        <p className="text-faint">
          {character.parts.length} parts, {character.parts.reduce((n, p) => n + p.drawings.length, 0)}{' '}
          drawings, {character.palette.length} colours
        </p>
        <button className="btn ml-auto" onClick={chooseArt}>
          <FilePlus2 size={14} aria-hidden /> Read a layered SVG …
        </button>
      </header>
      {problem && (
        <div
          role="alert"
          className="mt-3 flex gap-3 rounded-lg border border-wrong bg-wrong-soft p-3 text-wrong"
        >
          <TriangleAlert className="mt-0.5 shrink-0" size={18} aria-hidden />
          <div>
            <b>{problem.file} was not read.</b> {problem.says}
            <div className="mt-0.5 text-[12.5px]">
              {problem.place && `Where: ${problem.place}. `}What was here before is unchanged.
            </div>
          </div>
          <button className="ml-auto self-start" aria-label="Close" onClick={dismiss}>
            <X size={16} />
          </button>
        </div>
      )}
      {GROUPS.map((group) => (
        <section key={group.name} className="mt-4">
          <h2 className="text-[15px] font-semibold">{group.name}</h2>
          <div className="mt-1.5 grid grid-cols-[repeat(auto-fill,minmax(76px,1fr))] gap-1.5">
            {group.slots.map((s) => {
              const parts = filling(character, s);
              const cost = missing(character, s);
              return (
                <button
                  key={s.role}
                  disabled={parts.length === 0}
                  onClick={() => useDesk.getState().select(parts[0]!.id)}
                  title={cost ?? (parts.map((p) => p.name).join(', ') || 'not in this art; not needed')}
                  className={`rounded-lg border p-1 text-center ${
                    parts.some((p) => p.id === part)
                      ? 'border-doing bg-doing-soft'
                      : parts.length
                        ? 'border-line bg-card hover:border-faint'
                        : cost
                          ? 'border-dashed border-wrong'
                          : 'border-dashed border-line opacity-70'
                  }`}
                >
                  <span className="flex h-10 items-center justify-center gap-1 rounded bg-drawn p-0.5">
                    {parts.slice(0, 2).map((p) => (
                      <DrawingThumb
                        key={p.id}
                        shapes={
                          artwork[
                            (p.drawings.find((d) => d.id === p.shown) ?? p.drawings[0])!
                              .art as unknown as string
                          ] ?? []
                        }
                        label={p.name}
                        className="h-9 w-1/2"
                      />
                    ))}
                    {parts.length === 0 && <span className={cost ? 'text-wrong' : 'text-faint'}>–</span>}
                  </span>
                  <span className="block truncate text-[11.5px] leading-4">
                    {s.name}
                    {parts.some((p) => p.drawings.length > 1) && (
                      <b> ×{Math.max(...parts.map((p) => p.drawings.length))}</b>
                    )}
                  </span>
                </button>
              );
            })}
          </div>
        </section>
      ))}
      {gaps.length > 0 && (
        <section className="mt-4">
          <h2 className="text-[15px] font-semibold">Missing, and what it costs</h2>
          <ul className="mt-1 list-disc pl-5">
            {gaps.map((g) => (
              <li key={g}>{g}</li>
            ))}
          </ul>
        </section>
      )}
      <section className="mt-4">
        <h2 className="text-[15px] font-semibold">Not recognised</h2>
        {others.length === 0 ? (
          <p className="text-faint">Nothing: every layer has its place.</p>
        ) : (
          <ul className="mt-1 flex flex-wrap gap-1.5">
            {others.map((p) => (
              <li key={p.id}>
                <button className="btn" onClick={() => useDesk.getState().select(p.id)}>
                  {p.drawings[0] && (
                    <DrawingThumb
                      shapes={artwork[p.drawings[0].art as unknown as string] ?? []}
                      label=""
                      className="h-6 w-6"
                    />
                  )}
                  {p.name}
                </button>
              </li>
            ))}
          </ul>
        )}
        {character.notes.length > 0 && (
          <ul className="mt-2 list-disc pl-5 text-faint">
            {character.notes.map((n, i) => (
              <li key={i}>{n.says}</li>
            ))}
          </ul>
        )}
      </section>
      <section className="mt-4 pb-2">
        <h2 className="text-[15px] font-semibold">Palette</h2>
        <ul className="mt-1.5 flex flex-wrap gap-1">
          {character.palette.map((s) => (
            <li
              key={s.colour}
              className="h-7 w-7 rounded-md border border-line"
              style={{ background: s.colour }}
              title={`${s.name} ${s.colour}`}
              aria-label={`${s.name} ${s.colour}`}
            />
          ))}
        </ul>
      </section>
    </>
  );
}
