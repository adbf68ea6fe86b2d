import type { ReadingView } from '../api/client';

/** How far a recording is read, or who is before it. */
export function ReadingProgress({ reading }: { reading: ReadingView | null }) {
  const share = reading?.state === 'READING' ? reading.share : 0;
  const message =
    reading === null
      ? 'Sending …'
      : reading.state === 'WAITING'
        ? reading.ahead > 0
          ? `${reading.ahead} before it`
          : 'Next to be read'
        : `Listening … ${Math.round(share * 100)} %`;
  return (
    <span className="mr-auto flex min-w-0 items-center gap-2 text-faint">
      <span
        role="progressbar"
        aria-label="Reading the recording"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(share * 100)}
        className="h-2 w-28 shrink-0 overflow-hidden rounded-full bg-line"
      >
        <span className="block h-full rounded-full bg-doing" style={{ width: `${share * 100}%` }} />
      </span>
      <span className="truncate text-[13px]">{message}</span>
    </span>
  );
}
