import { Sparkles } from 'lucide-react';

/** What is said and offered before a set is made. */
export function MakeSet({
  own,
  gaps,
  make,
}: {
  /** How many sounds have a mouth of their own, and how many have none. */
  own: number;
  gaps: number;
  make: (fill: boolean, again: boolean) => void;
}) {
  return (
    <div className="mt-2 flex items-center gap-3 rounded-xl border border-dashed border-line bg-paper p-3">
      <p className="min-w-0 flex-1 text-[13.5px]">
        {own <= 1
          ? 'One mouth is enough. The others are made from it: lips of the same length, upper teeth that never move, jaw and tongue for every sound.'
          : gaps > 0
            ? `${own} mouths are drawn. What is missing is made from the mouth at rest; drawn ones are kept.`
            : 'All mouths are drawn. A set made from the mouth at rest follows rulers; the drawn ones stay and can serve again.'}
      </p>
      <div className="flex shrink-0 flex-col gap-1.5">
        {gaps > 0 && (
          <button className="btn-do" onClick={() => make(true, false)}>
            <Sparkles size={14} aria-hidden />
            {own <= 1 ? 'Make the whole set' : `Make the other ${gaps}`}
          </button>
        )}
        {own > 1 && (
          <button
            className={gaps > 0 ? 'btn' : 'btn-do'}
            title="The drawn mouths stay in the set and can serve again"
            onClick={() => make(true, true)}
          >
            <Sparkles size={14} aria-hidden /> Make all from one
          </button>
        )}
      </div>
    </div>
  );
}
