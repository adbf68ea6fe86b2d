import { useQueryClient } from '@tanstack/react-query';
import { Unplug } from 'lucide-react';
import { useEffect, useState } from 'react';
import { api } from '../api/client';
import { useConnection } from '../api/connection';

/** Seconds between two tries to reach the server. */
const AGAIN = 3;

/**
 * Says, over the page as it is, that the server cannot be reached, and goes on asking for it. What was changed in the meantime
 * waits, and is sent when it is back.
 */
export function ConnectionBar() {
  const away = useConnection((s) => s.away);
  return away === null ? null : <Away message={away} />;
}

function Away({ message }: { message: string }) {
  const { waiting, drop } = useConnection();
  const queries = useQueryClient();
  const [left, setLeft] = useState(AGAIN);
  const asking = left <= 0;

  // what was shown while nobody answered may be older than it looks
  useEffect(() => () => void queries.invalidateQueries(), [queries]);

  useEffect(() => {
    let seconds = AGAIN;
    const timer = window.setInterval(() => {
      seconds--;
      setLeft(seconds);
      if (seconds > 0) return;
      const again = () => {
        seconds = AGAIN;
        setLeft(AGAIN);
      };
      if (seconds === 0) api.characters().then(again, again);
    }, 1000);
    return () => window.clearInterval(timer);
  }, []);

  return (
    <div
      role="status"
      data-testid="connection"
      className="fixed top-2 left-[226px] z-50 flex w-[400px] flex-wrap items-center gap-x-3 gap-y-1.5 rounded-lg border border-wrong bg-wrong-soft px-4 py-2 text-wrong shadow-lg"
    >
      <Unplug size={18} className="shrink-0" aria-hidden />
      <div className="min-w-0 flex-1 basis-[300px]">
        <b>{message}</b>
        {waiting > 0 && (
          <div className="text-[13px]">
            {waiting === 1 ? 'Your last change waits' : `${waiting} changes wait`} and will be sent when it is
            back.
          </div>
        )}
      </div>
      <span className="mr-auto shrink-0 text-[13px]" aria-hidden>
        {asking ? 'Asking …' : `Again in ${left} s`}
      </span>
      <button className="btn shrink-0" onClick={() => void api.characters().catch(() => {})}>
        Try now
      </button>
      {waiting > 0 && (
        <button className="btn shrink-0" onClick={drop}>
          Discard {waiting === 1 ? 'it' : 'them'}
        </button>
      )}
    </div>
  );
}
