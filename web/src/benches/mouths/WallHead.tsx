import { api, type WallView } from '../../api/client';
import { useStudio } from '../../state/studio';

/** What the wall is, as pages to print, and how many mouths it has. */
export function WallHead({
  wall,
  own,
  off,
  mood,
  make,
}: {
  wall: WallView;
  /** How many sounds have a mouth of their own. */
  own: number;
  /** How many mouths leave the model; null while that is measured. */
  off: number | null;
  /** The row the pages are of. */
  mood: string;
  make: (fill: boolean, again: boolean) => void;
}) {
  const { view, edit } = useStudio();
  const { id } = view;
  return (
    <header className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <h1 className="text-2xl font-bold">Mouths</h1>
      <span className="min-w-40 flex-1 truncate text-[13px] text-faint">
        {off === null ? '' : off === 0 ? 'on model · ' : `${off} off model · `}
        {own} of {wall.sounds.length} mouths
      </span>
      <a
        className="text-[12.5px] whitespace-nowrap underline decoration-dotted"
        href={api.chartUrl(id, mood, 'svg')}
        target="_blank"
        rel="noreferrer"
        title="A page to print: every mouth with its sounds and example words"
      >
        chart page
      </a>
      <a
        className="-ml-2 text-[12.5px] whitespace-nowrap underline decoration-dotted"
        href={api.chartUrl(id, mood, 'pdf')}
        target="_blank"
        rel="noreferrer"
        aria-label="Chart page as PDF"
      >
        PDF
      </a>
      {wall.made && (
        <select
          className="field py-0.5 text-[12.5px]"
          aria-label="How many mouths serve all sounds"
          value=""
          onChange={(e) =>
            void (e.target.value === 'all'
              ? make(true, false)
              : edit({ kind: 'thin-mouths', count: Number(e.target.value) }))
          }
        >
          <option value="">how many …</option>
          <option value="all">all 17</option>
          <option value="9">9 do</option>
          <option value="5">5 do</option>
        </select>
      )}
    </header>
  );
}
