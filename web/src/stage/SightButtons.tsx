import { Maximize, Minimize, ZoomIn, ZoomOut } from 'lucide-react';
import { useKeyOf } from '../app/keymap';
import { type CommandId, wordsOf } from '../app/commands';
import { useCommands } from '../app/useCommands';
import { useRoom } from '../room/room';

/** How near the face is: closer, further, the head, the figure, as large as it was drawn, and nothing beside it. */
export function SightButtons({ percent, moved }: { percent: number; moved: boolean }) {
  const alone = useRoom((s) => s.alone);
  if (useCommands().head.off) return null;
  return (
    <div
      role="group"
      aria-label="What the stage shows"
      className="absolute right-3 bottom-2.5 flex @max-[200px]/stage:right-1 items-center rounded-lg border border-line bg-card/90 text-[12px] shadow-sm"
    >
      <Small spared command="further">
        <ZoomOut size={14} aria-hidden />
      </Small>
      <Small spared command="actual" label={`As drawn, now ${percent} %`}>
        <span className="w-9 text-center">{percent} %</span>
      </Small>
      <Small spared command="closer">
        <ZoomIn size={14} aria-hidden />
      </Small>
      <Small command="head" faint={!moved}>
        Fit head
      </Small>
      <Small spared command="figure">
        figure
      </Small>
      <Small command="alone" {...(alone && { label: 'Everything round the stage again' })}>
        {alone ? <Minimize size={14} aria-hidden /> : <Maximize size={14} aria-hidden />}
      </Small>
    </div>
  );
}

function Small({
  command,
  label = wordsOf(command).name,
  faint = false,
  spared = false,
  children,
}: {
  command: CommandId;
  label?: string;
  faint?: boolean;
  /** Whether it is left to the keys where the stage is small. */
  spared?: boolean;
  children: React.ReactNode;
}) {
  const { run } = useCommands()[command];
  const key = useKeyOf(command);
  return (
    <button
      aria-label={label}
      title={key === '' ? label : `${label} (${key})`}
      onClick={run}
      className={`grid min-h-7 min-w-7 place-items-center rounded-lg px-1.5 whitespace-nowrap hover:bg-tide/60 ${faint ? 'text-faint' : ''} ${spared ? '@max-[300px]/stage:hidden' : ''}`}
    >
      {children}
    </button>
  );
}
