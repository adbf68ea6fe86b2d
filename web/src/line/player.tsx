import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef } from 'react';
import { api } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';

interface Player {
  toggle: () => void;
  stepTo: (frame: number) => void;
}

const Context = createContext<Player | null>(null);

export function usePlayer(): Player {
  const player = useContext(Context);
  if (!player) throw new Error('used outside the player');
  return player;
}

/** Plays the line: the sound is the clock, and the picture of the frame that is being heard is on the stage. */
export function PlayerProvider({ children }: { children: ReactNode }) {
  const { line, director, tell } = useStudio();
  const audio = useRef<HTMLAudioElement>(null);
  const playing = useDesk((s) => s.playing);
  const rate = line?.shot.rules.frameRate ?? 24;
  const frames = line?.frames ?? 0;
  const lineId = line?.id;

  const stepTo = useCallback(
    (frame: number) => {
      if (frames === 0) return;
      const f = Math.max(0, Math.min(frames - 1, frame));
      useDesk.getState().seek(f);
      if (audio.current) audio.current.currentTime = f / rate;
    },
    [frames, rate],
  );

  const toggle = useCallback(() => {
    const desk = useDesk.getState();
    if (!lineId) return;
    if (!desk.playing && desk.frame >= frames - 1) stepTo(0);
    desk.play(!desk.playing);
  }, [lineId, frames, stepTo]);

  useEffect(() => {
    const sound = audio.current;
    if (!playing || !sound || !lineId) return;
    let loop = 0;
    let stopped = false;
    sound.currentTime = useDesk.getState().frame / rate;
    const tick = () => {
      if (stopped) return;
      const frame = Math.min(frames - 1, Math.floor(sound.currentTime * rate + 1e-6));
      if (frame !== useDesk.getState().frame) useDesk.getState().seek(frame);
      director.playAt(frame);
      if (sound.ended) useDesk.getState().play(false);
      else loop = requestAnimationFrame(tick);
    };
    sound.play().then(
      () => (loop = requestAnimationFrame(tick)),
      (e: unknown) => {
        if (!stopped) {
          tell({ message: `The sound could not be played: ${String(e)}`, bad: true });
          useDesk.getState().play(false);
        }
      },
    );
    return () => {
      stopped = true;
      cancelAnimationFrame(loop);
      sound.pause();
    };
  }, [playing, lineId, rate, frames, director, tell]);

  const value = useMemo(() => ({ toggle, stepTo }), [toggle, stepTo]);
  return (
    <Context.Provider value={value}>
      {children}
      {lineId && <audio ref={audio} src={api.soundUrl(lineId)} preload="auto" data-testid="sound" />}
    </Context.Provider>
  );
}
