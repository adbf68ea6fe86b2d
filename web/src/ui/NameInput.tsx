import { useState } from 'react';

/** A field for a name that is there: Enter or leaving it keeps what is typed, Escape does not. */
export function NameInput({
  label,
  name,
  rename,
  done,
  className = '',
}: {
  label: string;
  name: string;
  /** Whether it was taken; refused, the field stays with what was typed. */
  rename: (name: string) => Promise<boolean>;
  done: () => void;
  className?: string;
}) {
  const [draft, setDraft] = useState(name);
  const keep = async () => {
    if (draft.trim() === name || draft.trim() === '' || (await rename(draft))) done();
  };
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
        if (e.key === 'Escape') done();
      }}
    />
  );
}
