import { type Microphone, openMicrophone, whyNot } from '../../record/microphone';
import type { Listener, Source } from './source';

/** Decibels of full scale that count as silence. */
const SILENCE = -60;

/** How loud a piece of sound is, 0 for silence and 1 for full scale. */
export function loudness(samples: Float32Array): number {
  const power = samples.reduce((sum, s) => sum + s * s, 0) / Math.max(1, samples.length);
  const decibels = 10 * Math.log10(Math.max(1e-12, power));
  return Math.max(0, Math.min(1, 1 - decibels / SILENCE));
}

/** The microphone, by how loud it is. */
export function listenToLoudness(to: Listener): Source {
  let closed = false;
  let microphone: Microphone | null = null;
  openMicrophone(
    null,
    (samples) => to.tells({ 'sound.level': loudness(samples) }),
    () => to.leaves('the microphone was unplugged'),
  ).then(
    (m) => {
      microphone = m;
      if (closed) m.close();
      else to.comes('Microphone', 50);
    },
    (e: unknown) => to.leaves(whyNot(e)),
  );
  return {
    close: () => {
      closed = true;
      microphone?.close();
    },
  };
}
