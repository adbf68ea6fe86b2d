import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef } from 'react';
import { api, type LineView } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';

/** Tells states of a shot that sound otherwise apart. */
export const soundOf = (line: LineView) =>
  [line.frames, ...line.shot.lines.map((l) => `${l.at}-${l.line.sound.slice(0, 12)}`)].join('.');

interface Player {
  toggle: () => void;
  stepTo: (frame: number) => void;
  /** To a frame that is passed by hand: it is heard for a moment. */
  scrub: (frame: number) => void;
  /** Seconds into the shot that are being heard. */
  clock: () => number;
}

/** Shortest piece of a sound that is told from a click, milliseconds. */
const SCRUBBED = 80;

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

  const quiet = useRef(0);
  const scrub = useCallback(
    (frame: number) => {
      const before = useDesk.getState().frame;
      stepTo(frame);
      const sound = audio.current;
      if (!sound || useDesk.getState().frame === before) return;
      // what is heard of a frame that is passed: as long as it lasts, and never too short to be told
      sound.playbackRate = 1;
      void sound.play().catch(() => {});
      window.clearTimeout(quiet.current);
      quiet.current = window.setTimeout(
        () => useDesk.getState().playing || sound.pause(),
        Math.max(SCRUBBED, 1000 / rate),
      );
    },
    [stepTo, rate],
  );

  const toggle = useCallback(() => {
    const desk = useDesk.getState();
    if (!lineId) return;
    const [first, end] = desk.loop ?? [0, frames];
    if (!desk.playing && (desk.frame >= end - 1 || desk.frame < first)) stepTo(first);
    desk.play(!desk.playing);
  }, [lineId, frames, stepTo]);

  const heard = useRef<(() => number) | null>(null);
  const clock = useCallback(() => heard.current?.() ?? useDesk.getState().frame / rate, [rate]);
  const speed = useDesk((s) => s.speed);
  const muted = useDesk((s) => s.muted);
  useEffect(() => {
    if (!playing || !lineId) return;
    const sound = audio.current;
    let loop = 0;
    let stopped = false;
    let from = useDesk.getState().frame / rate;
    let since = performance.now();
    // a shot without words is played by the page's own clock
    const clock = () => (sound ? sound.currentTime : from + ((performance.now() - since) / 1000) * speed);
    heard.current = clock;
    const goTo = (seconds: number) => {
      from = seconds;
      since = performance.now();
      if (sound) sound.currentTime = seconds;
    };
    const tick = () => {
      if (stopped) return;
      const round = useDesk.getState().loop;
      const last = round ? Math.min(frames, round[1]) : frames;
      const over = clock() * rate >= last - 1e-6 || sound?.ended;
      if (over && round) {
        goTo(round[0] / rate);
        if (sound?.paused) void sound.play();
      }
      const frame = Math.max(0, Math.min(frames - 1, Math.floor(clock() * rate + 1e-6)));
      if (frame !== useDesk.getState().frame) useDesk.getState().seek(frame);
      director.playAt(frame);
      if (over && !round) useDesk.getState().play(false);
      else loop = requestAnimationFrame(tick);
    };
    goTo(from);
    if (sound) sound.playbackRate = speed;
    (sound ? sound.play() : Promise.resolve()).then(
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
      heard.current = null;
      cancelAnimationFrame(loop);
      sound?.pause();
    };
  }, [playing, lineId, rate, frames, speed, director, tell]);

  const value = useMemo(() => ({ toggle, stepTo, scrub, clock }), [toggle, stepTo, scrub, clock]);
  return (
    <Context.Provider value={value}>
      {children}
      {lineId && line.shot.lines.length > 0 && (
        <audio
          ref={audio}
          src={api.soundUrl(lineId, soundOf(line))}
          preload="auto"
          muted={muted}
          data-testid="sound"
        />
      )}
    </Context.Provider>
  );
}
