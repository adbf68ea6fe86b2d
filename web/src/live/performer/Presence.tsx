import { Check, CircleAlert } from 'lucide-react';
import { type LiveSource, useLive } from '../liveState';
import { latencyOf, usePerformerState } from './performerState';

const WHAT: Partial<Record<LiveSource, string>> = { microphone: 'The microphone', camera: 'The camera' };

export function Presence({ source }: { source: LiveSource }) {
  const { presence, name, lostWhy, trouble, rate, lostFor, behind, roundTrip } = usePerformerState();
  const waits: Partial<Record<LiveSource, string>> = {
    gamepad: 'no gamepad yet: press one of its buttons',
    camera: 'asking for the camera …',
    microphone: 'asking for the microphone …',
    tracker: 'nobody yet: the tracker connects to the address below',
    simulated: 'coming …',
  };
  return (
    <span role="status" className="flex min-w-0 flex-1 items-center gap-1.5 text-[13px]">
      {presence === 'nobody' && <span className="text-faint">{trouble || waits[source]}</span>}
      {presence === 'there' && (
        <>
          <Check size={15} className="text-good" aria-hidden />
          <b className="shrink-0 text-good tabular-nums">
            {rate < 10 ? rate : Math.round(rate / 5) * 5} a second
          </b>
          <span
            className="truncate text-faint"
            title={`${behind} ms by itself, ${roundTrip.toFixed(1)} ms on the way`}
          >
            {name}, {Math.round(latencyOf())} ms behind, made up for
          </span>
        </>
      )}
      {presence === 'lost' && (
        <b className="text-wrong tabular-nums">
          lost {lostFor.toFixed(1)} s, {useLive.getState().holds || lostFor < 0.5 ? 'holding' : 'at rest'}
          {[lostWhy, trouble].filter((why) => why).map((why) => `: ${why}`)}
        </b>
      )}
      {presence === 'away' && (
        <b className="text-wrong">
          {name || WHAT[source] || 'The performer'}{' '}
          {source === 'tracker' || source === 'simulated' ? 'has gone' : 'is not there'}
          {trouble && `: ${trouble}`}
        </b>
      )}
      {presence === 'away' && (source === 'microphone' || source === 'camera') && (
        <button
          className="btn shrink-0 px-2 py-0"
          onClick={() => useLive.setState((s) => ({ asked: s.asked + 1 }))}
        >
          Try again
        </button>
      )}
      {presence === 'there' && trouble && (
        <span className="flex items-center gap-1 text-wrong">
          <CircleAlert size={14} aria-hidden /> {trouble}
        </span>
      )}
    </span>
  );
}

export function NeutralTaken() {
  const at = usePerformerState((s) => s.neutralAt);
  return (
    <span className="text-faint">
      {at
        ? `taken ${new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}`
        : 'none taken: mouth shut, looking ahead'}
    </span>
  );
}
