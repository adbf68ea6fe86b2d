import { ArrowDown, ArrowUp, Check, Copy, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Part, Shape } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { DrawingThumb } from '../../ui/DrawingThumb';
import { NumberField } from '../../ui/NumberField';

const colourOf = (s: Shape) => (s.fill.kind === 'flat' ? s.fill.colour : '');
const lineOf = (s: Shape) =>
  s.stroke.paint.kind === 'flat' && s.stroke.width > 0 ? s.stroke.paint.colour : '';

/** The shapes of the drawing whose artwork is being changed: front first, with order and colours of the palette. */
export function ShapeList({ part }: { part: Part }) {
  const { view, artwork, edit } = useStudio();
  const drawingId = useDesk((s) => s.shaping);
  const chosen = useDesk((s) => s.shapeAt);
  const alike = useDesk((s) => s.alike);
  const through = useDesk((s) => s.through);
  const [name, setName] = useState('');
  const drawing = part.drawings.find((d) => d.id === drawingId);
  if (!drawing) return null;
  const shapes = artwork[drawing.art] ?? [];
  const s = shapes[chosen];
  const at = { part: part.id, drawing: drawing.id, shape: chosen };
  const paint = (change: { fill?: string; line?: string; width?: number }) =>
    s &&
    void edit({
      kind: 'paint-shape',
      ...at,
      fill: colourOf(s),
      line: lineOf(s),
      width: s.stroke.width || (change.line ? 3 : 0),
      ...change,
    });
  const order = (to: number) =>
    void edit({ kind: 'order-shape', ...at, to }).then((ok) => ok && useDesk.setState({ shapeAt: to }));
  const colours = (label: string, now: string, choose: (c: string) => void) => (
    <div className="flex flex-wrap items-center gap-1" role="group" aria-label={label}>
      <span className="w-8 shrink-0 text-[12px] text-faint">{label}</span>
      {['', ...view.character.sheet.palette.map((p) => p.colour)].map((c) => (
        <button
          key={c}
          className={`h-5 w-5 shrink-0 rounded border text-[11px] leading-none ${now === c ? 'border-doing ring-2 ring-doing' : 'border-line'}`}
          style={{ background: c || 'transparent' }}
          aria-label={`${label} ${view.character.sheet.palette.find((p) => p.colour === c)?.name ?? 'none'}`}
          aria-pressed={now === c}
          onClick={() => choose(c)}
        >
          {c === '' ? '∅' : ''}
        </button>
      ))}
    </div>
  );
  return (
    <section className="mt-3 rounded-xl border-2 border-doing bg-paper p-3" aria-label="Artwork">
      <div className="flex items-center gap-2">
        <h2 className="min-w-0 flex-1 truncate text-lg font-semibold">Artwork of {drawing.name}</h2>
        <button className="btn-do" onClick={() => useDesk.getState().shape(null)}>
          <Check size={14} aria-hidden /> Done
        </button>
      </div>
      <p className="text-[12.5px] text-faint">
        Drag points and handles on the stage; Page Down and Page Up go from point to point, arrows move it.
        Double-click an outline for one more point; Delete removes one; S smooth, C corner. No dial and no key
        ever writes here.
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-[12.5px]">
        <label className="flex items-center gap-1" title="What lies opposite goes along as in a mirror">
          <input
            type="checkbox"
            className="accent-(--doing)"
            checked={alike}
            onChange={(e) => useDesk.setState({ alike: e.target.checked })}
          />{' '}
          both sides alike
        </label>
        {part.drawings.length > 1 && (
          <label className="flex min-w-0 items-center gap-1.5">
            through it
            <select
              className="field min-w-0 py-0"
              value={through ?? ''}
              onChange={(e) => useDesk.setState({ through: e.target.value || null })}
            >
              <option value="">nothing</option>
              {part.drawings
                .filter((d) => d.id !== drawing.id)
                .map((d) => (
                  <option key={d.id} value={d.id}>
                    {d.name}
                  </option>
                ))}
            </select>
          </label>
        )}
        {part.role === 'MOUTH' && (
          <span className="text-faint">Upper teeth are locked on the stage; choose them in the list.</span>
        )}
      </div>
      <ol className="mt-2 space-y-1" aria-label="Shapes, front first">
        {shapes
          .map((shape, i) => ({ shape, i }))
          .reverse()
          .map(({ shape, i }) => (
            <li key={i} className="flex items-center gap-1.5">
              <button
                className={`flex min-w-0 flex-1 items-center gap-2 rounded-md border px-1.5 py-0.5 text-left ${i === chosen ? 'border-doing bg-doing-soft' : 'border-line bg-card'}`}
                aria-pressed={i === chosen}
                onClick={() => useDesk.setState({ shapeAt: i })}
              >
                <DrawingThumb shapes={[shape]} label="" className="h-6 w-9 shrink-0 rounded bg-drawn p-0.5" />
                <span className="truncate text-[12.5px]">{shape.name || `shape ${i + 1}`}</span>
              </button>
              {i === chosen && (
                <>
                  <button
                    className="btn px-1"
                    aria-label="Bring forward"
                    disabled={i === shapes.length - 1}
                    onClick={() => order(i + 1)}
                  >
                    <ArrowUp size={14} />
                  </button>
                  <button
                    className="btn px-1"
                    aria-label="Send backward"
                    disabled={i === 0}
                    onClick={() => order(i - 1)}
                  >
                    <ArrowDown size={14} />
                  </button>
                </>
              )}
            </li>
          ))}
      </ol>
      {s && s.fill.kind !== 'picture' && (
        <div className="mt-2 space-y-1.5 pb-1">
          {colours('fill', colourOf(s), (fill) => paint({ fill }))}
          {colours('line', lineOf(s), (line) => paint({ line }))}
          <div className="w-36">
            <NumberField label="width" value={s.stroke.width} keep={(width) => paint({ width })} />
          </div>
        </div>
      )}
      <form
        className="mt-2 flex gap-1.5"
        onSubmit={(e) => {
          e.preventDefault();
          void edit({
            kind: 'copy-drawing',
            part: part.id,
            drawing: drawing.id,
            name: name || `${drawing.name} 2`,
          }).then((ok) => ok && setName(''));
        }}
      >
        <input
          className="field min-w-0 flex-1"
          aria-label="Name of the copy"
          placeholder={`${drawing.name} 2`}
          value={name}
          maxLength={80}
          onChange={(e) => setName(e.target.value)}
        />
        <button className="btn">
          <Copy size={14} aria-hidden /> Duplicate
        </button>
        <button
          type="button"
          className="btn"
          disabled={part.drawings.length < 2}
          onClick={() => {
            useDesk.getState().shape(null);
            void edit({ kind: 'drop-drawing', part: part.id, drawing: drawing.id });
          }}
        >
          <Trash2 size={14} aria-hidden /> Delete
        </button>
      </form>
    </section>
  );
}
