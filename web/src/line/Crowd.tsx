import { type Band } from './bands';

/** Several that are too narrow to be read, as one with their number. */
export function Crowd({
  band,
  pixels,
  what,
}: {
  band: Band<{ from: number; to: number }>;
  pixels: number;
  what: string;
}) {
  const wide = band.to - band.from;
  return (
    <span
      aria-hidden
      className="pointer-events-none absolute top-[3px] bottom-[3px] overflow-hidden rounded-sm bg-tide/70 text-center text-[11px] leading-[14px] text-ink"
      style={{
        left: `calc(${(band.from / pixels) * 100}% + 1px)`,
        width: `calc(${(wide / pixels) * 100}% - 2px)`,
      }}
      title={`${band.items.length} ${what}`}
    >
      {wide > 16 && band.items.length > 1 ? band.items.length : ''}
    </span>
  );
}
