import { useState } from 'react';

/** A name that is edited where it stands: click or Enter to begin, Enter to keep, Escape to leave it. */
export function EditableName({
  label,
  name,
  rename,
  className = '',
}: {
  label: string;
  name: string;
  rename: (name: string) => Promise<boolean>;
  className?: string;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const keep = async () => {
    if (draft === null) return;
    if (draft.trim() === name || draft.trim() === '') setDraft(null);
    else if (await rename(draft)) setDraft(null);
  };
  if (draft === null)
    return (
      <button
        aria-label={`${label}: ${name}. Rename`}
        title="Rename"
        className={`block w-full truncate rounded text-left font-display font-semibold hover:bg-tide/60 ${className}`}
        onClick={() => setDraft(name)}
      >
        {name}
      </button>
    );
  return (
    <input
      aria-label={label}
      className={`field w-full ${className}`}
      value={draft}
      maxLength={80}
      autoFocus
      onFocus={(e) => e.target.select()}
      onChange={(e) => setDraft(e.target.value)}
      onBlur={() => void keep()}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === 'Enter') void keep();
        if (e.key === 'Escape') setDraft(null);
      }}
    />
  );
}
