import type { Way } from '../api/client';

/** A curve as its four numbers, typed. */
export function Bezier({ way, set }: { way: Way; set: (way: Way) => void }) {
  if (way.kind !== 'curve') return null;
  const text = [way.x1, way.y1, way.x2, way.y2].map((n) => +n.toFixed(3)).join(' ');
  const keep = (typed: string) => {
    const n = typed
      .split(/[\s,]+/)
      .filter((t) => t !== '')
      .map(Number);
    const [x1, y1, x2, y2] = n;
    if (n.length !== 4 || n.some((v) => !Number.isFinite(v)) || x1! < 0 || x1! > 1 || x2! < 0 || x2! > 1)
      return false;
    if (typed !== text) set({ kind: 'curve', x1: x1!, y1: y1!, x2: x2!, y2: y2! });
    return true;
  };
  return (
    <label className="flex items-center gap-1.5">
      <span className="text-faint">cubic-bezier</span>
      <input
        className="field w-[158px] py-0"
        defaultValue={text}
        title="Four numbers; the first and the third from 0 to 1"
        onBlur={(e) => {
          if (!keep(e.target.value)) e.target.value = text;
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter') e.currentTarget.blur();
          if (e.key === 'Escape') {
            e.currentTarget.value = text;
            e.currentTarget.blur();
          }
        }}
      />
    </label>
  );
}
