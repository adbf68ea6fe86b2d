import { Maximize, Minimize, ZoomIn, ZoomOut } from 'lucide-react';
import { useRoom } from '../room/room';
import { useSight, ZOOM_STEP } from './sight';

/** How near the face is: closer, further, the head, the figure, as large as it was drawn, and nothing beside it. */
export function SightButtons({ percent, moved }: { percent: number; moved: boolean }) {
  const commands = useSight((s) => s.commands);
  const alone = useRoom((s) => s.alone);
  if (!commands) return null;
  return (
    <div
      role="group"
      aria-label="What the stage shows"
      className="absolute right-3 bottom-2.5 flex @max-[200px]/stage:right-1 items-center rounded-lg border border-line bg-card/90 text-[12px] shadow-sm"
    >
      <Small spared label="Further away" hint="Further away (-)" press={() => commands.zoom(ZOOM_STEP)}>
        <ZoomOut size={14} aria-hidden />
      </Small>
      <Small
        spared
        label={`As drawn, now ${percent} %`}
        hint="As large as it was drawn: 1 to 1 (=)"
        press={commands.actual}
      >
        <span className="w-9 text-center">{percent} %</span>
      </Small>
      <Small spared label="Closer" hint="Closer (+)" press={() => commands.zoom(1 / ZOOM_STEP)}>
        <ZoomIn size={14} aria-hidden />
      </Small>
      <Small label="Fit head" hint="The head (F)" press={commands.fitHead} faint={!moved}>
        Fit head
      </Small>
      <Small spared label="Fit figure" hint="The whole figure (Shift+F)" press={commands.fitFigure}>
        figure
      </Small>
      <Small
        label={alone ? 'Everything round the stage again' : 'The stage alone'}
        hint={alone ? 'Bring the panels back (Alt+Enter, Escape)' : 'The stage alone (Alt+Enter)'}
        press={() => useRoom.getState().standAlone(!alone)}
      >
        {alone ? <Minimize size={14} aria-hidden /> : <Maximize size={14} aria-hidden />}
      </Small>
    </div>
  );
}

function Small({
  label,
  hint,
  press,
  faint = false,
  spared = false,
  children,
}: {
  label: string;
  hint: string;
  press: () => void;
  faint?: boolean;
  /** Whether it is left to the keys where the stage is small. */
  spared?: boolean;
  children: React.ReactNode;
}) {
  return (
    <button
      aria-label={label}
      title={hint}
      onClick={press}
      className={`grid min-h-7 min-w-7 place-items-center rounded-lg px-1.5 whitespace-nowrap hover:bg-tide/60 ${faint ? 'text-faint' : ''} ${spared ? '@max-[300px]/stage:hidden' : ''}`}
    >
      {children}
    </button>
  );
}
