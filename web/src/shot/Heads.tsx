import { Plus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { memo, useState } from 'react';
import type { ShotEdit } from '../api/client';
import { partRuns } from '../state/partRuns';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { symbolOf } from './Thumbs';
import { type Lane } from './lanes';
import { HeadRuler } from './HeadRuler';

/** The head of a lane: its name, and for a dial its ruler, from whose handle the way falls. */
export const LaneHead = memo(function LaneHead({
  lane,
  across,
  frames,
}: {
  lane: Lane;
  across: boolean;
  frames: number;
}) {
  return (
    <div
      className={`absolute flex min-w-0 overflow-hidden ${across ? `border-b border-line px-2 ${lane.dial ? 'flex-col justify-center' : 'items-center gap-1'}` : 'flex-col border-l border-line px-1 pt-1'}`}
      style={
        across
          ? { top: lane.at, height: lane.size, width: '100%' }
          : { left: lane.at, width: lane.size, height: '100%' }
      }
    >
      <div
        className={`flex min-w-0 ${across || lane.dial ? 'items-center gap-0.5' : 'h-full flex-col justify-between'}`}
      >
        <span
          className={`min-w-0 text-[12.5px] leading-[15px] font-bold ${across || lane.dial ? 'truncate' : 'line-clamp-2'}`}
          title={lane.name}
        >
          {lane.name}
        </span>
        {lane.track && !lane.dial && lane.kind !== 'MOUTHS' && <AddHere lane={lane} frames={frames} />}
      </div>
      {lane.dial && <HeadRuler dial={lane.dial} across={across} size={lane.size} />}
    </div>
  );
});

/** Puts something on a track from the frame on the stage on. */
function AddHere({ lane, frames }: { lane: Lane; frames: number }) {
  const { view, editLine } = useStudio();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const { library, rig } = view.character;
  const here = () => useDesk.getState().frame;
  const put = (edit: ShotEdit) => {
    setOpen(false);
    setText('');
    void editLine(edit);
  };
  const part = rig.parts.find((p) => p.id === lane.track!.of);
  const sort = lane.track!.sort;
  const words: Record<string, string> = {
    DRAWINGS: 'Show from this frame on',
    LOOKS: 'A look from this frame on',
    KITS: 'A kit worn from this frame on',
    CUES: 'A cue from this frame on',
    RUNS: 'A run from this frame on',
    NOTES: 'A note to this frame',
    BLINKS: 'Blinks',
    MOODS: 'A mood from this frame on',
    TIMINGS: 'Another lead and hold from this frame on',
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        className="grid h-6 w-6 shrink-0 place-items-center rounded hover:bg-tide"
        aria-label={`${words[sort]}: ${lane.name}`}
        title={words[sort]}
      >
        <Plus size={13} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="bottom"
          align="start"
          collisionPadding={12}
          aria-label={words[sort]}
          className="z-40 max-h-[70vh] w-[300px] overflow-y-auto rounded-xl border border-line bg-paper p-3 shadow-xl"
        >
          <h2 className="mb-1.5 text-[14px] font-semibold">{words[sort]}</h2>
          {sort === 'DRAWINGS' && (
            <div className="grid grid-cols-4 gap-1">
              {part?.drawings.map((d) => (
                <button
                  key={d.id}
                  className="rounded-md border border-line bg-stage p-1 hover:border-faint"
                  onClick={() =>
                    put({
                      kind: 'hold-drawing',
                      part: part.id,
                      held: { from: here(), to: Math.min(frames, here() + 12), drawing: d.id, in: 0 },
                    })
                  }
                >
                  <svg className="h-10 w-full" aria-hidden>
                    <use href={`#${symbolOf(d.art)}`} width="100%" height="100%" />
                  </svg>
                  <span className="block truncate text-[11px] text-stage-ink">{d.name}</span>
                </button>
              ))}
            </div>
          )}
          {sort === 'LOOKS' && (
            <Choices
              none="No looks yet: the Brows bench makes them."
              all={library.looks}
              put={(look) =>
                put({
                  kind: 'set-look',
                  was: -1,
                  span: { look, from: here(), to: Math.min(frames, here() + 24), in: 6, out: 6, strength: 1 },
                })
              }
            />
          )}
          {sort === 'KITS' && (
            <Choices
              none="No kits yet: the Kits bench keeps them."
              all={library.kits}
              put={(kit) =>
                put({
                  kind: 'wear-kit',
                  was: -1,
                  span: { kit, from: here(), to: Math.min(frames, here() + 24) },
                })
              }
            />
          )}
          {sort === 'CUES' && (
            <Choices
              none="No cues yet: the Eyes bench makes them, or keep a stretch of this sheet as one."
              all={library.cues}
              put={(cue) =>
                put({
                  kind: 'set-placement',
                  was: -1,
                  cue: { frame: here(), cue, strength: 1, frames: 0, times: 1, reversed: false },
                })
              }
            />
          )}
          {sort === 'MOODS' && (
            <Choices
              none="No moods yet: the Mouths bench makes rows of mouths for them."
              all={[{ id: '', name: 'neutral' }, ...view.character.voice.mouths.moods]}
              put={(mood) =>
                put({
                  kind: 'feel-along',
                  span: { from: here(), to: Math.min(frames, here() + 24), mood },
                })
              }
            />
          )}
          {sort === 'TIMINGS' && (
            <p className="text-[13px] text-faint">
              The Lines bench sets it: click a mouth on its strip and choose <b>timing</b>.
            </p>
          )}
          {sort === 'RUNS' && (
            <Choices
              none="No runs yet: the Hands bench keeps them."
              all={partRuns(rig)}
              put={(run) =>
                put({
                  kind: 'set-gesture',
                  was: -1,
                  gesture: { run, from: here(), to: Math.min(frames, here() + 12) },
                })
              }
            />
          )}
          {sort === 'BLINKS' && (
            <div className="flex flex-wrap gap-1">
              <button
                className="btn"
                onClick={() =>
                  put({ kind: 'set-blink', was: -1, blink: { frame: here(), down: 3, hold: 0, up: 3 } })
                }
              >
                One from this frame
              </button>
              {(
                [
                  ['at rest', 17],
                  ['in conversation', 26],
                ] as const
              ).map(([how, perMinute]) => (
                <button
                  key={how}
                  className="btn"
                  title="Over the whole shot, near turns and gaze shifts; those that are there are replaced"
                  onClick={() => put({ kind: 'lay-blinks', perMinute, seed: 1, shifts: [] })}
                >
                  As often as {how}
                </button>
              ))}
            </div>
          )}
          {sort === 'NOTES' && (
            <form
              onSubmit={(e) => {
                e.preventDefault();
                if (text.trim())
                  put({
                    kind: 'write-note',
                    was: -1,
                    note: { from: here(), to: Math.min(frames, here() + 6), text, author: '' },
                  });
              }}
            >
              <textarea
                aria-label="Note"
                className="field h-16 w-full resize-none"
                value={text}
                maxLength={1000}
                onChange={(e) => setText(e.target.value)}
              />
              <button className="btn-do mt-1.5" disabled={text.trim() === ''}>
                Write it
              </button>
            </form>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Choices({
  none,
  all,
  put,
}: {
  none: string;
  all: { id: string; name: string }[];
  put: (id: string) => void;
}) {
  if (all.length === 0) return <p className="text-[13px] text-faint">{none}</p>;
  return (
    <div className="flex flex-wrap gap-1">
      {all.map((c) => (
        <button key={c.id} className="btn" onClick={() => put(c.id)}>
          {c.name}
        </button>
      ))}
    </div>
  );
}
