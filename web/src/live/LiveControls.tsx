import { Circle, Layers } from 'lucide-react';
import type { Shot } from '../api/client';
import { useLive } from './liveState';
import { useStudio } from '../state/studio';
import { useLiveKeys } from './useLiveKeys';
import { useLivePlay } from './useLivePlay';

/** Acts in the shot while it runs: what hands or a performer do is written as keys. */
export function LiveControls({ shot }: { shot: Shot }) {
  const phase = useLive((s) => s.phase);
  const panel = useLive((s) => s.panel);
  const takes = useLive((s) => s.takes.length);
  const { view } = useStudio();
  const { start, finish } = useLivePlay(shot);
  useLiveKeys(view.character);
  const running = phase.is !== 'idle';
  return (
    <>
      <button
        className={`btn px-2 ${running ? 'bg-recording text-on-doing' : ''}`}
        aria-pressed={running}
        aria-label={running ? 'Stop the take' : 'Play live'}
        title="Counts in, plays, and writes what your hands or a performer do. The loop, or from this frame on"
        onClick={() => (running ? void finish(phase.is === 'recording') : start())}
      >
        <Circle
          size={13}
          className={running ? 'fill-current' : 'fill-recording text-recording'}
          aria-hidden
        />
        {running ? 'Stop' : 'Live'}
      </button>
      <button
        className="btn px-2"
        disabled={running}
        aria-pressed={panel}
        aria-label={`Takes: ${takes}`}
        title="Who plays, what is written, and the takes there are"
        onClick={() => useLive.setState({ panel: !panel })}
      >
        <Layers size={13} aria-hidden /> {takes > 0 ? takes : ''}
      </button>
    </>
  );
}
