import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useDesk } from '../state/desk';
import { told } from '../ui/told';

/** What was acted last, of anybody: three moments of each, and a click goes on with it. */
export function RecentShots() {
  const latest = useQuery({
    queryKey: ['latest'],
    queryFn: () => api.latestShots(6),
    refetchOnMount: 'always',
  });
  if (!latest.data?.length) return null;
  return (
    <section aria-labelledby="latest" className="mt-5">
      <h2 id="latest" className="text-[17px] font-semibold">
        Latest shots
      </h2>
      <ul className="mt-2 space-y-2">
        {latest.data.map((s) => (
          <li key={s.id}>
            <button
              className="flex w-full items-center gap-3 rounded-xl border border-line bg-card px-2.5 py-2 text-left hover:border-chosen"
              onClick={() => {
                const desk = useDesk.getState();
                desk.open(s.character);
                desk.say(s.id);
                desk.go('shot');
              }}
            >
              <img
                src={api.momentsUrl(s)}
                alt=""
                loading="lazy"
                decoding="async"
                className="h-[46px] w-[138px] shrink-0 rounded bg-stage object-contain max-[1100px]:w-[96px]"
              />
              <span className="min-w-0">
                <span className="block truncate font-display text-[15px] font-semibold">
                  {s.name || 'A shot'}
                </span>
                <span className="block truncate text-[12px] text-faint">
                  {s.characterName} · {s.seconds.toFixed(1)} s
                </span>
                <span className="block text-[12px] text-faint">{told(s.changedAt, new Date())}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
