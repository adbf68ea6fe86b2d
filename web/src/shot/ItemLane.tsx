import { memo } from 'react';
import type { Item } from './item';
import type { Lane, Paper } from './lanes';

/** What lies over a stretch: drawings as cards, looks as they come and go, cues, blinks, runs, notes. */
export const ItemLane = memo(function ItemLane({
  lane,
  items,
  paper,
  first,
  last,
  chosen,
  thumb,
}: {
  lane: Lane;
  items: Item[];
  paper: Paper;
  first: number;
  last: number;
  /** The one that was clicked. */
  chosen: string | null;
  /** The symbol that shows a drawing; empty for none. */
  thumb: (drawing: string) => string;
}) {
  const { across, zoom } = paper;
  return (
    <>
      {items.map((item) => {
        if (item.to < first || item.from > last) return null;
        const r = paper.rect(item.from, item.to, lane.at + 2, lane.size - 4);
        const on = chosen === item.id;
        const long = (item.to - item.from) * zoom;
        const drawing = item.of.kind === 'drawing' ? thumb(item.of.held.drawing) : '';
        const end = paper.rect(item.to - Math.min(1, 7 / zoom), item.to, lane.at + 2, lane.size - 4);
        const text = across ? r.width > 26 : r.height > 13;
        return (
          <g key={item.id} data-item={item.id} className="cursor-grab">
            <title>
              {`${item.label}${item.more ? `, ${item.more}` : ''}: frames ${item.from + 1} to ${item.to}${
                item.gone ? '. It is not there any more, so it does nothing; Delete takes it out' : ''
              }${item.laid ? `. First pass: ${item.laid}` : ''}`}
            </title>
            <Body item={item} lane={lane} paper={paper} on={on} />
            <svg {...r} overflow="hidden">
              {drawing && (
                <use
                  href={drawing}
                  x="2"
                  y="2"
                  width={across ? Math.min(r.height, r.width - 4) : r.width - 4}
                  height={across ? r.height - 4 : Math.max(1, Math.min(30, r.height - 4))}
                />
              )}
              {text &&
                !(item.of.kind === 'blink') &&
                !(drawing && (across ? r.width < 70 : r.height < 46)) && (
                  <text
                    x={drawing && across ? r.height + 4 : 5}
                    y={drawing && !across ? 43 : across ? Math.min(16, r.height / 2 + 4) : 13}
                    className={`text-[11.5px] font-bold ${item.gone ? 'fill-wrong' : 'fill-ink'}`}
                  >
                    {item.label}
                  </text>
                )}
              {item.more && long > 30 && !['blink', 'note', 'drawing'].includes(item.of.kind) && (
                <text x="5" y={across ? 30 : 27} className="fill-ink text-[11px]">
                  {item.more}
                </text>
              )}
              {item.of.kind === 'note' && (
                <foreignObject
                  x="5"
                  y={across ? 0 : 15}
                  width={Math.max(1, r.width - 8)}
                  height={Math.max(1, r.height - (across ? 0 : 15))}
                >
                  <div className="text-[11.5px] leading-[14px] text-ink">{item.more}</div>
                </foreignObject>
              )}
            </svg>
            {item.ends && (
              <rect
                {...end}
                data-end={item.id}
                fill="transparent"
                className={across ? 'cursor-ew-resize' : 'cursor-ns-resize'}
              />
            )}
          </g>
        );
      })}
    </>
  );
});

function Body({ item, lane, paper, on }: { item: Item; lane: Lane; paper: Paper; on: boolean }) {
  const r = paper.rect(item.from, item.to, lane.at + 2, lane.size - 4);
  const stroke = on ? 'stroke-chosen' : item.gone ? 'stroke-wrong' : 'stroke-line';
  const width = on ? 2 : 1;
  if (item.of.kind === 'look') {
    const { span } = item.of;
    const a = lane.at + 2;
    const b = lane.at + lane.size - 2;
    const full = paper.across
      ? b - (b - a) * Math.min(1, Math.abs(span.strength))
      : a + (b - a) * Math.min(1, Math.abs(span.strength));
    const base = paper.across ? b : a;
    const d =
      paper.path([
        paper.at(span.from, base),
        paper.at(Math.min(span.to, span.from + span.in), full),
        paper.at(Math.max(span.from, span.to - span.out), full),
        paper.at(span.to, base),
      ]) + 'Z';
    return (
      <>
        <rect {...r} fill="transparent" />
        <path
          d={d}
          className={`${item.gone ? 'fill-wrong-soft' : 'fill-tide'} ${stroke}`}
          strokeWidth={width}
        />
      </>
    );
  }
  if (item.of.kind === 'blink') {
    const { blink } = item.of;
    const open = lane.at + 6;
    const shut = lane.at + lane.size - 6;
    const f = blink.frame + 0.5;
    const d = paper.path([
      paper.at(f, paper.across ? open : open),
      paper.at(f + blink.down, shut),
      paper.at(f + blink.down + blink.hold, shut),
      paper.at(f + blink.down + blink.hold + blink.up, open),
    ]);
    return (
      <>
        <rect {...r} fill="transparent" />
        <path
          d={d + 'Z'}
          className={`${item.laid ? 'fill-drawn stroke-ink' : 'fill-ink'} ${on ? 'stroke-chosen' : ''}`}
          strokeWidth={on ? 2 : 1}
        />
      </>
    );
  }
  const fill =
    item.of.kind === 'note'
      ? 'fill-card'
      : item.of.kind === 'drawing'
        ? 'fill-stage'
        : item.gone
          ? 'fill-wrong-soft'
          : 'fill-drawn';
  const card = <rect {...r} rx="4" className={`${fill} ${stroke}`} strokeWidth={width} />;
  if (item.of.kind !== 'drawing' || item.of.held.in === 0) return card;
  // it comes over: a wedge of the drawing before, as many frames long
  const { held } = item.of;
  const [a, b] = [lane.at + 2, lane.at + lane.size - 2];
  const over =
    paper.path([
      paper.at(held.from, a),
      paper.at(held.from, b),
      paper.at(Math.min(held.to, held.from + held.in), paper.across ? b : a),
    ]) + 'Z';
  return (
    <>
      {card}
      <path d={over} className="fill-drawn stroke-line" />
    </>
  );
}
