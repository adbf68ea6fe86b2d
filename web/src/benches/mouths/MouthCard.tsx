import { CornerDownLeft, Diff, Film, PenTool, Sparkles, Volume2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Shape, WallView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useFindings } from '../../state/findings';
import { change } from '../../state/measures';
import { useStudio } from '../../state/studio';
import { asMessage } from '../../state/messages';
import { AS_ASKED } from './Rulers';
import { DrawingKeyField } from '../../ui/DrawingKeyField';
import { useWheelSteps } from '../../ui/wheel';
import { MouthPicture } from './Cell';
import { sayOnStage } from './aloud';
import type { Preview } from './preview';
import { WayIn } from './WayIn';
import type { Placing } from './WallFace';

type Row = WallView['rows'][number];
type CellOf = Row['cells'][number];

const ORIGIN = {
  DRAWN: 'drawn by hand; kept when the set is made',
  SHAPED: 'made, then shaped by hand; kept when the set is made',
  MADE: 'made from the starting mouth',
} as const;

/** One mouth large, with everything that can be done to it. */
export function MouthCard({
  wall,
  row,
  cell,
  art,
  stepBy,
  preview,
  previewed,
  placing,
}: {
  wall: WallView;
  row: Row;
  cell: CellOf;
  /** The shapes of one of the mouth's drawings. */
  art: (drawing: string) => Shape[];
  /** To the next mouth of the row, or the one before. */
  stepBy: (by: number) => void;
  preview: Preview;
  previewed: string | null;
  placing: Placing;
}) {
  const studio = useStudio();
  const { view, edit, tell } = studio;
  const sound = wall.sounds.find((s) => s.viseme === cell.viseme)!;
  const mouth = view.character.rig.parts.find((p) => p.id === wall.part);
  const [beside, setBeside] = useState(wall.start);
  const other = mouth?.drawings.some((d) => d.id === beside) ? beside : wall.start;
  const [ghost, setGhost] = useState(false);
  const [flipped, setFlipped] = useState(false);
  const [ways, setWays] = useState(false);
  const [playing, setPlaying] = useState<string | null>(null);
  const film = useRef(0);
  const picture = useWheelSteps(stepBy);
  useEffect(() => () => window.clearInterval(film.current), []);
  const play = (drawings: string[]) => {
    window.clearInterval(film.current);
    // twice, so that the eye has a second chance
    const all = [...drawings, drawings[0]!, drawings[0]!, ...drawings];
    let at = 0;
    film.current = window.setInterval(() => {
      const next = all[at++];
      setPlaying(next ?? null);
      if (next === undefined) window.clearInterval(film.current);
    }, 1000 / view.character.sheet.frameRate);
  };
  const say = async (word: string) => {
    try {
      await sayOnStage(studio, word, 0.75, row.mood, false);
    } catch (e) {
      tell(asMessage(e));
    }
  };
  const findings = (useFindings('mouths') ?? []).filter((f) => f.subject.drawing === cell.drawing);
  const itself = cell.drawing === wall.start;
  const shown = playing ?? (flipped ? other : cell.drawing);
  const shape = (drawing: string) => {
    const desk = useDesk.getState();
    desk.select(wall.part);
    desk.pin(wall.part, drawing);
    desk.shape(drawing);
    const line = art(drawing).findIndex((s) => s.role === 'OUTLINE');
    useDesk.setState({
      alike: true,
      through: drawing === other ? null : other,
      ...(line >= 0 ? { shapeAt: line } : {}),
    });
  };
  return (
    <section className="mt-2 flex gap-3 rounded-xl border border-doing bg-paper p-2" aria-label="This mouth">
      <div ref={picture} className="shrink-0" title="The wheel steps through the row">
        <MouthPicture
          shapes={art(shown)}
          ghost={ghost && shown !== other ? art(other) : undefined}
          placing={placing}
          preview={preview}
          previewed={shown === cell.drawing ? previewed : null}
          live
          className="h-[118px] w-[152px] rounded-lg bg-drawn"
        />
      </div>
      <div className="min-w-0 flex-1 text-[13px]">
        <h2 className="truncate text-[15px] font-semibold">
          {sound.sounds}
          {row.mood && `, ${row.name}`}{' '}
          <span className="font-sans text-[12px] font-normal text-faint">{sound.phones.join(' ')}</span>
        </h2>
        <p className="truncate text-[12px] text-faint" title={cell.why}>
          {itself ? 'the starting mouth' : cell.own ? ORIGIN[cell.origin] : cell.why}
        </p>
        <div className="mt-1 flex flex-wrap gap-1">
          {sound.examples.map((word) => (
            <button key={word} className="btn px-1.5 py-0.5 text-[12px]" onClick={() => void say(word)}>
              <Volume2 size={12} aria-hidden /> {word}
            </button>
          ))}
          <button className="btn px-1.5 py-0.5 text-[12px]" onClick={() => shape(cell.drawing)}>
            <PenTool size={12} aria-hidden /> Shape it
          </button>
          {cell.own && !itself && (
            <button
              className="btn px-1.5 py-0.5 text-[12px]"
              title="The nearest mouth serves this sound; the drawing stays in the set"
              onClick={() =>
                void edit({ kind: 'serve-sound', viseme: cell.viseme, drawing: '', mood: row.mood })
              }
            >
              <CornerDownLeft size={12} aria-hidden /> Leave to the nearest
            </button>
          )}
          {cell.own && cell.origin !== 'MADE' && !itself && row.mood === '' && (
            <button
              className="btn px-1.5 py-0.5 text-[12px]"
              title="A made mouth in its place; this drawing stays in the set"
              onClick={() =>
                void edit({
                  kind: 'make-mouths',
                  start: '',
                  rulers: wall.made ? wall.rulers : AS_ASKED,
                  own: wall.own,
                  fill: false,
                  again: [cell.viseme],
                })
              }
            >
              <Sparkles size={12} aria-hidden /> Rebuild
            </button>
          )}
          <button
            className="btn px-1.5 py-0.5 text-[12px]"
            aria-pressed={ways}
            title="Two frames into this mouth and two out of it"
            onClick={() => setWays(!ways)}
          >
            <Film size={12} aria-hidden /> In and out
          </button>
          {mouth && (
            <DrawingKeyField
              key={cell.drawing}
              part={mouth.id}
              drawing={cell.drawing}
              name={mouth.drawings.find((d) => d.id === cell.drawing)?.name ?? ''}
            />
          )}
        </div>
        {mouth && (
          <label className="mt-1 flex items-center gap-1.5 text-[12px] text-faint">
            uses the mouth of
            <select
              className="field min-w-0 flex-1 py-0"
              value={cell.drawing}
              onChange={(e) =>
                void edit({
                  kind: 'serve-sound',
                  viseme: cell.viseme,
                  drawing: e.target.value,
                  mood: row.mood,
                })
              }
            >
              {mouth.drawings.map((d) => (
                <option key={d.id} value={d.id}>
                  {d.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {mouth && mouth.drawings.length > 1 && (
          <div className="mt-1 flex items-center gap-1.5 text-[12px] text-faint">
            <label className="flex min-w-0 flex-1 items-center gap-1.5">
              beside
              <select
                className="field min-w-0 flex-1 py-0"
                value={other}
                onChange={(e) => setBeside(e.target.value)}
              >
                {mouth.drawings.map((d) => (
                  <option key={d.id} value={d.id}>
                    {d.name}
                  </option>
                ))}
              </select>
            </label>
            <button
              className="btn px-1.5 py-0 text-[12px]"
              aria-pressed={flipped}
              title="Hold to see the other one in its place"
              onPointerDown={() => setFlipped(true)}
              onPointerUp={() => setFlipped(false)}
              onPointerLeave={() => setFlipped(false)}
              onKeyDown={(e) => (e.key === ' ' || e.key === 'Enter') && setFlipped(true)}
              onKeyUp={() => setFlipped(false)}
              onBlur={() => setFlipped(false)}
            >
              <Diff size={12} aria-hidden /> Flip
            </button>
            <label className="flex items-center gap-1">
              <input type="checkbox" checked={ghost} onChange={(e) => setGhost(e.target.checked)} /> through
              it
            </label>
          </div>
        )}
        {ways && mouth && (
          <WayIn
            wall={wall}
            cell={cell}
            from={other === cell.drawing ? wall.start : other}
            art={art}
            placing={placing}
            play={play}
            shape={shape}
          />
        )}
        {findings.map((f) => (
          <p key={f.code} className="mt-1 flex items-center gap-2 text-[12px] text-wrong">
            <span className="min-w-0 flex-1">{f.message}</span>
            {f.mends.map((mend) => (
              <button
                key={mend.label}
                className="btn px-1.5 py-0 text-[12px]"
                title={change(f.measure, mend.leaves)}
                onClick={() => void edit(mend.edit)}
              >
                {mend.label}
              </button>
            ))}
          </p>
        ))}
      </div>
    </section>
  );
}
