import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { Blink } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { NumberField } from '../ui/NumberField';
import { usePlayer } from './player';

/** How often adults blink, a minute, by what they do. */
const RATES = [
  ['at rest', 17],
  ['reading', 4.5],
  ['in conversation', 26],
] as const;

const PANEL = 'z-40 w-[330px] rounded-xl border border-line bg-paper p-3 shadow-xl';

/** Lays blinks over the whole line, adds one here, and drops cues in. */
export function Blinks() {
  const { line, view, editLine } = useStudio();
  const { stepTo } = usePlayer();
  const [open, setOpen] = useState(false);
  const [perMinute, setPerMinute] = useState(26);
  const [seed, setSeed] = useState(1);
  const { cues } = view.character.library;
  const lay = (rate: number, from: number) => {
    setPerMinute(rate);
    setSeed(from);
    void editLine({ kind: 'lay-blinks', shifts: [], perMinute: rate, seed: from });
  };
  if (!line) return null;
  const here = () => useDesk.getState().frame;
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="underline decoration-dotted hover:text-ink">blinks, cues</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content side="top" align="start" sideOffset={6} collisionPadding={12} className={PANEL}>
          <h2 className="text-[14px] font-semibold">Blinks over the whole line</h2>
          <p className="mt-0.5 text-[12.5px] text-faint">
            As often as adults blink, a minute; near where a cue begins. Those that are there are replaced.
          </p>
          <div className="mt-1.5 flex flex-wrap items-center gap-1">
            {RATES.map(([words, rate]) => (
              <button
                key={rate}
                className="btn px-2 text-[12.5px]"
                aria-pressed={perMinute === rate && line.shot.tracks.blinks.length > 0}
                onClick={() => lay(rate, seed)}
              >
                {words} <span className="text-faint">{rate}</span>
              </button>
            ))}
            <button
              className="btn px-2 text-[12.5px]"
              title="The same rate, other places"
              onClick={() => lay(perMinute, seed + 1)}
            >
              otherwise
            </button>
          </div>
          <button
            className="btn mt-1.5 px-2 text-[12.5px]"
            onClick={() =>
              void editLine({
                kind: 'set-blink',
                was: -1,
                blink: { frame: here(), down: 3, hold: 0, up: 3 },
              }).then((done) => done && setOpen(false))
            }
          >
            One blink from this frame
          </button>
          <h2 className="mt-3 text-[14px] font-semibold">Drop a cue in from this frame</h2>
          {cues.length === 0 ? (
            <p className="text-[12.5px] text-faint">No cues yet: the Eyes bench makes them.</p>
          ) : (
            <div className="mt-1 flex flex-wrap gap-1">
              {cues.map((c) => (
                <button
                  key={c.id}
                  className="btn px-2 text-[12.5px]"
                  onClick={() => {
                    const frame = here();
                    setOpen(false);
                    void editLine({ kind: 'drop-in', frame, cue: c.id }).then(() => stepTo(frame));
                  }}
                >
                  {c.name}
                </button>
              ))}
            </div>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Every blink and cue of the line where it falls: dragged along, changed by a click. */
export function BlinkLane({ frames }: { frames: number }) {
  const { line, view, editLine } = useStudio();
  const { cues } = view.character.library;
  if (!line) return null;
  return (
    <div className="relative h-[18px]" data-testid="blinks">
      {line.shot.tracks.cues.map((d) => {
        const cue = cues.find((c) => c.id === d.cue);
        const length = cue
          ? 1 + Math.max(0, ...Object.values(cue.tracks).flatMap((keys) => keys.map((k) => k.frame)))
          : 8;
        return (
          <button
            key={`${d.frame} ${d.cue}`}
            className={`absolute top-[3px] h-[12px] overflow-hidden rounded-full px-1.5 text-[10px] leading-[12px] whitespace-nowrap ${cue ? 'bg-tide' : 'bg-wrong-soft text-wrong'}`}
            style={{
              left: `${(d.frame / frames) * 100}%`,
              width: `${(Math.min(length, frames - d.frame) / frames) * 100}%`,
            }}
            aria-label={`Cue ${cue?.name ?? d.cue} from frame ${d.frame + 1}: take it out`}
            title={
              cue
                ? `${cue.name}: click to take it out`
                : `${d.cue} is not there any more; click to take it out`
            }
            onClick={() => void editLine({ kind: 'take-out', frame: d.frame, cue: d.cue })}
          >
            {cue?.name ?? d.cue}
          </button>
        );
      })}
      {line.shot.tracks.blinks.map((b) => (
        <OneBlink key={b.frame} blink={b} frames={frames} />
      ))}
    </div>
  );
}

/** A blink drawn as the way of its lids: down, held, up. */
function OneBlink({ blink, frames }: { blink: Blink; frames: number }) {
  const { editLine } = useStudio();
  const { stepTo } = usePlayer();
  const [open, setOpen] = useState(false);
  const [drag, setDrag] = useState<{ x: number; by: number } | null>(null);
  const length = blink.down + blink.hold + blink.up;
  const at = blink.frame + (drag?.by ?? 0);
  const set = (next: Blink) => editLine({ kind: 'set-blink', was: blink.frame, blink: next });
  return (
    <Popover.Root open={open} onOpenChange={(o) => !(drag && drag.by !== 0) && setOpen(o)}>
      <Popover.Trigger asChild>
        <button
          className="absolute top-0 h-full min-w-[7px] cursor-ew-resize touch-none"
          style={{ left: `${((at + 0.5) / frames) * 100}%`, width: `${(length / frames) * 100}%` }}
          aria-label={`Blink from frame ${blink.frame + 1}`}
          title="Drag to another frame, click to change; the Delete key deletes it"
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            setDrag({ x: e.clientX, by: 0 });
          }}
          onPointerMove={(e) => {
            if (!drag) return;
            const lane = e.currentTarget.parentElement!.getBoundingClientRect().width;
            setDrag({ ...drag, by: Math.round(((e.clientX - drag.x) / lane) * frames) });
          }}
          onPointerUp={() => {
            if (drag && drag.by !== 0) void set({ ...blink, frame: Math.max(0, blink.frame + drag.by) });
            else stepTo(blink.frame + blink.down);
            setTimeout(() => setDrag(null));
          }}
          onPointerCancel={() => setDrag(null)}
          onClick={(e) => drag && drag.by !== 0 && e.preventDefault()}
          onKeyDown={(e) => {
            if (e.key === 'Delete' || e.key === 'Backspace')
              void editLine({ kind: 'drop-blink', frame: blink.frame });
            const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
            if (by) {
              e.preventDefault();
              e.stopPropagation();
              void set({ ...blink, frame: Math.max(0, blink.frame + by) });
            }
          }}
        >
          <svg viewBox={`0 0 ${length} 10`} preserveAspectRatio="none" className="h-full w-full" aria-hidden>
            <path
              d={`M0 1L${blink.down} 9H${blink.down + blink.hold}L${length} 1Z`}
              fill="var(--doing)"
              fillOpacity={0.85}
            />
          </svg>
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content side="top" sideOffset={6} collisionPadding={12} className={`${PANEL} w-[250px]`}>
          <p className="text-[13px]">Blink from frame {blink.frame + 1}, in frames</p>
          <div className="mt-1.5 grid gap-1">
            {(['down', 'hold', 'up'] as const).map((k) => (
              <NumberField
                key={k}
                label={k}
                value={blink[k]}
                keep={(v) => void set({ ...blink, [k]: Math.round(v) })}
              />
            ))}
          </div>
          <button
            className="btn mt-2"
            onClick={() => {
              setOpen(false);
              void editLine({ kind: 'drop-blink', frame: blink.frame });
            }}
          >
            Delete it
          </button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
