import { X } from 'lucide-react';
import { useRules } from '../rules/rules';
import { tell, useMessages } from '../state/messages';

/** One message at a time, at the foot of the page, until it is read. */
export function MessageBar() {
  const told = useMessages((s) => s.message);
  const missing = useRules((s) => s.missing);
  const message = told ?? (missing === '' ? null : { message: missing, bad: true, more: [] });
  if (!message) return null;
  const read = () => (told ? tell(null) : useRules.setState({ missing: '' }));
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
      <button aria-label="Close this message" onClick={read}>
        <X size={16} />
      </button>
    </div>
  );
}
