import { Popover } from 'radix-ui';
import { useMemo, useState } from 'react';
import type { IntakeReport, Swatch } from '../../api/client';
import { useStudio } from '../../state/studio';
import { Cells } from '../../ui/Cells';

/** Every colour with where it is used; naming one or changing it changes every drawing. */
export function Palette({ near }: { near: IntakeReport['nearColours'] }) {
  const { view, artwork } = useStudio();
  const { character } = view;
  const uses = useMemo(() => {
    const map = new Map<string, Set<string>>();
    for (const p of character.rig.parts)
      for (const d of p.drawings)
        for (const s of artwork[d.art] ?? [])
          for (const paint of [s.fill, s.stroke.paint])
            if (paint.kind === 'flat')
              map.set(paint.colour, (map.get(paint.colour) ?? new Set()).add(p.name));
    return map;
  }, [character, artwork]);
  return (
    <section className="mt-4 pb-2">
      <h2 className="text-[15px] font-semibold">
        Palette{' '}
        <span className="font-sans text-[12.5px] font-normal text-faint">
          click a colour to name it or change it everywhere
        </span>
      </h2>
      <Cells as="ul" className="mt-1.5 flex flex-wrap gap-1">
        {character.sheet.palette.map((s) => (
          <li key={s.colour}>
            <One
              swatch={s}
              palette={character.sheet.palette}
              uses={[...(uses.get(s.colour) ?? [])]}
              near={near.some((n) => n.merge.colour === s.colour)}
            />
          </li>
        ))}
      </Cells>
    </section>
  );
}

function One({
  swatch,
  palette,
  uses,
  near,
}: {
  swatch: Swatch;
  palette: Swatch[];
  uses: string[];
  near: boolean;
}) {
  const { edit } = useStudio();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState(swatch.name);
  const [colour, setColour] = useState(swatch.colour);
  return (
    <Popover.Root
      open={open}
      onOpenChange={(o) => {
        setName(swatch.name);
        setColour(swatch.colour);
        setOpen(o);
      }}
    >
      <Popover.Trigger
        className={`h-7 w-7 rounded-md border ${near ? 'border-2 border-dashed border-wrong' : 'border-line'}`}
        style={{ background: swatch.colour }}
        title={`${swatch.name} ${swatch.colour}`}
        aria-label={`${swatch.name} ${swatch.colour}`}
      />
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={6}
          className="z-50 w-64 rounded-lg border border-line bg-card p-3 text-[13px] shadow-xl"
        >
          <form
            className="flex gap-1.5"
            onSubmit={(e) => {
              e.preventDefault();
              if (name.trim() !== swatch.name)
                void edit({ kind: 'name-swatch', colour: swatch.colour, name }).then(
                  (ok) => ok && setOpen(false),
                );
            }}
          >
            <input
              aria-label="Name of the colour"
              className="field min-w-0 flex-1"
              value={name}
              maxLength={80}
              onChange={(e) => setName(e.target.value)}
            />
            <button className="btn">Name</button>
          </form>
          <form
            className="mt-2 flex items-center gap-1.5"
            onSubmit={(e) => {
              e.preventDefault();
              if (colour !== swatch.colour)
                void edit({ kind: 'recolour', from: swatch.colour, to: colour }).then(
                  (ok) => ok && setOpen(false),
                );
            }}
          >
            <input
              type="color"
              aria-label="Pick another colour"
              className="h-7 w-9 shrink-0 cursor-pointer rounded border border-line bg-transparent"
              value={/^#[0-9a-f]{6}$/.test(colour) ? colour : swatch.colour}
              onChange={(e) => setColour(e.target.value)}
            />
            <input
              aria-label="Colour as #rrggbb"
              className="field min-w-0 flex-1"
              value={colour}
              onChange={(e) => setColour(e.target.value.trim().toLowerCase())}
            />
            <button className="btn">Change</button>
          </form>
          <label className="mt-2 flex items-center gap-1.5">
            <span className="shrink-0 text-faint">merge into</span>
            <select
              className="field min-w-0 flex-1"
              aria-label="Merge into"
              value=""
              onChange={(e) =>
                e.target.value && void edit({ kind: 'recolour', from: swatch.colour, to: e.target.value })
              }
            >
              <option value="">choose …</option>
              {palette
                .filter((p) => p.colour !== swatch.colour)
                .map((p) => (
                  <option key={p.colour} value={p.colour}>
                    {p.name} {p.colour}
                  </option>
                ))}
            </select>
          </label>
          <p className="mt-2 text-[12px] text-faint">
            {uses.length === 0
              ? 'In no drawing.'
              : `In ${uses.slice(0, 6).join(', ')}${uses.length > 6 ? ` and ${uses.length - 6} more` : ''}.`}
          </p>
          <Popover.Arrow className="fill-line" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
