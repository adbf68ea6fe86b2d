import type { Part } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useShown, useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';
import { useWheelSteps } from '../../ui/wheel';

/** One part and all it can show; ticked parts go into the kit that is kept next. */
export function WornPart({
  part,
  ticked,
  tick,
}: {
  part: Part;
  ticked: boolean;
  tick: (on: boolean) => void;
}) {
  const { artwork } = useStudio();
  const shown = useShown(part.id);
  const all = [...part.drawings.map((d) => d.id), 'nothing'];
  const pick = (id: string) => useDesk.getState().pick(part.id, id);
  const wheel = useWheelSteps((by) => {
    // without rules the stage answers a moment later, and steps may come faster
    const at = all.indexOf(useDesk.getState().picks[part.id] ?? shown);
    pick(all[(at + by + all.length) % all.length]!);
  });
  return (
    <li className="flex items-center gap-2 px-2.5 py-1.5">
      <label className="flex w-[8.2rem] shrink-0 items-center gap-2 text-[13px]">
        <input
          type="checkbox"
          className="accent-(--doing)"
          checked={ticked}
          aria-label={`${part.name} belongs to the kit`}
          onChange={(e) => tick(e.target.checked)}
        />
        <span className="min-w-0 truncate">{part.name}</span>
      </label>
      <div
        ref={wheel}
        role="radiogroup"
        aria-label={part.name}
        title="The wheel steps through them"
        className="flex min-w-0 flex-1 flex-wrap gap-1"
      >
        {all.map((id) => {
          const d = part.drawings.find((x) => x.id === id);
          return (
            <button
              key={id}
              role="radio"
              aria-checked={shown === id}
              aria-label={`${d?.name ?? 'nothing'}, ${part.name}`}
              title={d?.name ?? 'nothing'}
              className={`h-11 w-11 rounded-md border p-0.5 ${
                shown === id
                  ? 'border-doing bg-doing-soft ring-1 ring-doing'
                  : 'border-line bg-card hover:border-faint'
              }`}
              onClick={() => pick(id)}
            >
              {d ? (
                <DrawingThumb
                  shapes={artwork[d.art] ?? []}
                  label=""
                  className="h-full w-full rounded bg-drawn"
                />
              ) : (
                <span className="text-faint">∅</span>
              )}
            </button>
          );
        })}
      </div>
    </li>
  );
}
