import { memo } from 'react';
import type { Dial, DialKey, Way } from '../api/client';
import { shown } from '../shelf/values';
import { bendAt, handleAt } from './curves';
import type { Chosen } from './sheetState';
import { type Lane, type Paper, placeOf } from './lanes';

const WORDS: Record<Way['kind'], string> = { hold: 'hold', even: 'even', smooth: 'smooth', curve: 'curve' };

/** About how wide a letter beside a key is, pixels. */
const LETTER = 6.1;

/** A value as it stands beside a key, where there is little room. */
const brief = (dial: Dial, value: number) =>
  dial.to - dial.from > 10 ? `${Math.round(value) || 0}${dial.unit}` : shown(dial, value);

/** The place of the first key behind a frame. */
function firstBehind(keys: DialKey[], frame: number): number {
  let low = 0;
  let high = keys.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (keys[middle]!.frame > frame) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** A dial drawn out in time: its way from key to key, with a tick a frame, so that its spacing is seen. */
export const DialLane = memo(function DialLane({
  lane,
  keys,
  values,
  paper,
  first,
  last,
  chosen,
}: {
  lane: Lane;
  keys: DialKey[];
  /** Where it stands at each frame; empty without rules. */
  values: Float64Array;
  paper: Paper;
  first: number;
  last: number;
  chosen: Chosen | null;
}) {
  const { across, zoom } = paper;
  const dial = lane.dial;
  const at = (frame: number, value: number) => paper.at(frame + 0.5, placeOf(lane, value, across));
  const picked = (k: DialKey) =>
    chosen !== null &&
    k.frame >= chosen.from &&
    k.frame < chosen.to &&
    chosen.tracks.some((t) => t.of === lane.track!.of && t.sort === 'DIAL');
  const rest = dial
    ? paper.path([
        paper.at(first, placeOf(lane, dial.rest, across)),
        paper.at(last, placeOf(lane, dial.rest, across)),
      ])
    : '';
  const ways: React.ReactNode[] = [];
  let ticks = '';
  const start = Math.max(0, firstBehind(keys, first - 3) - 1);
  const behind = firstBehind(keys, last + 2);
  for (let i = start; i < behind; i++) {
    const k = keys[i]!;
    const next = keys[i + 1];
    const end = next ? next.frame : last;
    if (end < first || k.frame > last) continue;
    const from = Math.max(first - 1, k.frame);
    const to = Math.min(last + 1, end);
    if (!next || k.way.kind === 'hold') {
      // held: two lines beside each other
      for (const by of [-1.8, 1.8])
        ways.push(
          <path
            key={`${k.frame} ${by}`}
            d={paper.path([from, to].map((f) => paper.at(f + 0.5, placeOf(lane, k.value, across) + by)))}
            className={next ? 'stroke-ink' : 'stroke-faint'}
            strokeWidth="1"
          />,
        );
      if (next && next.value !== k.value)
        ways.push(
          <path
            key={`jump ${k.frame}`}
            d={paper.path([at(end, k.value), at(end, next.value)])}
            className="stroke-ink"
            strokeWidth="1"
            strokeDasharray="2 3"
          />,
        );
      continue;
    }
    const points: [number, number][] = [];
    const step = Math.max(1, Math.floor(2 / zoom));
    for (let f = from; f < to; f += step) points.push(at(f, values[f] ?? k.value));
    points.push(at(to, to === end ? next.value : (values[to] ?? next.value)));
    ways.push(<path key={k.frame} d={paper.path(points)} className="stroke-ink" strokeWidth="1.8" />);
    if (zoom >= 7)
      for (let f = Math.max(first, k.frame + 1); f < Math.min(last + 1, end); f++) {
        const [x, y] = at(f, values[f] ?? k.value);
        ticks += across ? `M${x.toFixed(1)} ${y - 3.5}v7` : `M${x - 3.5} ${y.toFixed(1)}h7`;
      }
  }
  const bend =
    chosen &&
    dial &&
    chosen.to - chosen.from === 1 &&
    chosen.tracks.length === 1 &&
    chosen.tracks[0]!.of === lane.track!.of
      ? bendAt(keys, chosen.from)
      : null;
  return (
    <g fill="none">
      {rest && <path d={rest} className="stroke-line" strokeDasharray="1 4" strokeWidth="1.5" />}
      {keys[0] && keys[0].frame > first && (
        <path
          d={paper.path([
            paper.at(first, placeOf(lane, keys[0].value, across)),
            at(keys[0].frame, keys[0].value),
          ])}
          className="stroke-faint"
          strokeDasharray="4 3"
        />
      )}
      {ways}
      {ticks && <path d={ticks} className="stroke-ink" strokeWidth="1.2" />}
      {keys.slice(start, behind).map((k, n) => {
        const i = start + n;
        if (k.frame < first - 2) return null;
        const [x, y] = at(k.frame, k.value);
        const room = ((keys[i + 1]?.frame ?? Infinity) - k.frame) * zoom;
        const into = placeOf(lane, k.value, across) - lane.at;
        const left = !across && into > lane.size / 2;
        const words = dial ? `${brief(dial, k.value)} ${WORDS[k.way.kind]}` : String(k.value);
        // what would run into the lane beside it leaves out the way, which its curve tells as well
        const side = (left ? into : lane.size - into) - 10;
        const fits = across || words.length * LETTER <= side + 4;
        const on = picked(k);
        return (
          <g
            key={k.frame}
            data-item={`key ${lane.track!.of} ${k.frame}`}
            className={across ? 'cursor-move' : 'cursor-move'}
          >
            <rect x={x - 11} y={y - 9} width="22" height="18" fill="transparent" pointerEvents="all" />
            <rect
              x={x - (across ? 4.5 : 6.5)}
              y={y - (across ? 6.5 : 4.5)}
              width={across ? 9 : 13}
              height={across ? 13 : 9}
              rx="2"
              className={
                on ? 'fill-chosen stroke-card' : k.laid ? 'fill-card stroke-ink' : 'fill-ink stroke-card'
              }
              strokeWidth={k.laid && !on ? 1.6 : 1.2}
            />
            {(across ? room > 64 : zoom >= 11 || room > 16) && (
              <text
                x={across ? x + 8 : left ? x - 10 : x + 10}
                y={across ? y - 8 : y + 4}
                textAnchor={left ? 'end' : 'start'}
                className={`text-[11.5px] ${on ? 'fill-chosen' : 'fill-ink'}`}
                stroke="var(--card)"
                strokeWidth="3"
                paintOrder="stroke"
              >
                {fits || !dial ? words : brief(dial, k.value)}
              </text>
            )}
            <title>{`${lane.name} ${words}, frame ${k.frame + 1}${k.laid ? `. First pass: ${k.laid.why}` : ''}`}</title>
          </g>
        );
      })}
      {bend &&
        ([1, 2] as const).map((handle) => {
          const [x, y] = handleAt(bend, handle, lane, paper);
          const root = handle === 1 ? bend.key : bend.next;
          return (
            <g key={handle} data-handle={handle} className="cursor-grab">
              <path
                d={paper.path([at(root.frame, root.value), [x, y]])}
                className="stroke-chosen"
                strokeWidth="1.2"
              />
              <circle cx={x} cy={y} r="11" fill="transparent" pointerEvents="all" />
              <circle cx={x} cy={y} r="4.5" className="fill-card stroke-chosen" strokeWidth="2" />
              <title>Drag to bend the way; with Shift it keeps its slope</title>
            </g>
          );
        })}
    </g>
  );
});
