import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { DrawnRun, Gesture } from '../api/client';
import { useDesk } from '../state/desk';
import { partRuns } from '../state/partRuns';
import { useStudio } from '../state/studio';
import { usePlayer } from './player';
import { SpanBar } from './SpanBar';

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
          <h2 className="text-[14px] font-semibold">Play from this frame</h2>
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
    <div className="relative h-[18px]" data-testid="gestures" data-spans>
      {line.shot.tracks.gestures.map((g) => (
        <OneGesture key={`${g.from} ${g.run}`} gesture={g} frames={frames} />
      ))}
    </div>
  );
}

function OneGesture({ gesture, frames }: { gesture: Gesture; frames: number }) {
  const { view, editLine } = useStudio();
  const run = partRuns(view.character.rig).find((r) => r.id === gesture.run);
  const name = run?.name ?? gesture.run;
  return (
    <SpanBar
      from={gesture.from}
      to={gesture.to}
      frames={frames}
      label={`Run ${name}`}
      text={name}
      gone={!run}
      over={(from, to) =>
        void editLine({ kind: 'set-gesture', was: gesture.from, gesture: { ...gesture, from, to } })
      }
      drop={() => void editLine({ kind: 'drop-gesture', from: gesture.from, run: gesture.run })}
    />
  );
}
