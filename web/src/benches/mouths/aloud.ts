import { api, type SaidView } from '../../api/client';
import type { Studio } from '../../state/studio';

/** What is being heard; another one ends it. */
let heard: HTMLAudioElement | null = null;

/**
 * Has the face on the stage say words, and be heard when asked to; fails with what is to be told.
 *
 * @returns what was said, and what shows one of its frames on the stage
 */
export async function sayOnStage(
  { view, director }: Pick<Studio, 'view' | 'director'>,
  text: string,
  pace: number,
  mood: string,
  aloud: boolean,
): Promise<{ said: SaidView; show: (frame: number) => void }> {
  const said = await api.sayWords(view.id, text, pace, mood, aloud);
  heard?.pause();
  heard = null;
  if (said.sound === '') return { said, show: director.say(said.shot, said.drawings.length) };
  const bytes = Uint8Array.from(atob(said.sound), (c) => c.charCodeAt(0));
  const url = URL.createObjectURL(new Blob([bytes], { type: 'audio/wav' }));
  const sound = new Audio(url);
  heard = sound;
  sound.addEventListener('ended', () => URL.revokeObjectURL(url));
  await sound.play();
  const clock = () => (sound.ended ? Infinity : sound.currentTime);
  return { said, show: director.say(said.shot, said.drawings.length, clock) };
}
