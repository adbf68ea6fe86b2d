import { useEffect, useRef, useState } from 'react';
import type { Artwork, Character, Placed } from '../api/client';
import { Painter } from '../stage/painter';
import { useLive } from '../live/liveState';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { Compare } from './Compare';
import { useSheet } from './sheetState';

/** Which frames show through, how far from the one on the stage, and how they are told apart. */
const NEIGHBOURS = [
  { by: -2, colour: 'var(--chosen)', faint: 0.35 },
  { by: -1, colour: 'var(--chosen)', faint: 0.7 },
  { by: 1, colour: 'var(--doing)', faint: 0.7 },
];
/** Frames before and after that a path is drawn over. */
const FAR = 16;

/** The frames before and after as tinted line art, and the path of the chosen part with a tick a frame. */
export function Skins({
  character,
  artwork,
  groupOf,
}: {
  character: Character;
  artwork: Artwork;
  groupOf: (part: string) => SVGGElement | undefined;
}) {
  const onion = useSheet((s) => s.onion);
  const path = useSheet((s) => s.path);
  const playing = useDesk((s) => s.playing);
  const part = useDesk((s) => s.part);
  if (playing) return null;
  return (
    <>
      {onion && <Onion character={character} artwork={artwork} />}
      {path && part && <PartPath key={part} part={part} groupOf={groupOf} />}
    </>
  );
}

function Onion({ character, artwork }: { character: Character; artwork: Artwork }) {
  const groups = useRef<(SVGGElement | null)[]>([]);
  const painters = useRef<Painter[]>([]);
  const frame = useDesk((s) => s.frame);
  const open = useActed((s) => s.open);
  useEffect(() => {
    painters.current = groups.current.map((g) => new Painter(g!, character, artwork));
  }, [character, artwork]);
  const frames = useActed((s) => s.shot?.frames ?? 0);
  const exposure = useActed((s) => s.shot?.rules.exposure ?? 1);
  useEffect(() => {
    NEIGHBOURS.forEach(({ by }, i) => {
      const at = frame + by * exposure;
      const there = open !== null && at >= 0 && at < frames;
      groups.current[i]!.style.display = there ? '' : 'none';
      if (there) painters.current[i]?.show(open.frame(at, {}));
    });
  }, [frame, open, frames, exposure, character, artwork]);
  return (
    <g pointerEvents="none" data-testid="onion">
      {NEIGHBOURS.map(({ by, colour, faint }, i) => (
        <g
          key={by}
          ref={(g) => {
            groups.current[i] = g;
          }}
          className="line-art"
          style={{ '--line-art': colour, opacity: faint } as React.CSSProperties}
        />
      ))}
    </g>
  );
}

/** Where the middle of a part goes. */
function PartPath({ part, groupOf }: { part: string; groupOf: (part: string) => SVGGElement | undefined }) {
  const frame = useDesk((s) => s.frame);
  const open = useActed((s) => s.open);
  const frames = useActed((s) => s.shot?.frames ?? 0);
  const [middle, setMiddle] = useState<[number, number] | null>(null);
  useEffect(() => {
    // once the part is painted
    const soon = requestAnimationFrame(() => {
      const b = groupOf(part)?.getBBox();
      setMiddle(b && b.width + b.height > 0 ? [b.x + b.width / 2, b.y + b.height / 2] : null);
    });
    return () => cancelAnimationFrame(soon);
  }, [part, groupOf]);
  if (!open || !middle) return null;
  const points: { f: number; x: number; y: number }[] = [];
  for (let f = Math.max(0, frame - FAR); f <= Math.min(frames - 1, frame + FAR); f++) {
    const placed: Placed | undefined = open.frame(f, {}).placed.find((p) => p.part === part);
    if (!placed) continue;
    const [a, b, c, d, e, g] = placed.matrix as [number, number, number, number, number, number];
    points.push({ f, x: a * middle[0] + c * middle[1] + e, y: b * middle[0] + d * middle[1] + g });
  }
  return (
    <g pointerEvents="none" fill="none" data-testid="path">
      <polyline
        points={points.map((p) => `${p.x},${p.y}`).join(' ')}
        stroke="var(--color-stage-ink)"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
      {points.map((p) => (
        <circle
          key={p.f}
          cx={p.x}
          cy={p.y}
          r={p.f === frame ? 6 : 2.6}
          fill={p.f === frame ? 'var(--doing)' : 'var(--color-stage-ink)'}
        />
      ))}
    </g>
  );
}

/** The two switches, at the foot of the stage. */
export function SkinButtons() {
  const onion = useSheet((s) => s.onion);
  const path = useSheet((s) => s.path);
  const part = useDesk((s) => s.part);
  // while a take runs the stage says what ends it, and has nothing to decide
  const running = useLive((s) => s.phase.is !== 'idle');
  if (running) return null;
  return (
    <div className="absolute right-3 bottom-2.5 left-3 flex flex-wrap content-end @max-[300px]/stage:flex-nowrap @max-[300px]/stage:overflow-x-auto @max-[300px]/stage:[scrollbar-width:none] gap-1.5 @max-[640px]/stage:bottom-12 pointer-events-none [&>*]:pointer-events-auto">
      <button className="btn" aria-pressed={onion} onClick={() => useSheet.setState({ onion: !onion })}>
        Onion skin
      </button>
      <button
        className="btn"
        aria-pressed={path}
        onClick={() => useSheet.setState({ path: !path })}
        title={part ? 'Where the chosen part goes, a tick a frame' : 'Click a part to see where it goes'}
      >
        {path && !part ? 'Path: click a part' : 'Path'}
      </button>
      <Compare />
    </div>
  );
}
