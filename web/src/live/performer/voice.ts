import { socketAddress } from '../../api/socket';
import { type Microphone, openMicrophone, whyNot } from '../../record/microphone';
import { packed } from '../../record/wav';
import type { Listener, Source } from './source';

/** Decibels of full scale that count as silence. */
const SILENCE = -60;

/** Seconds of sound that are sent at once: each of them is waited for. */
const PIECE = 0.02;

/** Milliseconds by which a loudness is behind the voice. */
const LOUDNESS_BEHIND = 30;

/** How loud a piece of sound is, 0 for silence and 1 for full scale. */
export function loudness(samples: Float32Array): number {
  const power = samples.reduce((sum, s) => sum + s * s, 0) / Math.max(1, samples.length);
  const decibels = 10 * Math.log10(Math.max(1e-12, power));
  return Math.max(0, Math.min(1, 1 - decibels / SILENCE));
}

/** What the ear of the server says. */
type Told =
  | { kind: 'ready'; behind: number }
  | { kind: 'hears'; at: number; phone: string }
  | { kind: 'problem'; message: string };

/**
 * The microphone: how loud it is, and the sounds that are heard in it while somebody speaks.
 *
 * @param heard called with each piece of the voice, and its rate
 */
export function listenToVoice(to: Listener, heard: (samples: Float32Array, rate: number) => void): Source {
  let closed = false;
  let microphone: Microphone | null = null;
  let ear: WebSocket | null = null;
  // whoever is spoken to before it listens stays behind
  let ready = false;
  let again: ReturnType<typeof setTimeout> | undefined;
  const listen = (rate: number) => {
    const socket = new WebSocket(socketAddress('/api/v1/voices'));
    ear = socket;
    socket.onopen = () => socket.send(JSON.stringify({ kind: 'begins', rate }));
    socket.onmessage = (e: MessageEvent<string>) => {
      const told = JSON.parse(e.data) as Told;
      if (told.kind === 'ready') {
        ready = true;
        to.troubles('');
        to.listened?.(told.behind + PIECE * 1000);
      } else if (told.kind === 'hears') to.sounds?.(told.phone);
      else to.troubles(told.message);
    };
    socket.onclose = (e) => {
      ready = false;
      if (closed) return;
      to.sounds?.('');
      to.troubles(
        e.reason
          ? `its sounds are not listened to: ${e.reason}`
          : 'its sounds are not listened to: the server does not answer',
      );
      again = setTimeout(() => listen(rate), 1000);
    };
  };
  openMicrophone(
    null,
    (samples) => {
      to.tells({ 'sound.level': loudness(samples) });
      if (microphone) heard(samples, microphone.rate);
      // what cannot be sent at once is late in any case
      if (ready && ear?.readyState === WebSocket.OPEN && ear.bufferedAmount < 1 << 16)
        ear.send(packed(samples));
    },
    () => to.leaves('the microphone was unplugged'),
    PIECE,
  ).then(
    (m) => {
      microphone = m;
      if (closed) m.close();
      else {
        to.comes('Microphone', LOUDNESS_BEHIND);
        listen(m.rate);
      }
    },
    (e: unknown) => to.leaves(whyNot(e)),
  );
  return {
    close: () => {
      closed = true;
      clearTimeout(again);
      ear?.close();
      microphone?.close();
    },
  };
}
