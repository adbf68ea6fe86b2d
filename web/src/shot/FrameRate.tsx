import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { Shot } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { NumberField } from '../ui/NumberField';

const USUAL = [12, 24, 25, 30];

/** How many frames a second has. Whoever changes it is asked whether what is acted keeps its time or its frames. */
export function FrameRate({ shot, frame }: { shot: Shot; frame: number }) {
  const { editLine } = useStudio();
  const { frameRate } = shot.rules;
  const [open, setOpen] = useState(false);
  const [wanted, setWanted] = useState(frameRate);
  const times = wanted / frameRate;
  const change = (keepFrames: boolean) => {
    setOpen(false);
    useDesk.getState().play(false);
    if (!keepFrames) useDesk.getState().seek(Math.round(frame * times));
    void editLine({ kind: 'set-frame-rate', frameRate: wanted, keepFrames });
  };
  return (
    <Popover.Root
      open={open}
      onOpenChange={(to) => {
        setOpen(to);
        setWanted(frameRate);
      }}
    >
      <Popover.Trigger
        className="rounded px-1 text-[12.5px] whitespace-nowrap text-faint hover:bg-tide"
        title={`${frameRate} frames a second: change that`}
      >
        {(frame / frameRate).toFixed(2)} s <span className="text-[11.5px]">at {frameRate}</span>
        <span className="sr-only"> frames a second</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          collisionPadding={12}
          aria-label="Frames a second"
          className="z-50 w-[318px] rounded-xl border border-line bg-paper p-3 text-[13px] shadow-xl"
        >
          <h2 className="mb-1.5 text-[14px] font-semibold">Frames a second</h2>
          <div className="flex items-center gap-1">
            {USUAL.map((r) => (
              <button key={r} className="btn px-2" aria-pressed={wanted === r} onClick={() => setWanted(r)}>
                {r}
              </button>
            ))}
            <div className="w-[64px]">
              <NumberField
                bare
                label="Frames a second"
                value={wanted}
                keep={(v) => setWanted(Math.max(1, Math.min(120, Math.round(v))))}
              />
            </div>
          </div>
          {wanted === frameRate ? (
            <p className="mt-2 text-faint">The shot plays at {frameRate}. Choose another number.</p>
          ) : (
            <>
              <p className="mt-2">The sound stays as it is. What is acted …</p>
              <div className="mt-1.5 grid gap-1.5">
                <button className="btn justify-start text-left" onClick={() => change(false)}>
                  <span>
                    <b>keeps its time</b>: frame 25 becomes {Math.round(24 * times) + 1}
                    {times < 1 ? '; of two keys on one frame the later stays' : ''}
                  </span>
                </button>
                <button className="btn justify-start text-left" onClick={() => change(true)}>
                  <span>
                    <b>keeps its frames</b>: it goes {times > 1 ? 'faster' : 'slower'},{' '}
                    {+Math.max(times, 1 / times).toFixed(2)} times
                  </span>
                </button>
              </div>
            </>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
