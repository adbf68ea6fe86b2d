import { TakeWriter } from '../record/takeWriter';
import { SPOKEN, type Take, throwAway } from '../record/takes';

/** The voice of the take that is being played. */
export interface VoiceTake {
  /** Its id, once something was heard. */
  id: () => string | undefined;
  /** What was said; null when nothing was. */
  end: () => Promise<Take | null>;
}

let begun: { write: (samples: Float32Array, rate: number) => void } | null = null;

/**
 * From now on what the microphone hears is kept.
 *
 * @param of the character, and the line it may be another take of
 */
export function beginVoice(
  of: { character: string; line: string },
  trouble: (e: unknown) => void,
): VoiceTake {
  let writer: TakeWriter | null = null;
  // for whoever measures how far mouths are behind
  const since = performance.mark('voice').startTime;
  const mine = {
    write: (samples: Float32Array, rate: number) => {
      if (!writer) {
        writer = new TakeWriter(of, rate, trouble);
        // a microphone that comes late is silent until then, so that the voice stays beside the shot
        const late = (performance.now() - since) / 1000 - samples.length / rate;
        if (late > 0) writer.add(new Float32Array(Math.round(late * rate)));
      }
      writer.add(samples);
    },
  };
  begun = mine;
  return {
    id: () => writer?.take.id,
    end: async () => {
      if (begun === mine) begun = null;
      const take = (await writer?.end()) ?? null;
      if (!take || take.peak >= SPOKEN) return take;
      await throwAway(take.id);
      return null;
    },
  };
}

/** A piece of a voice came in. */
export const hearVoice = (samples: Float32Array, rate: number) => begun?.write(samples, rate);
