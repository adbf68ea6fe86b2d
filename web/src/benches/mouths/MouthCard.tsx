import { CornerDownLeft, PenTool, Sparkles, Volume2 } from 'lucide-react';
import { useState } from 'react';
import { api, type Shape, type WallView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { asMessage, useStudio } from '../../state/studio';
import { AS_ASKED } from './Rulers';
import { MouthPicture } from './Cell';
import type { Preview } from './preview';
import type { Placing } from './WallFace';

type Row = WallView['rows'][number];
type CellOf = Row['cells'][number];

/** When the wheel last stepped on: a notch is one mouth, however many events it comes as. */
let wheeled = 0;

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
  shapes,
  start,
  stepBy,
  preview,
  previewed,
  placing,
}: {
  wall: WallView;
  row: Row;
  cell: CellOf;
  shapes: Shape[];
  start: Shape[];
  /** To the next mouth of the row, or the one before. */
  stepBy: (by: number) => void;
  preview: Preview;
  previewed: string | null;
  placing: Placing;
}) {
  const { view, edit, director, tell } = useStudio();
  const [ghost, setGhost] = useState(false);
  const sound = wall.sounds.find((s) => s.viseme === cell.viseme)!;
  const mouth = view.character.parts.find((p) => p.id === wall.part);
  const say = async (word: string) => {
    try {
      const said = await api.sayWords(view.id, word, 0.75, row.mood, director.pose());
      director.playOnce(said.frames);
    } catch (e) {
      tell(asMessage(e));
    }
  };
  const findings = wall.findings.filter((f) => f.drawing === cell.drawing);
  const itself = cell.drawing === wall.start;
  const shape = () => {
    const desk = useDesk.getState();
    desk.select(wall.part);
    desk.pin(wall.part, cell.drawing);
    desk.shape(cell.drawing);
    const line = shapes.findIndex((s) => s.role === 'OUTLINE');
    useDesk.setState({
      alike: true,
      through: itself ? null : wall.start,
      ...(line >= 0 ? { shapeAt: line } : {}),
    });
  };
  return (
    <section className="mt-2 flex gap-3 rounded-xl border border-doing bg-paper p-2" aria-label="This mouth">
      <div
        className="shrink-0"
        title="The wheel steps through the row"
        onWheel={(e) => {
          const now = performance.now();
          if (now - wheeled < 120) return;
          wheeled = now;
          stepBy(e.deltaY > 0 ? 1 : -1);
        }}
      >
        <MouthPicture
          shapes={shapes}
          ghost={ghost && !itself ? start : undefined}
          placing={placing}
          preview={preview}
          previewed={previewed}
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
          <button className="btn px-1.5 py-0.5 text-[12px]" onClick={shape}>
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
                  rulers: wall.made ? wall.rulers : AS_ASKED,
                  own: wall.own,
                  fill: false,
                  again: [cell.viseme],
                })
              }
            >
              <Sparkles size={12} aria-hidden /> Make it anew
            </button>
          )}
          <label className="flex items-center gap-1 px-1 text-[12px]">
            <input type="checkbox" checked={ghost} onChange={(e) => setGhost(e.target.checked)} /> start
            through it
          </label>
        </div>
        {mouth && (
          <label className="mt-1 flex items-center gap-1.5 text-[12px] text-faint">
            served by
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
        {findings.map((f) => (
          <p key={f.kind} className="mt-1 flex items-center gap-2 text-[12px] text-wrong">
            <span className="min-w-0 flex-1">{f.says}</span>
            {f.mendable && (
              <button
                className="btn px-1.5 py-0 text-[12px]"
                onClick={() => void edit({ kind: 'mend-mouth', drawing: f.drawing, finding: f.kind })}
              >
                Mend
              </button>
            )}
          </p>
        ))}
      </div>
    </section>
  );
}
