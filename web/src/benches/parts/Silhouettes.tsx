import { EyeOff, Lock } from 'lucide-react';
import { useState } from 'react';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';
import { Cells } from '../../ui/Cells';
import { NameInput } from '../../ui/NameInput';
import { PartMenu } from '../../stage/PartMenu';

/** The part whose tile is at a place of the screen. */
const layerAt = (x: number, y: number) =>
  document.elementFromPoint(x, y)?.closest('[data-layer]')?.getAttribute('data-layer') ?? null;

/**
 * What lies before what: every part as a small picture, the front first. Dragged to another place, or moved with Alt and
 * the arrow keys.
 */
export function Silhouettes() {
  const { view, artwork, edit } = useStudio();
  const chosen = useDesk((s) => s.part);
  const also = useDesk((s) => s.also);
  const hidden = useDesk((s) => s.hidden);
  const locked = useDesk((s) => s.locked);
  const [over, setOver] = useState<string | null>(null);
  const [naming, setNaming] = useState<string | null>(null);
  const { character } = view;
  const frontFirst = [...character.rig.order].reverse();

  /** Puts a part directly in front of the one at `index` of the list from the front. */
  const stack = (id: string, index: number) => {
    const rest = frontFirst.filter((p) => p !== id);
    const above = rest[index];
    void edit({ kind: 'stack', parts: [id], ...(above ? { above } : {}) });
  };

  return (
    <>
      <h2 className="mt-4 text-[15px] font-semibold">
        Layer order{' '}
        <span className="font-sans text-[12.5px] font-normal text-faint">
          front to back; drag, or Alt + arrows; double-click renames
        </span>
      </h2>
      <PartMenu partAt={layerAt}>
        <Cells
          as="ol"
          className="mt-1.5 grid grid-cols-[repeat(auto-fill,minmax(76px,1fr))] gap-1.5 pb-2"
          aria-label="Layer order"
        >
          {frontFirst.map((id, index) => {
            const p = character.rig.parts.find((x) => x.id === id)!;
            const d = p.drawings.find((x) => x.id === p.shown) ?? p.drawings[0];
            const picked = id === chosen || also.includes(id);
            return (
              <li
                key={id}
                data-layer={id}
                onDragOver={(e) => {
                  if (!e.dataTransfer.types.includes('application/x-leeward-part')) return;
                  e.preventDefault();
                  setOver(id);
                }}
                onDragLeave={() => setOver(null)}
                onDrop={(e) => {
                  const moved = e.dataTransfer.getData('application/x-leeward-part');
                  setOver(null);
                  if (!moved || moved === id) return;
                  e.preventDefault();
                  e.stopPropagation();
                  void edit({ kind: 'stack', parts: [moved], above: id });
                }}
                className={`relative ${over === id ? 'rounded-lg border-l-4 border-doing' : ''}`}
              >
                <button
                  draggable
                  onDragStart={(e) => {
                    e.dataTransfer.setData('application/x-leeward-part', id);
                    e.dataTransfer.effectAllowed = 'move';
                  }}
                  onClick={(e) => (e.shiftKey ? useDesk.getState().addTo(id) : useDesk.getState().select(id))}
                  onDoubleClick={() => setNaming(id)}
                  onKeyDown={(e) => {
                    if (e.key === 'F2') setNaming(id);
                    if (!e.altKey || !['ArrowLeft', 'ArrowRight'].includes(e.key)) return;
                    e.preventDefault();
                    e.stopPropagation();
                    stack(id, e.key === 'ArrowLeft' ? Math.max(0, index - 1) : index + 1);
                  }}
                  aria-pressed={picked}
                  title={p.name}
                  className={`relative w-full rounded-lg border p-1 ${
                    picked ? 'border-doing bg-doing-soft' : 'border-line bg-card hover:border-faint'
                  } ${hidden.includes(id) ? 'opacity-45' : ''}`}
                >
                  {d ? (
                    <DrawingThumb
                      shapes={artwork[d.art] ?? []}
                      label=""
                      className="mx-auto h-9 w-full rounded bg-drawn p-1"
                    />
                  ) : (
                    <span className="grid h-9 place-items-center rounded border border-dashed border-line text-[11px] text-faint">
                      group
                    </span>
                  )}
                  <span className="block truncate text-[11px] leading-4">
                    {naming === id ? '\u00a0' : p.name}
                  </span>
                  <span className="absolute top-1 right-1 flex text-doing">
                    {hidden.includes(id) && <EyeOff size={12} aria-label="hidden" />}
                    {locked.includes(id) && <Lock size={12} aria-label="locked" />}
                  </span>
                </button>
                {naming === id && (
                  <NameInput
                    label={`Name of ${p.name}`}
                    name={p.name}
                    rename={(name) => edit({ kind: 'rename-part', part: id, name })}
                    done={() => setNaming(null)}
                    className="absolute inset-x-0 bottom-0 z-10 px-1 py-0 text-[11px]"
                  />
                )}
              </li>
            );
          })}
        </Cells>
      </PartMenu>
    </>
  );
}
