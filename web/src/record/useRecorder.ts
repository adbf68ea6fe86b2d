import { useCallback, useEffect, useRef, useState } from 'react';
import { beat } from './beat';
import { type Microphone, microphones, openMicrophone, whyNot } from './microphone';
import type { Take } from './takes';
import { TakeWriter } from './takeWriter';

/** Seconds of the longest take. */
const LONGEST = 300;
/** How fast the level falls back, a piece. */
const FALL = 0.8;

export type RecorderState =
  | { is: 'closed' }
  | { is: 'opening' }
  | { is: 'ready' }
  | { is: 'counting'; beat: number }
  | { is: 'recording'; seconds: number };

/**
 * Records takes by the microphone.
 *
 * @param of the character and the line they are takes of
 * @param done called with each take that has ended
 */
export function useRecorder(of: { character: string; line: string }, done: (take: Take) => void) {
  const [state, setState] = useState<RecorderState>({ is: 'closed' });
  const [level, setLevel] = useState(0);
  const [problem, setProblem] = useState<string | null>(null);
  const [devices, setDevices] = useState<MediaDeviceInfo[]>([]);
  const microphone = useRef<Microphone | null>(null);
  const take = useRef<TakeWriter | null>(null);
  const gone = useRef(false);
  const counting = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  const ended = useRef(done);
  useEffect(() => {
    ended.current = done;
  });

  const stop = useCallback(async () => {
    clearInterval(counting.current);
    const now = take.current;
    take.current = null;
    setState(microphone.current ? { is: 'ready' } : { is: 'closed' });
    if (!now) return;
    const kept = await now.end();
    if (kept) ended.current(kept);
  }, []);

  const close = useCallback(() => {
    void stop();
    microphone.current?.close();
    microphone.current = null;
    setState({ is: 'closed' });
    setLevel(0);
  }, [stop]);

  const heard = useCallback(
    (samples: Float32Array) => {
      let most = 0;
      for (const s of samples) most = Math.max(most, Math.abs(s));
      setLevel((before) => Math.max(most, before * FALL));
      const now = take.current;
      if (!now) return;
      now.add(samples);
      const { seconds } = now;
      setState({ is: 'recording', seconds });
      if (seconds >= LONGEST) void stop();
    },
    [stop],
  );

  const open = useCallback(
    async (device: string | null) => {
      close();
      setProblem(null);
      setState({ is: 'opening' });
      try {
        const opened = await openMicrophone(device, heard, () => {
          setProblem('The microphone was unplugged. What was said until then is kept.');
          close();
        });
        // whoever asked may have gone away meanwhile, or asked for another one
        if (gone.current || microphone.current) {
          opened.close();
          return;
        }
        microphone.current = opened;
        setState({ is: 'ready' });
        setDevices(await microphones());
      } catch (e) {
        setProblem(whyNot(e));
        setState({ is: 'closed' });
      }
    },
    [close, heard],
  );

  /** @param beats seconds to count before it begins */
  const record = useCallback(
    (beats: number) => {
      const mic = microphone.current;
      if (!mic || take.current) return;
      clearInterval(counting.current);
      const begin = () => {
        take.current = new TakeWriter({ character: of.character, line: of.line }, mic.rate, (e) =>
          setProblem(`The take cannot be kept in this browser: ${String(e)}`),
        );
        setState({ is: 'recording', seconds: 0 });
      };
      let left = beats;
      const next = () => {
        if (left === 0) {
          clearInterval(counting.current);
          begin();
          return;
        }
        beat(left === 1);
        setState({ is: 'counting', beat: left-- });
      };
      next();
      if (beats > 0) counting.current = setInterval(next, 1000);
    },
    [of.character, of.line],
  );

  // a page that goes away keeps what was said until then
  useEffect(() => {
    gone.current = false;
    const hide = () => take.current?.keep();
    window.addEventListener('pagehide', hide);
    return () => {
      gone.current = true;
      window.removeEventListener('pagehide', hide);
      clearInterval(counting.current);
      microphone.current?.close();
      microphone.current = null;
    };
  }, []);

  return { state, level, problem, devices, open, close, record, stop };
}
