import { useEffect, useEffectEvent, useState } from 'react';
import { typed } from '../shelf/values';
import { PAUSE } from './pause';

/** A number that is typed, with arithmetic; arrow keys step it. Enter or leaving keeps it, Escape does not. */
export function NumberField({
  label,
  value,
  unit = '',
  step = 1,
  keep,
  disabled = false,
  bare = false,
}: {
  label: string;
  value: number;
  unit?: string;
  step?: number;
  keep: (value: number) => void;
  disabled?: boolean;
  /** Its label is only heard, since what stands beside it says what it is. */
  bare?: boolean;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  const plain = String(Math.round(value * 100) / 100);
  const done = () => {
    if (draft === null) return;
    const v = typed(draft.replace(unit, ''));
    if (v === null) {
      setWrong(true);
      return;
    }
    setDraft(null);
    setWrong(false);
    if (v !== Math.round(value * 100) / 100) keep(v);
  };
  // a row of presses is one edit, made after a pause; leaving the field and Enter do not wait for it
  const [stepped, setStepped] = useState(0);
  const finish = useEffectEvent(() => done());
  useEffect(() => {
    if (stepped === 0) return;
    const timer = window.setTimeout(finish, PAUSE);
    return () => window.clearTimeout(timer);
  }, [stepped]);
  return (
    <label className="flex items-center gap-1.5">
      {!bare && <span className="w-14 shrink-0 text-right text-[12px] text-faint">{label}</span>}
      <input
        className={`field w-full min-w-0 tabular-nums ${wrong ? 'border-wrong text-wrong' : ''}`}
        aria-label={label}
        aria-invalid={wrong}
        title={wrong ? 'Not a number: try 12+3*2' : undefined}
        disabled={disabled}
        value={draft ?? plain + unit}
        onFocus={(e) => e.target.select()}
        onChange={(e) => {
          setDraft(e.target.value);
          setWrong(false);
        }}
        onBlur={() => {
          if (wrong) {
            setDraft(null);
            setWrong(false);
          } else done();
        }}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === 'Enter') {
            // in a form it keeps the number and does not send the rest
            e.preventDefault();
            done();
          }
          if (e.key === 'Escape') {
            setDraft(null);
            setWrong(false);
          }
          if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
            e.preventDefault();
            const by = step * (e.shiftKey ? 10 : e.altKey ? 0.1 : 1) * (e.key === 'ArrowUp' ? 1 : -1);
            const from = draft === null ? value : (typed(draft.replace(unit, '')) ?? value);
            setDraft(String(Math.round((from + by) * 1000) / 1000) + unit);
            setStepped((n) => n + 1);
          }
        }}
      />
    </label>
  );
}
