import { X } from 'lucide-react';
import { useStudio } from '../state/studio';

/** One message at a time, at the foot of the page, until it is read. */
export function MessageBar() {
  const { message, tell } = useStudio();
  if (!message) return null;
  return (
    <div
      role="alert"
      className={`fixed bottom-3 left-1/2 z-40 flex max-w-2xl -translate-x-1/2 items-start gap-3 rounded-lg border px-4 py-2.5 shadow-lg ${
        message.bad ? 'border-wrong bg-wrong-soft text-wrong' : 'border-line bg-card'
      }`}
    >
      <div>
        {message.message}
        {message.more?.map((m) => (
          <div key={m} className="text-[13px]">
            · {m}
          </div>
        ))}
      </div>
      <button aria-label="Close this message" onClick={() => tell(null)}>
        <X size={16} />
      </button>
    </div>
  );
}
