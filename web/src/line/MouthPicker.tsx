import { useStudio } from '../state/studio';
import { DrawingThumb } from '../ui/DrawingThumb';
import type { Span } from './spans';

/** Another mouth for a run of frames, which pins it there; or the sound decides again. */
export function MouthPicker({ run, done }: { run: Span; done: () => void }) {
  const { line, view, artwork, editLine } = useStudio();
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const pinned = Object.keys(line?.shot.tracks.pins ?? {}).some(
    (f) => Number(f) >= run.from && Number(f) <= run.to,
  );
  const name = mouth?.drawings.find((d) => d.id === run.what)?.name ?? run.what;
  const shapes = (id: string) => {
    const d = mouth?.drawings.find((m) => m.id === id);
    return d ? (artwork[d.art as unknown as string] ?? []) : [];
  };
  return (
    <>
      <p className="mb-2 text-[13px]">
        Frames {run.from + 1}–{run.to + 1} show <b>{name}</b>. Choose a mouth to pin it here.
      </p>
      <div className="grid grid-cols-6 gap-1">
        {mouth?.drawings.map((d) => (
          <button
            key={d.id}
            className={`rounded-md border p-0.5 ${d.id === run.what ? 'border-doing bg-doing-soft' : 'border-line bg-stage hover:border-faint'}`}
            title={d.name}
            aria-label={`Pin ${d.name}`}
            onClick={async () => {
              done();
              await editLine({ kind: 'pin-mouth', from: run.from, to: run.to, drawing: d.id });
            }}
          >
            <DrawingThumb shapes={shapes(d.id)} label="" className="h-8 w-full rounded bg-stage" />
            <span className="block truncate text-[10px] leading-3">{d.name}</span>
          </button>
        ))}
      </div>
      {pinned && (
        <button
          className="btn mt-2"
          onClick={async () => {
            done();
            await editLine({ kind: 'release-mouth', from: run.from, to: run.to });
          }}
        >
          Let the sound decide again
        </button>
      )}
    </>
  );
}
