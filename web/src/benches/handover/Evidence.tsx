import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, type Edit, type Frame, type Redrawn } from '../../api/client';
import { boundsOf, headView, type ViewBox } from '../../stage/view';
import { useActed } from '../../state/acted';
import { useStudio } from '../../state/studio';
import { FaceCrop } from '../../ui/FaceCrop';
import { around, type Entry } from './entries';

/** The frame that shows an entry: of the shot, or of the rig in the pose where it is worst. */
function useWorst(entry: Entry): Frame | undefined {
  const { view, director } = useStudio();
  const open = useActed((s) => s.open);
  const rig = useQuery({
    queryKey: ['pictures', view.id, view.revision, [entry.pose]],
    queryFn: () => director.framesOf([entry.pose]),
    placeholderData: (old) => old,
    enabled: entry.frame === null,
    gcTime: 10_000,
  });
  // painted in the state of the shot that was measured
  const acted = useMemo(
    () => (entry.frame !== null && open ? (open.frame(entry.frame, {}) as Frame) : undefined),
    [entry.frame, open],
  );
  return acted ?? rig.data?.[0];
}

/** What an edit would make of it; nothing while that is tried, or for an edit of the shot. */
function useMended(
  entry: Pick<Entry, 'pose'>,
  edit: Edit | undefined,
): { frame: Frame; redrawn: Redrawn[] } | undefined {
  const { view } = useStudio();
  const known = useMemo(() => new Set(view.character.rig.parts.map((p) => p.id)), [view]);
  const mended = useQuery({
    queryKey: ['mended', view.id, view.revision, entry.pose, edit],
    queryFn: () => api.pose(view.id, { pose: entry.pose, revision: view.revision, draft: edit! }),
    enabled: edit !== undefined,
    gcTime: 30_000,
  });
  if (!mended.data) return undefined;
  // parts a mend adds are not drawn here, and not in the way
  const frame = { placed: mended.data.frame.placed.filter((p) => known.has(p.part)) } as Frame;
  return { frame, redrawn: mended.data.redrawn };
}

/** The faulty place of an entry, ringed, as it is and as a mend would leave it. */
export function Evidence({ entry, mend, large }: { entry: Entry; mend?: Edit | undefined; large: boolean }) {
  const { view, artwork } = useStudio();
  const now = useWorst(entry);
  const mended = useMended(entry, large ? mend : undefined);
  const place = usePlace(entry, now);
  const size = large ? 'h-28 w-28' : 'h-14 w-14';
  const picture = (
    frame: Frame | undefined,
    redrawn: Redrawn[] | undefined,
    colour: string,
    label: string,
  ) => (
    <FaceCrop
      character={view.character}
      artwork={artwork}
      frame={frame}
      {...(redrawn ? { redrawn } : {})}
      box={place.crop}
      label={label}
      className={`${size} block rounded-md border border-line bg-stage`}
    >
      {place.ring && (
        <ellipse
          cx={place.ring.x + place.ring.w / 2}
          cy={place.ring.y + place.ring.h / 2}
          rx={Math.min(place.crop.w * 0.47, place.ring.w / 2 + place.crop.w * 0.06)}
          ry={Math.min(place.crop.h * 0.47, place.ring.h / 2 + place.crop.h * 0.06)}
          fill="none"
          className={colour}
          strokeWidth={place.crop.w * (large ? 0.022 : 0.04)}
        />
      )}
    </FaceCrop>
  );
  if (entry.seen === 'nothing') return null;
  if (!large) return picture(now, undefined, 'stroke-wrong', '');
  return (
    <div className="flex shrink-0 gap-2 text-center text-[12px]">
      <div>
        {picture(now, undefined, 'stroke-wrong', 'As it is')}
        <span className="text-faint">now</span>
      </div>
      {mend && (
        <div>
          {picture(mended?.frame, mended?.redrawn, 'stroke-good', 'As the mend leaves it')}
          <span className="font-semibold text-good">{mended ? 'mended' : 'being tried …'}</span>
        </div>
      )}
    </div>
  );
}

/** Where to look, and what to ring: the faulty places, else the part it is about, else the head. */
function usePlace(entry: Entry, now: Frame | undefined): { crop: ViewBox; ring: ViewBox | null } {
  const { view, artwork } = useStudio();
  const { character } = view;
  return useMemo(() => {
    const { width, height } = character.sheet.canvas;
    if (entry.seen === 'canvas') return { crop: { x: 0, y: 0, w: width, h: height }, ring: null };
    const head = headView(character, artwork);
    const near = around(entry.where, head.w * 0.3);
    if (near) return near;
    const drawn = entry.part ? boundsOf(character, artwork, [entry.part]) : null;
    const placed = now?.placed.find((p) => p.part === entry.part);
    if (!drawn || !placed) return { crop: head, ring: null };
    const [a, b, c, d, e, f] = placed.matrix as [number, number, number, number, number, number];
    const corners = [
      [drawn.x, drawn.y],
      [drawn.x + drawn.w, drawn.y],
      [drawn.x + drawn.w, drawn.y + drawn.h],
      [drawn.x, drawn.y + drawn.h],
    ].map(([x, y]) => [a * x! + c * y! + e, b * x! + d * y! + f]);
    return around([corners], head.w * 0.3) ?? { crop: head, ring: null };
  }, [character, artwork, entry.seen, entry.where, entry.part, now]);
}
