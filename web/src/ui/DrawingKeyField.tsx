import { useState } from 'react';
import { useStudio } from '../state/studio';

/** The key that shows a drawing: press it here to give it, Backspace to take it away. */
export function DrawingKeyField({
  part,
  drawing,
  name,
  className = 'w-[4.3rem]',
}: {
  part: string;
  /** Of one of its drawings, or nothing. */
  drawing: string;
  name: string;
  className?: string;
}) {
  const { view, edit } = useStudio();
  const [asking, setAsking] = useState(false);
  const key = view.character.keys.find((k) => k.part === part && k.drawing === drawing)?.key ?? '';
  const give = async (pressed: string) => {
    if (pressed !== key) await edit({ kind: 'set-key', part, drawing, key: pressed });
  };
  return (
    <input
      className={`field px-1.5 py-0 text-center text-[12px] ${className}`}
      aria-label={`Key for ${name}`}
      title="Click, then press a letter or a digit: from then on that key shows this drawing"
      readOnly
      value={asking ? 'press …' : key ? `key ${key}` : 'no key'}
      onFocus={() => setAsking(true)}
      onBlur={() => setAsking(false)}
      onKeyDown={(e) => {
        if (e.ctrlKey || e.metaKey || e.altKey || e.key === 'Tab') return;
        e.preventDefault();
        e.stopPropagation();
        if (e.key === 'Backspace' || e.key === 'Delete') void give('');
        else if (e.key.length === 1) void give(e.key.toLowerCase());
        if (e.key !== 'Shift') e.currentTarget.blur();
      }}
    />
  );
}
