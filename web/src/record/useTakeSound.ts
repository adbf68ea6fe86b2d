import { useEffect, useRef, useState } from 'react';

/** Plays a take, and ends it when asked again or when whoever plays it goes away. */
export function useTakeSound() {
  const [playing, setPlaying] = useState(false);
  const sound = useRef<{ audio: HTMLAudioElement; url: string } | null>(null);
  const quiet = () => {
    sound.current?.audio.pause();
    if (sound.current) URL.revokeObjectURL(sound.current.url);
    sound.current = null;
    setPlaying(false);
  };
  useEffect(() => quiet, []);
  /** @param file the take, fetched when it is to be heard */
  const toggle = async (file: () => Promise<File>) => {
    if (sound.current) return quiet();
    const url = URL.createObjectURL(await file());
    const audio = new Audio(url);
    sound.current = { audio, url };
    setPlaying(true);
    audio.onended = quiet;
    await audio.play().catch(quiet);
  };
  return { playing, toggle };
}
