import { useDesk } from '../state/desk';
import { useLive } from './liveState';

/** Round the stage while a take is counted in or played: one colour, and nothing to decide. */
export function LiveFrame({ rate }: { rate: number }) {
  const phase = useLive((s) => s.phase);
  if (phase.is === 'idle') return null;
  return (
    <div
      className="pointer-events-none absolute inset-0 z-10 border-4 border-recording will-change-transform"
      data-testid="live-frame"
    >
      <div
        role="status"
        className="absolute top-2 left-2 rounded-md bg-recording px-3 py-1 text-[14px] font-bold text-on-doing"
      >
        {phase.is === 'counting' ? 'Get ready' : <Running rate={rate} />}
      </div>
      {phase.is === 'counting' && (
        <div className="absolute inset-0 grid place-items-center" aria-hidden>
          <span className="grid h-40 w-40 place-items-center rounded-full bg-recording/85 font-display text-[96px] leading-none font-bold text-on-doing">
            {phase.beat}
          </span>
        </div>
      )}
      <p className="absolute inset-x-0 bottom-3 text-center">
        <span className="rounded-md bg-recording px-3 py-1 text-[13px] text-on-doing">
          {phase.is === 'counting' ? 'Escape ends it' : 'Space stops and keeps · Escape throws away'}
        </span>
      </p>
    </div>
  );
}

function Running({ rate }: { rate: number }) {
  const frame = useDesk((s) => s.frame);
  return <>Writing {(frame / rate).toFixed(2)} s</>;
}
