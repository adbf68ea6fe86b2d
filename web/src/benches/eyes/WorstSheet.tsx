import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type EyesView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { usePictures } from '../../state/pictures';
import { useStudio } from '../../state/studio';
import { FaceCrop } from '../../ui/FaceCrop';
import { Cells } from '../../ui/Cells';

/** The ends of every two dials together: the poses in which the eyes come off worst, as faces to click on. */
export function WorstSheet({ eyes }: { eyes: EyesView['eyes'] }) {
  const { view, artwork } = useStudio();
  const { character } = view;
  const [open, setOpen] = useState(false);
  const sheet = useQuery({
    queryKey: ['worst', view.id, view.revision],
    queryFn: () => api.worst(view.id),
    enabled: open,
    placeholderData: keepPreviousData,
  });
  const frames = usePictures((sheet.data?.cases ?? []).map((c) => ({ dials: c.dials })));
  const left = Math.min(...eyes.map((e) => e.box.minX));
  const right = Math.max(...eyes.map((e) => e.box.maxX));
  const top = Math.min(...eyes.map((e) => e.box.minY));
  const bottom = Math.max(...eyes.map((e) => e.box.maxY));
  const w = Math.max((right - left) * 1.3, (bottom - top) * 2.2);
  const box = { x: (left + right - w) / 2, y: (top + bottom) / 2 - w * 0.25, w, h: w / 2 };
  const names = (dials: Record<string, number>) =>
    Object.entries(dials)
      .flatMap(([id, value]) => {
        const d = character.controls.dials.find((x) => x.id === id);
        return d && d.purpose !== 'BLINK' ? `${d.name} ${Math.round(value * 10) / 10}${d.unit}` : [];
      })
      .join(' + ') || 'nothing else';
  const show = (dials: Record<string, number>) => {
    const desk = useDesk.getState();
    desk.rest();
    for (const [dial, value] of Object.entries(dials)) desk.turn(dial, value);
  };
  const groups = [
    ['WHITE', 'Most white seen while shut'],
    ['PUPIL', 'Least of a pupil in its window'],
  ] as const;
  return (
    <section className="mt-3" aria-label="Worst cases">
      <div className="flex flex-wrap items-baseline gap-2">
        <h2 className="text-[15px] font-semibold">Worst cases</h2>
        <p className="min-w-32 flex-1 truncate text-[12.5px] text-faint">
          the ends of every two dials together, measured
        </p>
        <button className="btn" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Hide them' : 'Go through them'}
        </button>
      </div>
      {open && !sheet.data && <p className="mt-1 text-[13px] text-faint">Measuring …</p>}
      {open &&
        sheet.data &&
        groups.map(([kind, words]) => (
          <div key={kind} className="mt-1.5">
            <h3 className="text-[12.5px] text-faint">
              {words}
              {sheet.data.cases.every((c) => c.kind !== kind) && ': none at all'}
            </h3>
            <Cells className="mt-1 grid grid-cols-3 gap-1.5">
              {sheet.data.cases.map((c, i) =>
                c.kind !== kind ? null : (
                  <button
                    key={i}
                    className="overflow-hidden rounded-lg border border-line bg-paper text-left hover:border-faint"
                    title={names(c.dials)}
                    onClick={() => show(c.dials)}
                  >
                    <FaceCrop
                      character={character}
                      artwork={artwork}
                      frame={frames[i]}
                      box={box}
                      label=""
                      className="block aspect-[2/1] w-full bg-drawn"
                    />
                    <span className="block truncate px-1.5 py-0.5 text-[11.5px]">
                      <b className="tabular-nums">
                        {kind === 'WHITE' ? `${c.amount.toFixed(1)}` : `${Math.round(c.amount * 100)} %`}
                      </b>{' '}
                      <span className="text-faint">{names(c.dials)}</span>
                    </span>
                  </button>
                ),
              )}
            </Cells>
          </div>
        ))}
    </section>
  );
}
