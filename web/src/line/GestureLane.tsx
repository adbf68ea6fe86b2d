import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { DrawnRun, Gesture } from '../api/client';
import { useDesk } from '../state/desk';
import { partRuns } from '../state/partRuns';
import { useStudio } from '../state/studio';
import { usePlayer } from './player';

/** Frames of one way through a run. */
const lengthOf = (run: DrawnRun) => run.steps.reduce((sum, s) => sum + s.frames, 0);
/** How long a run is held when nobody says, in times through it. */
const TIMES: Record<DrawnRun['way'], number> = { ONCE: 2, LOOP: 3, THERE_AND_BACK: 4 };

/** Lets a run of drawings begin at this frame. */
export function Gestures() {
  const { line, view, editLine } = useStudio();
  const { stepTo } = usePlayer();
  const [open, setOpen] = useState(false);
  const { parts } = view.character.rig;
  const runs = partRuns(view.character.rig);
  if (!line) return null;
  const begin = async (run: DrawnRun) => {
    const from = useDesk.getState().frame;
    const to = Math.min(line.frames, from + lengthOf(run) * TIMES[run.way]);
    setOpen(false);
    if (await editLine({ kind: 'set-gesture', was: -1, gesture: { from, to, run: run.id } })) stepTo(from);
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="underline decoration-dotted hover:text-ink">runs</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={6}
          collisionPadding={12}
          className="z-40 w-[300px] rounded-xl border border-line bg-paper p-3 shadow-xl"
        >
          <h3 className="text-[14px] font-semibold">Play from this frame</h3>
          {runs.length === 0 ? (
            <p className="mt-0.5 text-[12.5px] text-faint">
              No drawings play yet: the Hands bench keeps runs of them.
            </p>
          ) : (
            <div className="mt-1.5 flex flex-wrap gap-1">
              {runs.map((r) => (
                <button key={r.id} className="btn px-2 text-[12.5px]" onClick={() => void begin(r)}>
                  {r.name}
                  <span className="text-faint">{parts.find((p) => p.id === r.part)?.name}</span>
                </button>
              ))}
            </div>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The runs of the line, each from where it begins to where it is let go: dragged along, and by its end. */
export function GestureLane({ frames }: { frames: number }) {
  const { line } = useStudio();
  if (!line) return null;
  return (
    <div className="relative h-[18px]" data-testid="gestures">
      {line.shot.tracks.gestures.map((g) => (
        <OneGesture key={`${g.from} ${g.run}`} gesture={g} frames={frames} />
      ))}
    </div>
  );
}

function OneGesture({ gesture, frames }: { gesture: Gesture; frames: number }) {
  const { view, editLine } = useStudio();
  const { stepTo } = usePlayer();
  const [drag, setDrag] = useState<{ x: number; by: number; end: boolean } | null>(null);
  const run = partRuns(view.character.rig).find((r) => r.id === gesture.run);
  const changed = (by: number, end: boolean): Gesture => {
    if (end) return { ...gesture, to: Math.max(gesture.from + 1, Math.min(frames, gesture.to + by)) };
    const held = Math.max(-gesture.from, Math.min(frames - gesture.to, by));
    return { ...gesture, from: gesture.from + held, to: gesture.to + held };
  };
  const now = drag ? changed(drag.by, drag.end) : gesture;
  const set = (next: Gesture) =>
    (next.from !== gesture.from || next.to !== gesture.to) &&
    void editLine({ kind: 'set-gesture', was: gesture.from, gesture: next });
  const take = (end: boolean) => (e: React.PointerEvent) => {
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    setDrag({ x: e.clientX, by: 0, end });
  };
  const move = (e: React.PointerEvent) => {
    if (!drag) return;
    const lane = e.currentTarget.closest('[data-testid=gestures]')!.getBoundingClientRect().width;
    setDrag({ ...drag, by: Math.round(((e.clientX - drag.x) / lane) * frames) });
  };
  const drop = (e: React.PointerEvent) => {
    e.stopPropagation();
    if (drag && drag.by !== 0) set(now);
    else if (drag) stepTo(gesture.from);
    setDrag(null);
  };
  return (
    <div
      className={`absolute top-[2px] flex h-[14px] overflow-hidden rounded-sm ${run ? 'bg-tide' : 'bg-wrong-soft text-wrong'}`}
      style={{
        left: `${(now.from / frames) * 100}%`,
        width: `${((now.to - now.from) / frames) * 100}%`,
      }}
    >
      <button
        className="min-w-0 flex-1 cursor-grab touch-none truncate px-1 text-left text-[10px] leading-[14px]"
        aria-label={`Run ${run?.name ?? gesture.run} from frame ${gesture.from + 1} to ${gesture.to}`}
        title={
          run
            ? 'Drag along; its right end is where it is let go. Arrows move it, with Shift its end; Delete takes it out'
            : `${gesture.run} is not there any more; Delete takes it out`
        }
        onPointerDown={take(false)}
        onPointerMove={move}
        onPointerUp={drop}
        onPointerCancel={() => setDrag(null)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') setDrag(null);
          if (e.key === 'Delete' || e.key === 'Backspace')
            void editLine({ kind: 'drop-gesture', from: gesture.from, run: gesture.run });
          const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
          if (!by) return;
          e.preventDefault();
          e.stopPropagation();
          set(changed(by, e.shiftKey));
        }}
      >
        {run?.name ?? gesture.run}
      </button>
      <span
        aria-hidden
        className="w-[7px] shrink-0 cursor-ew-resize touch-none border-r-2 border-ink/60"
        onPointerDown={take(true)}
        onPointerMove={move}
        onPointerUp={drop}
        onPointerCancel={() => setDrag(null)}
      />
    </div>
  );
}
