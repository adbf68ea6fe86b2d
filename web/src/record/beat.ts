let context: AudioContext | null = null;

/** A short tone, as a beat of a count-in; the last one is higher. */
export function beat(high: boolean): void {
  context ??= new AudioContext();
  const tone = context.createOscillator();
  const gain = context.createGain();
  tone.frequency.value = high ? 1320 : 880;
  gain.gain.setValueAtTime(0.2, context.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.09);
  tone.connect(gain).connect(context.destination);
  tone.start();
  tone.stop(context.currentTime + 0.1);
}
