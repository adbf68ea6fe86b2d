import { useDesk } from '../state/desk';
import type { Lane, Paper } from './lanes';
import { useSheet } from './sheetState';
import { useShotFindings } from './useShotFindings';

/** The ground: exposures in bands, lanes with their edges. */
export function Ground({
  paper,
  first,
  last,
  wide,
  lanes,
  exposure,
  rate,
}: {
  paper: Paper;
  first: number;
  last: number;
  wide: number;
  lanes: Lane[];
  exposure: number;
  rate: number;
}) {
  const { zoom } = paper;
  const band = Math.max(exposure * 2, zoom < 4 ? rate * 2 : 0);
  const bands = [];
  for (let f = Math.floor(first / band) * band; f <= last; f += band) bands.push(f);
  return (
    <>
      <rect {...paper.rect(first, last + 1, 0, wide)} fill="transparent" />
      {bands.map((f) => (
        <rect
          key={f}
          {...paper.rect(f, Math.min(last + 1, f + band / 2), 0, wide)}
          className="fill-paper"
          opacity="0.6"
        />
      ))}
      {lanes.map((l) => (
        <path
          key={l.key}
          d={paper.path([paper.at(first, l.at), paper.at(last + 1, l.at)])}
          className="stroke-line"
          fill="none"
        />
      ))}
    </>
  );
}

/** The numbers of the frames, which stay in sight beside whatever is scrolled to. */
export function Numbers({
  paper,
  first,
  last,
  rate,
  long,
  beside,
}: {
  paper: Paper;
  first: number;
  last: number;
  rate: number;
  long: number;
  beside: number;
}) {
  const { across, zoom } = paper;
  const checking = useSheet((s) => s.checking);
  const wrong = useShotFindings(checking).findings?.filter(
    (f) => !f.accepted && f.to > first && f.from <= last,
  );
  // so many frames that a number has room
  const least = (across ? 30 : 15) / zoom;
  const step = [1, 2, 5, 10, 25, 50, 100, 250, 500, 1000].find((s) => s >= least) ?? 1000;
  const numbers = [];
  for (let f = Math.ceil((first + 1) / step) * step - 1; f <= last; f += step) if (f >= 0) numbers.push(f);
  const from = first * zoom;
  const size = (last + 1 - first) * zoom;
  return (
    <div
      className={`pointer-events-none sticky z-20 bg-card ${across ? 'top-0 border-b' : 'left-0 border-r'} border-line`}
      style={across ? { height: beside, width: long } : { width: beside, height: long }}
    >
      <svg
        className="absolute"
        style={
          across ? { left: from, width: size, height: beside } : { top: from, height: size, width: beside }
        }
      >
        {wrong?.map((f) => {
          const [x, y] = paper.at(f.from - first, across ? beside - 4 : 0);
          const length = Math.max(3, (f.to - f.from) * zoom - 1);
          return (
            <rect
              key={`${f.code} ${f.subject.part} ${f.subject.dial} ${f.from}`}
              x={x}
              y={y}
              width={across ? length : 4}
              height={across ? 4 : length}
              className="fill-wrong"
            />
          );
        })}
        {numbers.map((f) => {
          const [x, y] = paper.at(f + 0.5 - first, across ? 19 : beside - 8);
          return (
            <text
              key={f}
              x={x}
              y={across ? y : y + 4}
              textAnchor={across ? 'middle' : 'end'}
              className={`text-[11.5px] ${(f + 1) % rate === 0 ? 'fill-ink font-bold' : 'fill-faint'}`}
            >
              {f + 1}
            </text>
          );
        })}
      </svg>
    </div>
  );
}

/** Where the shot stands: one line over all tracks, with the number of its frame. */
export function SheetHead({
  across,
  zoom,
  long,
  wide,
  head,
  beside,
}: {
  across: boolean;
  zoom: number;
  long: number;
  wide: number;
  head: number;
  beside: number;
}) {
  const frame = useDesk((s) => s.frame);
  const at = Math.min(long, (frame + 0.5) * zoom);
  return (
    <div
      className="pointer-events-none absolute z-[25] will-change-transform"
      style={
        across
          ? { left: head, top: 0, height: beside + wide, width: 0, transform: `translateX(${at}px)` }
          : { top: head, left: 0, width: beside + wide, height: 0, transform: `translateY(${at}px)` }
      }
    >
      <div
        className={across ? 'absolute inset-y-0 w-[1.5px] bg-doing' : 'absolute inset-x-0 h-[1.5px] bg-doing'}
      />
      <span
        className={`absolute rounded bg-doing px-1.5 text-[11.5px] leading-5 font-bold text-on-doing ${
          across ? 'top-0.5 -translate-x-1/2' : 'left-0.5 -translate-y-1/2'
        }`}
      >
        {frame + 1}
      </span>
    </div>
  );
}
