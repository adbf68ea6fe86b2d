import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Trash2, TriangleAlert } from 'lucide-react';
import { useMemo } from 'react';
import { api, type Artwork, type Character, type Dial } from '../../api/client';
import { boundsOf, type ViewBox } from '../../stage/view';
import { Ruler } from '../../shelf/Ruler';
import { shown } from '../../shelf/values';
import { useDesk } from '../../state/desk';
import { placesOf, usePictures } from '../../state/pictures';
import { useSettled } from '../../state/settled';
import { useStudio } from '../../state/studio';
import { asMessage } from '../../state/messages';
import { EditableName } from '../../ui/EditableName';
import { NumberField } from '../../ui/NumberField';
import { BandStrip } from './BandStrip';
import { Followed } from './Followed';
import { PlayRow } from './PlayRow';
import { RecordBar } from './RecordBar';
import { StopCard } from './StopCard';
import { Strip } from './Strip';

/** How many pictures of the face along a dial. */
const PICTURES = 7;

/** One dial: its range, its stops and what each does, the drawings it shows, and what it has to do with others. */
export function DialCard({ dial }: { dial: Dial }) {
  const { view, edit } = useStudio();
  const about = useQuery({
    queryKey: ['dial', view.id, view.revision, dial.id],
    queryFn: () => api.dial(view.id, dial.id),
    placeholderData: keepPreviousData,
  });
  const ranged = (change: Partial<Pick<Dial, 'name' | 'from' | 'to' | 'rest' | 'unit'>>) => {
    const { name, from, to, rest, unit } = { ...dial, ...change };
    return edit({ kind: 'change-dial', dial: dial.id, name, from, to, rest, unit });
  };
  const changes = about.data?.changes ?? [];
  const uneven = about.data?.uneven[0];
  const part = view.character.rig.parts.find((p) => p.id === uneven?.part)?.name;
  const sided = dial.rest - dial.from > 0 && dial.to - dial.rest > 0;
  return (
    <div className="mt-3 pb-4">
      <div className="flex items-center gap-2">
        <EditableName
          label="Name of the dial"
          name={dial.name}
          rename={(name) => ranged({ name })}
          className="min-w-0 flex-1 text-lg"
        />
        <select
          className="field"
          aria-label="From key to key"
          title="How it gets from one keyed value to the next"
          value={dial.travel ?? ''}
          onChange={(e) =>
            void edit({
              kind: 'travel-by',
              dial: dial.id,
              ...(e.target.value ? { travel: e.target.value as 'GLIDE' | 'STRAIGHT' } : {}),
            })
          }
        >
          <option value="">from key to key by what it does</option>
          <option value="GLIDE">glides from key to key</option>
          <option value="STRAIGHT">goes straight to the next key</option>
        </select>
        <button
          className="btn px-1.5"
          aria-label={`Delete the dial ${dial.name}`}
          title="Delete dial"
          onClick={() => {
            useDesk.getState().openDial(null);
            void edit({ kind: 'drop-dial', dial: dial.id });
          }}
        >
          <Trash2 size={15} aria-hidden />
        </button>
      </div>
      <div className="mt-1.5 grid grid-cols-3 gap-2">
        <NumberField label="from" unit={dial.unit} value={dial.from} keep={(from) => void ranged({ from })} />
        <NumberField label="rest" unit={dial.unit} value={dial.rest} keep={(rest) => void ranged({ rest })} />
        <NumberField label="to" unit={dial.unit} value={dial.to} keep={(to) => void ranged({ to })} />
      </div>
      <label className="mt-1.5 flex items-center gap-2 text-[12.5px] text-faint">
        offered with
        <select
          className="field flex-1 text-ink"
          title="Select this part or what follows it, and the dial comes first under the face"
          value={dial.hangsOn ?? ''}
          onChange={(e) =>
            void edit({
              kind: 'hang-dial',
              dial: dial.id,
              ...(e.target.value ? { part: e.target.value } : {}),
            })
          }
        >
          <option value="">Any part</option>
          {view.character.rig.parts.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-2 rounded-xl border border-line bg-paper px-3 py-1">
        <Ruler dial={dial} />
      </div>
      <Along dial={dial} />
      <RecordBar dial={dial} />
      {about.error && <p className="mt-2 text-wrong">{asMessage(about.error).message}</p>}
      {about.data?.findings.map((f) => (
        <p
          key={f}
          className="mt-2 flex items-start gap-2 rounded-lg border border-wrong/40 bg-wrong-soft px-2.5 py-1.5 text-[13px]"
        >
          <TriangleAlert size={15} className="mt-0.5 shrink-0 text-wrong" aria-hidden /> {f}
        </p>
      ))}
      {sided && uneven && (
        <p className="mt-2 text-[12.5px] text-faint">
          Its halves differ most in {part}: by {uneven.by.toFixed(1)} at {shown(dial, uneven.at)}.
        </p>
      )}
      <ul className="mt-2 space-y-1.5" aria-label="Stops">
        {dial.stops.map((s) => (
          <StopCard
            key={s.at}
            dial={dial}
            stop={s}
            changes={changes.filter((c) => c.at === s.at && c.aspect !== 'DRAWING')}
          />
        ))}
      </ul>
      {dial.stops.length === 0 && dial.bands.length === 0 && (
        <p className="mt-2 rounded-xl border border-dashed border-line bg-paper p-3 text-[13px]">
          This dial does nothing yet. Move it to one end, press Record, and pose the face; the way from rest
          to there is made for you.
        </p>
      )}
      {dial.bands.length > 0 && (
        <section className="mt-3 space-y-1.5" aria-label="Drawings it shows">
          <h2 className="text-[15px] font-semibold">Drawings it shows</h2>
          {dial.bands.map((b) => (
            <BandStrip key={b.part} dial={dial} part={b.part} />
          ))}
        </section>
      )}
      {dial.layers.length > 0 && (
        <section className="mt-3 space-y-1.5" aria-label="Where parts lie">
          <h2 className="text-[15px] font-semibold">Where parts lie</h2>
          {dial.layers.map((l) => (
            <BandStrip key={l.part} dial={dial} part={l.part} layer />
          ))}
        </section>
      )}
      <PlayRow dial={dial} />
      <Followed dial={dial} />
    </div>
  );
}

/** The face along the dial, the rest of the pose staying as it is. */
function Along({ dial }: { dial: Dial }) {
  const { view, artwork } = useStudio();
  const held = useSettled(
    (s) =>
      JSON.stringify({
        dials: { ...s.dials, [dial.id]: undefined },
        picks: s.picks,
        pins: s.pins,
        looks: s.looks,
      }),
    300,
  );
  const at = useMemo(() => placesOf(dial, PICTURES), [dial]);
  const pose = JSON.parse(held);
  const frames = usePictures(at.map((v) => ({ ...pose, dials: { ...pose.dials, [dial.id]: v } })));
  const around = useMemo(() => awayFromHead(dial, view.character, artwork), [dial, view.character, artwork]);
  return <Strip dial={dial} at={at} frames={frames} measured={[]} around={around} />;
}

/** Where a dial poses nothing of the head, what it does pose, with air round it; null for a dial of the head. */
function awayFromHead(dial: Dial, character: Character, artwork: Artwork): ViewBox | null {
  const posed = [
    ...dial.stops.flatMap((s) => [...Object.keys(s.offsets), ...Object.keys(s.reshapes)]),
    ...dial.bands.map((b) => b.part),
  ];
  const parent = new Map(character.rig.parts.map((p) => [p.id, p.parent]));
  const head = character.rig.parts.find((p) => p.role === 'HEAD')?.id;
  const follows = (part: string | undefined): boolean =>
    part !== undefined && (part === head || follows(parent.get(part)));
  if (posed.length === 0 || posed.some(follows)) return null;
  const b = boundsOf(character, artwork, posed, true);
  if (!b) return null;
  const side = Math.max(b.w, b.h) * 1.8;
  return { x: b.x + b.w / 2 - side / 2, y: b.y + b.h / 2 - side / 2, w: side, h: side };
}
