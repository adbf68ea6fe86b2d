import { Circle, RefreshCw } from 'lucide-react';
import type { BallSetting } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { NumberField } from '../../ui/NumberField';

/** What the turn is made from: numbers for the ball, which is also taken hold of on the stage. */
export function BallCard({
  ball,
  yaw,
  byHand,
  nosePieces,
}: {
  ball: BallSetting;
  yaw: number;
  byHand: number;
  nosePieces: boolean;
}) {
  const { edit } = useStudio();
  const shown = useDesk((s) => s.ball);
  const set = (change: Partial<BallSetting>) =>
    void edit({ kind: 'make-turn', ball: { ...ball, ...change } });
  return (
    <section className="mt-3 rounded-xl border border-line bg-paper p-3" aria-label="The ball">
      <div className="flex items-center gap-2">
        <h2 className="text-[15px] font-semibold">The ball</h2>
        <p className="flex-1 text-[12.5px] text-faint">
          turns {yaw.toFixed(0)}° at the dial’s end
          {byHand > 0 && `; ${byHand} ${byHand === 1 ? 'thing' : 'things'} shaped by hand stay`}
        </p>
        <button
          className="btn"
          aria-pressed={shown}
          onClick={() => useDesk.setState({ ball: !shown, recording: false })}
          title="Take hold of it on the face"
        >
          <Circle size={14} aria-hidden /> {shown ? 'Put it away' : 'On the face'}
        </button>
        <button
          className="btn"
          onClick={() => void edit({ kind: 'make-turn', ball })}
          title="From the pieces as they are now"
        >
          <RefreshCw size={14} aria-hidden /> Make anew
        </button>
      </div>
      <div className="mt-2 grid grid-cols-2 gap-x-4 gap-y-1.5">
        <NumberField
          label="depth"
          unit=" %"
          value={ball.depth * 100}
          keep={(v) => set({ depth: v / 100 })}
          step={5}
        />
        <NumberField
          label="nose out"
          unit=" %"
          value={ball.noseLift * 100}
          keep={(v) => set({ noseLift: v / 100 })}
          step={5}
        />
        <NumberField
          label="ears out"
          unit=" %"
          value={ball.earLift * 100}
          keep={(v) => set({ earLift: v / 100 })}
          step={5}
        />
        <NumberField
          label="far eye"
          unit=" %"
          value={ball.farEye * 100}
          keep={(v) => set({ farEye: v / 100 })}
        />
      </div>
      {nosePieces && (
        <p className="mt-2 flex items-center gap-2 text-[12.5px] text-faint">
          <span className="flex-1">The nose exchanges its drawing on the way.</span>
          <button
            className="btn"
            title="The front drawing stays; the profile’s line shows only where it is past the edge of the face"
            onClick={() => void edit({ kind: 'split-nose' })}
          >
            Let its profile grow past the edge
          </button>
        </p>
      )}
    </section>
  );
}
