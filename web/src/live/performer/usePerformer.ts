import type * as PageLive from 'page-live';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Character, LineView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { STEADINESS, trackOf, useLive } from '../liveState';
import { hearVoice } from '../voiceTake';
import { watchCamera } from './camera';
import { listenAtDoor } from './door';
import { listenToGamepad } from './gamepad';
import { keepNeutral, neutralOf } from './neutral';
import { NOBODY, usePerformerState } from './performerState';
import { simulate } from './simulated';
import { listenToVoice } from './voice';
import type { Listener, Source } from './source';

/** Seconds between two states of the meters: an eye does not follow more. */
const SHOWN = 1 / 16;

/** Seconds without a word after which the page says so. */
const QUIET = 0.4;

const seconds = () => performance.now() / 1000;

/** What of a character can be driven. */
export const targetsOf = (c: Character): PageLive.Target[] => [
  ...c.controls.dials.map((d) => ({
    kind: 'dial' as const,
    id: d.id,
    from: d.from,
    to: d.to,
    rest: d.rest,
    degrees: d.unit === '°',
    shuts: d.purpose === 'BLINK',
  })),
  ...c.library.looks.map((l) => ({
    kind: 'look' as const,
    id: l.id,
    from: -1,
    to: 1,
    rest: 0,
    degrees: false,
    shuts: false,
  })),
];

export const idOf = (d: Character['controls']['links'][number]['drives']) =>
  d.kind === 'look' ? d.look : d.dial;

