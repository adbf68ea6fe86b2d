import { Play } from 'lucide-react';
import { useState } from 'react';
import type { Dial } from '../../api/client';
import { useStudio } from '../../state/studio';
import { asMessage } from '../../state/messages';
import { NumberField } from '../../ui/NumberField';

/** Plays a dial there and back on the stage. */
export function PlayRow({ dial }: { dial: Dial }) {
  const { director, tell } = useStudio();
  const [frames, setFrames] = useState(24);
  const [twos, setTwos] = useState(false);
  const [eased, setEased] = useState(true);
  const play = () => {
    try {
      director.playDial(dial.id, frames, twos ? 2 : 1, eased);
    } catch (e) {
      tell(asMessage(e));
    }
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5">
      <button className="btn-do" onClick={play}>
        <Play size={14} aria-hidden /> There and back
      </button>
      <div className="w-[118px]">
        <NumberField label="in frames" value={frames} keep={(v) => setFrames(Math.round(v))} />
      </div>
      <button className="btn" aria-pressed={twos} onClick={() => setTwos(!twos)}>
        on twos
      </button>
      <button className="btn" aria-pressed={eased} onClick={() => setEased(!eased)}>
        eased
      </button>
    </div>
  );
}
