import { memo } from 'react';
import type { Shot } from '../api/client';
import type { Span } from '../line/spans';
import type { Lane, Paper } from './lanes';

interface Seen {
  lane: Lane;
  paper: Paper;
  first: number;
  last: number;
}

/** The sound as a wave form. */
export const SoundLane = memo(function SoundLane({
  lane,
  paper,
  first,
  last,
  peaks,
  frames,
}: Seen & { peaks: number[]; frames: number }) {
  if (peaks.length === 0) return null;
  const most = Math.max(0.05, ...peaks);
  const middle = lane.at + lane.size / 2;
  const half = lane.size / 2 - 3;
  const perFrame = peaks.length / frames;
  const from = Math.max(0, Math.floor(first * perFrame));
  const to = Math.min(peaks.length - 1, Math.ceil((last + 1) * perFrame));
  const side = (sign: number): [number, number][] => {
    const points: [number, number][] = [];
    for (let i = from; i <= to; i++)
      points.push(paper.at((i + 0.5) / perFrame, middle + (sign * half * peaks[i]!) / most));
    return points;
  };
  return <path d={paper.path([...side(1), ...side(-1).reverse()]) + 'Z'} className="fill-faint" />;
});

/** The words that are said, with their sounds. */
export const WordsLane = memo(function WordsLane({ lane, paper, first, last, shot }: Seen & { shot: Shot }) {
  const rate = shot.rules.frameRate;
  const { across, zoom } = paper;
  const sounds = across ? 14 : 22;
  return (
    <>
      {shot.lines.flatMap((placed) =>
        placed.line.words.map((w, i) => {
          const from = placed.at + w.start * rate;
          const to = placed.at + w.end * rate;
          if (to < first || from > last) return null;
          const r = paper.rect(from, to, lane.at + 1, lane.size - 2 - sounds);
          return (
            <svg key={`${placed.at} ${i}`} {...r} overflow="hidden">
              <title>{w.text}</title>
              <rect width="100%" height="100%" className="fill-drawn stroke-card" />
              {(across ? r.width > 12 : r.height > 11) && (
                <text x="3" y="13" className="fill-[#10313f] text-[12px] font-bold">
                  {w.text}
                </text>
              )}
            </svg>
          );
        }),
      )}
      {zoom >= 9 &&
        shot.lines.flatMap((placed) =>
          placed.line.phones.map((p, i) => {
            const from = placed.at + p.start * rate;
            if (from > last || placed.at + p.end * rate < first) return null;
            const r = paper.rect(from, placed.at + p.end * rate, lane.at + lane.size - sounds, sounds);
            if ((across ? r.width : r.height) < 9) return null;
            return (
              <text key={`${placed.at} ${i}`} x={r.x + 2} y={r.y + 10} className="fill-faint text-[10.5px]">
                {p.phone}
              </text>
            );
          }),
        )}
    </>
  );
});

/** The mouth of every frame, each as a card as long as it is held; below a legible size bands with how many there are. */
export const MouthLane = memo(function MouthLane({
  lane,
  paper,
  first,
  last,
  runs,
  pins,
  chosen,
  thumb,
  name,
}: Seen & {
  runs: Span[];
  pins: Record<string, string>;
  chosen: string | null;
  thumb: (drawing: string) => string;
  name: (drawing: string) => string;
}) {
  const { across, zoom } = paper;
  const bands: Span[] = [];
  const cards: Span[] = [];
  for (const r of runs) {
    if (r.to < first || r.from > last) continue;
    if ((r.to - r.from + 1) * zoom >= 13) cards.push(r);
    else {
      const before = bands.at(-1);
      if (before && before.to === r.from - 1) {
        before.to = r.to;
        before.what = String(Number(before.what) + 1);
      } else bands.push({ from: r.from, to: r.to, what: '1' });
    }
  }
  return (
    <>
      {bands.map((b) => {
        const r = paper.rect(b.from, b.to + 1, lane.at + 3, lane.size - 6);
        const long = across ? r.width : r.height;
        return (
          <g key={`band ${b.from}`}>
            <title>{`${b.what} mouths`}</title>
            <rect {...r} rx="3" className="fill-drawn stroke-line" />
            {long > 14 && (
              <text
                x={r.x + r.width / 2}
                y={r.y + r.height / 2 + 4}
                textAnchor="middle"
                className="fill-[#10313f] text-[11px]"
              >
                {b.what}
              </text>
            )}
          </g>
        );
      })}
      {cards.map((c) => {
        const r = paper.rect(c.from, c.to + 1, lane.at + 2, lane.size - 4);
        const id = `mouth ${c.from} ${c.to}`;
        const pinned = Object.keys(pins).some((f) => Number(f) >= c.from && Number(f) <= c.to);
        return (
          <g
            key={c.from}
            data-item={id}
            data-mouth={`${c.from} ${c.to} ${c.what}`}
            className="cursor-pointer"
          >
            <title>{`${name(c.what)}: frames ${c.from + 1} to ${c.to + 1}${pinned ? ', pinned' : ''}`}</title>
            <rect
              x={r.x + 0.5}
              y={r.y + 0.5}
              width={r.width - 1}
              height={r.height - 1}
              rx="4"
              className={`fill-stage ${chosen === id ? 'stroke-chosen' : pinned ? 'stroke-ink' : 'stroke-line'}`}
              strokeWidth={chosen === id || pinned ? 2 : 1}
            />
            <use href={thumb(c.what)} x={r.x + 2} y={r.y + 2} width={r.width - 4} height={r.height - 4} />
          </g>
        );
      })}
    </>
  );
});
