/** One of several words, as the browser's own list: it is quick, and every screen reader knows it. */
export function Choice({
  label,
  value,
  options,
  choose,
  disabled = false,
}: {
  label: string;
  value: string;
  options: [string, string][];
  choose: (value: string) => void;
  disabled?: boolean;
}) {
  return (
    <label className="flex items-center gap-1.5">
      <span className="w-14 shrink-0 text-right text-[12px] text-faint">{label}</span>
      <select
        aria-label={label}
        className="field w-full min-w-0"
        value={value}
        disabled={disabled}
        onChange={(e) => choose(e.target.value)}
      >
        {options.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
