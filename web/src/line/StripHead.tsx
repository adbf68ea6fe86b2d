import { Pause, Play, Repeat, SkipBack, ZoomIn, ZoomOut } from 'lucide-react';
import type { LineView } from '../api/client';
import { useDesk } from '../state/desk';
import { isTall } from '../state/benches';
import { useStudio } from '../state/studio';
import { usePlayer } from './player';
import { MOST_ZOOM, useSoundDesk } from './soundDesk';

/** What is done with the line as a whole: played, over and over, shown nearer, on ones or on twos. */
export function StripHead({
  line: l,
  zoomTo,
  show,
}: {
  line: LineView;
  zoomTo: (zoom: number) => void;
  show: (from: number, to: number) => void;
}) {
  const { editLine } = useStudio();
  const { toggle, stepTo } = usePlayer();
  const playing = useDesk((s) => s.playing);
  const loop = useDesk((s) => s.loop);
  const zoom = useSoundDesk((s) => s.zoom);
  const { rules } = l.shot;
  // beside a tall bench there is no room for words
  const roomy = useDesk((s) => !isTall(s.bench));
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
      <button
        className="btn-do px-3"
        onClick={toggle}
        aria-label={playing ? 'Stop' : 'Play'}
        title={playing ? 'Stop (Space)' : 'Play (Space)'}
      >
        {playing ? <Pause size={15} aria-hidden /> : <Play size={15} aria-hidden />}
      </button>
      <button className="btn px-1.5" onClick={() => stepTo(0)} aria-label="To the first frame" title="Home">
        <SkipBack size={14} aria-hidden />
      </button>
      <Clock rate={rules.frameRate} frames={l.frames} />
      <h2 className="ml-2 min-w-12 flex-[1_1_3rem] truncate text-[15px] font-semibold">{l.shot.name}</h2>
      <div className="ml-auto flex items-center gap-1" role="group" aria-label="Zoom">
        <button
          className="btn px-1.5"
          aria-label="Zoom the line out"
          title="Zoom out (Ctrl and the wheel)"
          disabled={zoom <= 1}
          onClick={() => zoomTo(zoom / 2)}
        >
          <ZoomOut size={14} aria-hidden />
        </button>
        {roomy && (
          <button
            className="btn px-2 text-[12.5px] whitespace-nowrap"
            aria-pressed={zoom === 1}
            onClick={() => zoomTo(1)}
          >
            whole line
          </button>
        )}
        <button
          className="btn px-1.5"
          aria-label="Zoom the line in"
          title="Zoom in (Ctrl and the wheel)"
          disabled={zoom >= MOST_ZOOM}
          onClick={() => zoomTo(zoom * 2)}
        >
          <ZoomIn size={14} aria-hidden />
        </button>
      </div>
      <div className="ml-2 flex items-center gap-1" role="group" aria-label="Loop">
        <button
          className="btn px-1.5"
          aria-label={loop ? `Loop, frames ${loop[0] + 1} to ${loop[1]}` : 'Loop'}
          aria-pressed={loop !== null}
          title="Over and over: the whole line, or what Shift and a drag over the sound holds"
          onClick={() => useDesk.setState({ loop: loop ? null : [0, l.frames] })}
        >
          <Repeat size={14} aria-hidden />
        </button>
        {loop && loop[1] - loop[0] < l.frames && (
          <button
            className="btn px-2 text-[12.5px] whitespace-nowrap"
            title="Show the looped stretch as wide as the strip"
            onClick={() => show(loop[0] / l.frames, loop[1] / l.frames)}
          >
            {loop[0] + 1}–{loop[1]}
          </button>
        )}
      </div>
      <div className="ml-2 flex gap-1" role="group" aria-label="Exposure">
        {[1, 2].map((n) => (
          <button
            key={n}
            className="btn whitespace-nowrap"
            aria-pressed={rules.exposure === n}
            onClick={() =>
              rules.exposure !== n &&
              void editLine({
                kind: 'expose',
                exposure: n,
                lead: rules.lead,
                minimumHold: rules.minimumHold,
              })
            }
          >
            on {n === 1 ? 'ones' : 'twos'}
          </button>
        ))}
      </div>
    </div>
  );
}

function Clock({ rate, frames }: { rate: number; frames: number }) {
  const frame = useDesk((s) => s.frame);
  return (
    <output
      className="w-44 text-[13px] whitespace-nowrap text-faint will-change-transform"
      aria-label="Frame"
      data-testid="clock"
    >
      frame <b className="text-ink">{frame + 1}</b> of {frames} · {(frame / rate).toFixed(2)} s
    </output>
  );
}
