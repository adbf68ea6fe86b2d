import { Popover } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import type { Shape } from '../api/client';
import { useStudio } from '../state/studio';
import { DrawingThumb } from '../ui/DrawingThumb';
import type { Band } from './bands';
import { MouthPicker } from './MouthPicker';
import { usePlayer } from './player';
import type { Span } from './spans';

/** Narrowest mouth that is drawn, pixels; narrower neighbours are one band. */
export const LEAST_MOUTH = 18;
/** Pixels a strip is wide at the least, for how near a click on a band goes. */
const CLOSE = 420;

/** Several mouths that are too narrow to be seen, as one with their number: a click goes near enough to see them. */
export function MouthCrowd({
  band,
  pixels,
  frames,
  show,
}: {
  band: Band<{ run: Span; from: number; to: number }>;
  pixels: number;
  frames: number;
  show: (from: number, to: number) => void;
}) {
  const { stepTo } = usePlayer();
  const first = band.items[0]!.run.from;
  const last = band.items.at(-1)!.run.to;
  const wide = band.to - band.from;
  return (
    <button
      className="absolute top-0.5 bottom-0.5 overflow-hidden rounded-[5px] bg-tide/70 text-[11.5px] hover:bg-tide"
      style={{
        left: `calc(${(band.from / pixels) * 100}% + 0.5px)`,
        width: `calc(${(wide / pixels) * 100}% - 1px)`,
      }}
      aria-label={`${band.items.length} mouths, frames ${first + 1} to ${last + 1}: closer`}
      title={`${band.items.length} mouths – click to zoom in`}
      onClick={(e) => {
        // the frame under the pointer stays the one that is meant
        const r = e.currentTarget.getBoundingClientRect();
        const share = e.clientX === 0 ? 0 : (e.clientX - r.left) / r.width;
        const frame = first + Math.min(last - first, Math.floor(share * (last - first + 1)));
        stepTo(frame);
        const shown = Math.max(6, CLOSE / LEAST_MOUTH);
        const from = Math.max(0, Math.min(frames - shown, frame - shown / 2));
        show(from / frames, (from + shown) / frames);
      }}
    >
      {wide > 15 ? band.items.length : ''}
    </button>
  );
}

/** A run of one mouth: click for another mouth, mood or timing on these frames, or to release what was set. */
export function MouthRun({
  run,
  frames,
  shapes,
  lane,
}: {
  run: Span;
  frames: number;
  shapes: (id: string) => Shape[];
  lane: React.RefObject<HTMLDivElement | null>;
}) {
  const { line, view } = useStudio();
  const { stepTo } = usePlayer();
  const [open, setOpen] = useState(false);
  const [wide, setWide] = useState(true);
  const box = useRef<HTMLButtonElement>(null);
  const length = run.to - run.from + 1;
  useEffect(() => {
    const measure = () => setWide((box.current?.getBoundingClientRect().width ?? 0) > 15);
    measure();
    const seen = new ResizeObserver(measure);
    if (lane.current) seen.observe(lane.current);
    return () => seen.disconnect();
  }, [lane, length, frames]);
  const mouth = view.character.rig.parts.find((p) => p.id === view.character.voice.mouths.part);
  const pinned = Object.keys(line!.shot.tracks.pins).some(
    (f) => Number(f) >= run.from && Number(f) <= run.to,
  );
  const name =
    run.what === 'nothing' ? 'none' : (mouth?.drawings.find((d) => d.id === run.what)?.name ?? run.what);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <button
          ref={box}
          className={`absolute top-0.5 bottom-0.5 overflow-hidden rounded-[5px] border bg-stage ${
            pinned ? 'border-2 border-doing' : 'border-line hover:border-faint'
          }`}
          style={{
            left: `calc(${(run.from / frames) * 100}% + 0.5px)`,
            width: `calc(${(length / frames) * 100}% - 1px)`,
          }}
          aria-label={`Mouth ${name}, frames ${run.from + 1} to ${run.to + 1}${pinned ? ', pinned' : ''}`}
          title={`${name}${pinned ? ' (pinned)' : ''}`}
          onClick={() => stepTo(run.from)}
        >
          {wide && <DrawingThumb shapes={shapes(run.what)} label={name} className="h-full w-full px-px" />}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={6}
          collisionPadding={12}
          className="z-40 max-h-(--radix-popover-content-available-height) w-[332px] overflow-y-auto rounded-xl border border-line bg-paper p-3 shadow-xl"
        >
          <MouthPicker run={run} done={() => setOpen(false)} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
