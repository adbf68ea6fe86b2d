import { useState } from 'react';
import { NameInput } from './NameInput';

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
  const [editing, setEditing] = useState(false);
  if (editing)
    return (
      <NameInput
        label={label}
        name={name}
        rename={rename}
        done={() => setEditing(false)}
        className={className}
      />
    );
  return (
    <button
      aria-label={`${label}: ${name}. Rename`}
      title="Rename"
      className={`block w-full truncate rounded text-left font-display font-semibold hover:bg-tide/60 ${className}`}
      onClick={() => setEditing(true)}
    >
      {name}
    </button>
  );
}
