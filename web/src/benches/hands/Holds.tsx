import { X } from 'lucide-react';
import type { Drawing, Part } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';

/** What is in a hand: things put into it and taken out, and which of their drawings it holds. */
export function Holds({ part }: { part: Part }) {
  const { view, artwork, edit } = useStudio();
  const { character } = view;
  const picks = useDesk((s) => s.picks);
  const held = character.rig.parts.filter((p) => p.parent === part.id && p.attachment === 'GRIP');
  const above = new Set<string>();
  for (let p: Part | undefined = part; p; p = character.rig.parts.find((x) => x.id === p!.parent))
    above.add(p.id);
  const offered = character.rig.parts.filter(
    (p) => p.drawings.length > 0 && p.role === 'OTHER' && !above.has(p.id) && p.attachment !== 'GRIP',
  );
  // drawings that close round a thing, part before it and part behind, hold it best
  const wraps = (d: Drawing) => {
    const shapes = artwork[d.art] ?? [];
    const fingers = shapes.filter((s) => s.role === 'FINGERS').length;
    return fingers > 0 && fingers < shapes.length;
  };
  const grips = part.drawings.filter((d) => d.grip).sort((a, b) => Number(wraps(b)) - Number(wraps(a)));
  return (
    <section className="mt-3" aria-label="Holds">
      <div className="flex items-baseline gap-2">
        <h2 className="text-[15px] font-semibold">Holds</h2>
        <span className="min-w-0 flex-1 truncate text-[12.5px] text-faint">
          {grips.length > 0
            ? `while it shows ${grips.map((g) => g.name).join(', ')}`
            : 'no drawing has a grip yet'}
        </span>
        {offered.length > 0 && (
          <select
            className="field py-0.5 text-[12.5px]"
            aria-label="Put into the hand"
            value=""
            onChange={(e) =>
              e.target.value && void edit({ kind: 'hold', part: e.target.value, hand: part.id })
            }
          >
            <option value="">put into it …</option>
            {offered.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        )}
      </div>
      {held.length === 0 && offered.length === 0 && (
        <p className="text-[12.5px] text-faint">
          A bell, a cup, a megaphone: drop it in as a layer of its own, and it can be put into this hand.
        </p>
      )}
      <ul className="mt-1 space-y-1.5">
        {held.map((p) => (
          <li
            key={p.id}
            className="flex items-center gap-2 rounded-xl border border-line bg-paper px-2.5 py-1.5 text-[13px]"
          >
            <b className="min-w-0 flex-1 truncate font-display">{p.name}</b>
            <div className="flex gap-1" role="group" aria-label={`What ${p.name} shows`}>
              <button
                className="btn px-2"
                aria-pressed={(picks[p.id] ?? p.shown) === 'nothing'}
                onClick={() => useDesk.getState().pick(p.id, 'nothing')}
              >
                nothing
              </button>
              {p.drawings.map((d) => (
                <button
                  key={d.id}
                  className={`rounded-md border bg-drawn p-0.5 ${
                    (picks[p.id] ?? p.shown) === d.id ? 'border-doing ring-2 ring-doing' : 'border-line'
                  }`}
                  aria-pressed={(picks[p.id] ?? p.shown) === d.id}
                  aria-label={`Hold ${d.name}`}
                  title={d.name}
                  onClick={() => {
                    const desk = useDesk.getState();
                    desk.pick(p.id, d.id);
                    // a hand that cannot hold it now shows the first drawing that can
                    const shows = desk.picks[part.id] ?? part.shown;
                    if (grips[0] && !grips.some((g) => g.id === shows))
                      useDesk.getState().pick(part.id, grips[0].id);
                  }}
                >
                  <DrawingThumb shapes={artwork[d.art] ?? []} label="" className="h-9 w-9" />
                </button>
              ))}
            </div>
            <button
              className="rounded p-1 text-faint hover:text-wrong"
              aria-label={`Let go of ${p.name}`}
              title="Let go; its drawings stay"
              onClick={() => void edit({ kind: 'hold', part: p.id })}
            >
              <X size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
