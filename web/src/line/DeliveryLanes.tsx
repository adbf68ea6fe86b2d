import { moodItems, timingItems } from '../shot/spanItems';
import { type Item } from '../shot/item';
import { useStudio } from '../state/studio';
import { SpanBar } from './SpanBar';

/** Stretches of the line that are said in another mood, and those whose mouths lead and hold otherwise. */
export function DeliveryLanes({ frames }: { frames: number }) {
  const { line, view } = useStudio();
  if (!line) return null;
  const { moods, timings } = line.shot.tracks;
  return (
    <>
      {moods.length > 0 && (
        <Spans items={moodItems(moods, view.character)} what="Mood" frames={frames} testid="moods" />
      )}
      {timings.length > 0 && (
        <Spans items={timingItems(timings)} what="Mouths" frames={frames} testid="timings" />
      )}
    </>
  );
}

function Spans({
  items,
  what,
  frames,
  testid,
}: {
  items: Item[];
  what: string;
  frames: number;
  testid: string;
}) {
  const { editLine } = useStudio();
  return (
    <div className="relative h-[18px]" data-testid={testid} data-spans>
      {items.map((i) => {
        const text = i.more ? `${i.label}, ${i.more}` : i.label;
        return (
          <SpanBar
            key={i.id}
            from={i.from}
            to={i.to}
            frames={frames}
            label={`${what} ${text}`}
            text={text}
            gone={i.gone}
            over={(from, to) => {
              const edit = i.over(from, to);
              if (edit) void editLine(edit);
            }}
            drop={() => void editLine({ kind: 'clear-frames', tracks: [i.track], from: i.from, to: i.to })}
          />
        );
      })}
    </div>
  );
}