/** Lets a performer drive the face, from whatever source is chosen, as long as it is used. */
export function usePerformer(line: LineView, character: Character) {
  const source = useLive((s) => s.source);
  const asked = useLive((s) => s.asked);
  const script = useLive((s) => s.performance);
  const smoothing = useLive((s) => s.smoothing);
  const mirrored = useLive((s) => s.mirrored);
  const holds = useLive((s) => s.holds);
  const disarmed = useLive((s) => s.disarmed);
  const neutral = usePerformerState((s) => s.neutral);
  const [core, setCore] = useState<typeof PageLive | null>(null);
  const [run, setRun] = useState<PageLive.PagePerformer | null>(null);
  const kept = useRef('');
  const moods = useRef(line.shot.tracks.moods);
  useEffect(() => {
    moods.current = line.shot.tracks.moods;
  });

  useEffect(() => {
    let gone = false;
    import('page-live').then(
      (c) => !gone && setCore(c),
      () =>
        usePerformerState.setState({
          trouble: 'What listens to performers could not be loaded; reload the page.',
        }),
    );
    return () => void (gone = true);
  }, []);

  // what can be driven, as a text: an edit of anything else does not interrupt who performs
  const targets = useMemo(() => JSON.stringify(targetsOf(character)), [character]);
  const mouths = useMemo(() => JSON.stringify(character.voice.mouths), [character]);
  useEffect(() => {
    if (!core || source === 'hands') return;
    const performer = core.performer(JSON.parse(targets) as PageLive.Target[]);
    usePerformerState.setState({ ...NOBODY });
    const chart = JSON.parse(mouths) as Character['voice']['mouths'];
    const speaks = source === 'microphone' && chart.part ? chart.part : null;
    const mouth = speaks ? core.mouth(chart) : null;
    const heard: number[] = [];
    let lost = '';
    // one who has greeted and told nothing yet is there; only what was told can be lost
    let told = false;
    const meet = (name: string) => {
      kept.current = `${source} ${name}`;
      const found = neutralOf(kept.current);
      usePerformerState.setState({ neutral: found?.told ?? {}, neutralAt: found?.at ?? '' });
    };
    const to: Listener = {
      comes: (name, behind) => {
        lost = '';
        told = false;
        meet(name);
        usePerformerState.setState({ presence: 'there', name, behind, trouble: '' });
      },
      tells: (signals) => {
        const at = seconds();
        lost = '';
        heard.push(at);
        told = true;
        performer.hears(at, signals);
      },
      sees: (points, width, height) => {
        const at = seconds();
        lost = '';
        heard.push(at);
        told = true;
        performer.sees(at, points, width, height);
      },
      sounds: (phone) => mouth?.hears(seconds(), phone),
      listened: (mouthsBehind) => usePerformerState.setState({ mouthsBehind }),
      lags: (behind) => usePerformerState.setState({ behind }),
      loses: (reason) => {
        lost = reason || 'no face is seen';
      },
      leaves: (reason) =>
        usePerformerState.setState((s) => ({
          presence: s.presence === 'nobody' && !reason ? 'nobody' : 'away',
          trouble: reason,
        })),
      troubles: (trouble) => usePerformerState.setState({ trouble }),
      roundTrip: (roundTrip) => usePerformerState.setState({ roundTrip }),
    };
    const listening: Source =
      source === 'simulated'
        ? simulate(
            core,
            line.id,
            core.performances().find((p) => p.id === script)!,
            to,
          )
        : source === 'tracker'
          ? listenAtDoor(line.id, to)
          : source === 'gamepad'
            ? listenToGamepad(to)
            : source === 'microphone'
              ? listenToVoice(to, hearVoice)
              : watchCamera(to);
    let driven: { dials: string[]; looks: string[] } = { dials: [], looks: [] };
    let spoken = false;
    const shut = () => {
      if (!spoken) return;
      spoken = false;
      useDesk.setState((s) => ({
        pins: Object.fromEntries(Object.entries(s.pins).filter(([part]) => part !== speaks)),
      }));
    };
    const speak = (at: number) => {
      if (!mouth || !speaks) return;
      if (!useLive.getState().speaks) {
        shut();
        return;
      }
      const { frame, pins } = useDesk.getState();
      const mood = moods.current.find((m) => m.from <= frame && frame < m.to)?.mood ?? '';
      const drawing = mouth.now(at, mood);
      if (!drawing || pins[speaks] === drawing) return;
      spoken = true;
      useDesk.setState({ pins: { ...pins, [speaks]: drawing } });
    };
    const letGo = () => {
      shut();
      if (driven.dials.length + driven.looks.length === 0) return;
      const { dials, looks } = driven;
      driven = { dials: [], looks: [] };
      useDesk.setState((s) => ({
        dials: Object.fromEntries(Object.entries(s.dials).filter(([id]) => !dials.includes(id))),
        looks: Object.fromEntries(Object.entries(s.looks).filter(([id]) => !looks.includes(id))),
      }));
    };
    let frame = 0;
    let shown = 0;
    const show = (at: number, now: PageLive.Standing) => {
      while (heard.length > 0 && heard[0]! < at - 1) heard.shift();
      const state = usePerformerState.getState();
      const presence =
        state.presence === 'there' && ((told && now.lostFor > QUIET) || lost)
          ? 'lost'
          : state.presence === 'lost' && (!told || now.lostFor <= QUIET) && !lost
            ? 'there'
            : state.presence;
      usePerformerState.setState({
        presence,
        lostWhy: presence === 'lost' ? lost : '',
        rate: heard.length,
        lostFor: now.lostFor,
        signals: now.signals,
      });
    };
    const tick = () => {
      frame = requestAnimationFrame(tick);
      listening.poll?.();
      const at = seconds();
      const now = performer.now(at);
      if (at - shown > SHOWN) {
        shown = at;
        show(at, now);
      }
      const { phase, rehearsing } = useLive.getState();
      const desk = useDesk.getState();
      if (phase.is === 'idle' && (!rehearsing || desk.playing)) {
        letGo();
        return;
      }
      speak(at);
      const moved = Object.entries(now.dials).some(([id, v]) => desk.dials[id] !== v);
      const mixed = Object.entries(now.looks).some(([id, v]) => (desk.looks[id] ?? 0) !== v);
      driven = { dials: Object.keys(now.dials), looks: Object.keys(now.looks) };
      if (moved || mixed)
        useDesk.setState({
          dials: moved ? { ...desk.dials, ...now.dials } : desk.dials,
          looks: mixed
            ? Object.fromEntries(Object.entries({ ...desk.looks, ...now.looks }).filter(([, v]) => v !== 0))
            : desk.looks,
        });
    };
    frame = requestAnimationFrame(tick);
    // a script begins with the take
    const begins = useLive.subscribe((is, was) => {
      if (is.phase.is === 'recording' && was.phase.is !== 'recording') listening.again?.();
    });
    queueMicrotask(() => setRun(performer));
    return () => {
      cancelAnimationFrame(frame);
      begins();
      listening.close();
      letGo();
      usePerformerState.setState({ ...NOBODY });
      setRun(null);
    };
  }, [core, source, asked, script, line.id, targets, mouths]);

  // what one says oneself is not spoken over
  const hushed = useLive((s) => s.source === 'microphone' && s.hushed && s.phase.is !== 'idle');
  useEffect(() => {
    useDesk.setState({ muted: hushed });
    return () => useDesk.setState({ muted: false });
  }, [hushed]);

  const { links } = character.controls;
  useEffect(() => {
    run?.links(links.filter((l) => !disarmed.includes(trackOf(l.drives.kind, idOf(l.drives)))));
  }, [run, links, disarmed]);
  useEffect(() => {
    run?.settings({ neutral, ...STEADINESS[smoothing], mirrored, holds });
  }, [run, neutral, smoothing, mirrored, holds]);

  const takeNeutral = () => {
    if (!run) return;
    const at = new Date().toISOString();
    if (source === 'camera') {
      // a camera's face is compared with its own points
      run.restsNow();
      usePerformerState.setState({ neutralAt: at });
      return;
    }
    const told = run.told();
    if (Object.keys(told).length === 0) {
      usePerformerState.setState({ trouble: 'no signal has come yet, so there is no neutral pose to take' });
      return;
    }
    keepNeutral(kept.current, { at, told });
    usePerformerState.setState({ neutral: told, neutralAt: at, trouble: '' });
  };
  return { core, takeNeutral };
}
