import worklet from './soundIn.worklet.js?url&no-inline';

/** Seconds of sound that come at once: often enough for a level that follows the voice. */
const PIECE = 0.05;

/** What comes in by a microphone. */
export interface Microphone {
  rate: number;
  close: () => void;
}

/** What to say about a microphone that cannot be had. */
export function whyNot(e: unknown): string {
  const name = e instanceof DOMException ? e.name : '';
  if (name === 'NotAllowedError')
    return 'The browser does not let this page hear the microphone. Allow it beside the address, and try again.';
  if (name === 'NotFoundError' || name === 'OverconstrainedError') return 'No microphone is connected.';
  if (name === 'NotReadableError') return 'The microphone is in use by another program.';
  if (!navigator.mediaDevices)
    return 'Browsers give the microphone only to pages on this machine or over https.';
  return `The microphone cannot be heard: ${e instanceof Error ? e.message : String(e)}`;
}

/**
 * Opens a microphone as it is: nothing that is meant for telephone calls is done to the voice.
 *
 * @param device its id; null for the usual one
 * @param heard called with each piece, samples from -1 to 1
 * @param lost called when it is unplugged
 * @param piece seconds of sound that come at once
 */
export async function openMicrophone(
  device: string | null,
  heard: (samples: Float32Array) => void,
  lost: () => void,
  piece = PIECE,
): Promise<Microphone> {
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: {
      deviceId: device ? { exact: device } : undefined,
      echoCancellation: false,
      noiseSuppression: false,
      autoGainControl: false,
    },
  });
  const context = new AudioContext();
  const close = () => {
    stream.getTracks().forEach((t) => t.stop());
    void context.close();
  };
  try {
    await context.audioWorklet.addModule(worklet);
    await context.resume();
  } catch (e) {
    close();
    throw e;
  }
  const node = new AudioWorkletNode(context, 'sound-in', {
    numberOfOutputs: 0,
    processorOptions: { piece },
  });
  node.port.onmessage = (e: MessageEvent<Float32Array>) => heard(e.data);
  context.createMediaStreamSource(stream).connect(node);
  stream.getAudioTracks()[0]?.addEventListener('ended', lost);
  return {
    rate: context.sampleRate,
    close,
  };
}

/** The microphones there are; they have names only once one was opened. */
export async function microphones(): Promise<MediaDeviceInfo[]> {
  const all = (await navigator.mediaDevices?.enumerateDevices()) ?? [];
  return all.filter((d) => d.kind === 'audioinput' && d.deviceId !== '');
}
