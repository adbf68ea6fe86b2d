import { useState } from 'react';

/** A key to be given by pressing it here; Backspace takes it away. */
export function KeyField({
  label,
  title,
  value,
  give,
  className = 'w-[4.3rem]',
}: {
  label: string;
  title: string;
  /** Empty for none. */
  value: string;
  give: (key: string) => Promise<unknown>;
  className?: string;
}) {
  const [asking, setAsking] = useState(false);
  return (
    <input
      className={`field px-1.5 py-0 text-center text-[12px] ${className}`}
      aria-label={label}
      title={title}
      readOnly
      value={asking ? 'press …' : value ? `key ${value}` : 'no key'}
      onFocus={() => setAsking(true)}
      onBlur={() => setAsking(false)}
      onKeyDown={(e) => {
        if (e.ctrlKey || e.metaKey || e.altKey || e.key === 'Tab') return;
        e.preventDefault();
        e.stopPropagation();
        const pressed = e.key === 'Backspace' || e.key === 'Delete' ? '' : e.key.toLowerCase();
        if (pressed.length <= 1 && pressed !== value) void give(pressed);
        if (e.key !== 'Shift') e.currentTarget.blur();
      }}
    />
  );
}
