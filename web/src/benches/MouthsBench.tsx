import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { TriangleAlert } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api, type MouthRulers, type Shape, type WallView } from '../api/client';
import { useDesk } from '../state/desk';
import { useFindings } from '../state/findings';
import { useSettled } from '../state/settled';
import { useStudio } from '../state/studio';
import { TakeFrom } from './intake/TakeFrom';
import { sayOnStage } from './mouths/aloud';
import { follow, mouthBox } from './mouths/box';
import { columnsOf } from './mouths/columns';
import { MakeSet } from './mouths/MakeSet';
import { MoodHead } from './mouths/MoodHead';
import { MoreMoods } from './mouths/MoreMoods';
import { MouthCard } from './mouths/MouthCard';
import { cellKey, usePreview } from './mouths/preview';
import { AS_ASKED, MANNERS, Rulers } from './mouths/Rulers';
import { OtherMouths, otherMouths } from './mouths/OtherMouths';
import { SayIt } from './mouths/SayIt';
import { WallCanvas } from './mouths/WallCanvas';
import { WallCell } from './mouths/WallCell';
import { type Placing, WallFace } from './mouths/WallFace';
import { WallHead } from './mouths/WallHead';
import { Cells } from '../ui/Cells';
import { ShapeList } from './parts/ShapeList';

const NONE: Shape[] = [];
/** How long the pointer rests on a mouth before it says a word, milliseconds. */
const LINGER = 700;

/** A whole set of mouths from one: made, looked at as a wall, shaped, and heard with the eyes. */
export function MouthsBench() {
  const studio = useStudio();
  const { view, artwork, edit } = studio;
  const { character } = view;
  const wall = useQuery({
    queryKey: ['mouths', view.id, view.revision],
    queryFn: () => api.mouths(view.id),
    placeholderData: keepPreviousData,
  });
  const mouth = character.rig.parts.find((p) => p.id === wall.data?.part);
  const shaping = useDesk((s) => s.shaping);
  const preview = usePreview();
  const [at, setAt] = useState<{ mood: string; viseme: string } | null>(null);
  const [alone, setAlone] = useState(false);
  const [dragged, setDragged] = useState<string | null>(null);
  const dials = useSettled((s) => s.dials, 300);
  const face = useQuery({
    queryKey: ['wall-face', view.id, view.revision, dials],
    queryFn: () => api.pose(view.id, { pose: { dials }, revision: view.revision }),
    placeholderData: keepPreviousData,
  });
  const lingering = useRef(0);
  useEffect(() => () => window.clearTimeout(lingering.current), []);
  const [placing, setPlacing] = useState<Placing | null>(null);
  const still = useMemo(() => mouthBox(character, artwork, mouth, 1.5), [character, artwork, mouth]);
  const box = useMemo(
    () => (still && face.data && mouth ? follow(still, face.data.frame, mouth.id) : null),
    [still, face.data, mouth],
  );
  const placed = useCallback((p: Placing) => setPlacing(p), []);
  const findings = useFindings('mouths');
  const w = wall.data;
  if (!w) return <h1 className="text-2xl font-bold">Mouths</h1>;
  if (!mouth)
    return (
      <>
        <h1 className="text-2xl font-bold">Mouths</h1>
        <p className="mt-2 rounded-lg border border-dashed border-line p-4 text-faint">
          This character has no mouth yet. Name a layer “mouth”, or drag one onto its slot on the Intake
          bench. One closed outline is enough: the set is made from it.
        </p>
        <TakeFrom what="a mouth" kinds={['MOUTHS', 'PART']} />
      </>
    );
  if (shaping && mouth.drawings.some((d) => d.id === shaping))
    return (
      <>
        <h1 className="text-2xl font-bold">Mouths</h1>
        <ShapeList part={mouth} />
      </>
    );

  const one = alone && at ? (at.viseme as keyof WallView['own']) : null;
  const rulers = one ? (w.own[one] ?? AS_ASKED) : w.rulers;
  const asked = (r: MouthRulers): [MouthRulers, WallView['own']] =>
    one ? [w.rulers, { ...w.own, [one]: r }] : [r, w.own];
  const keep = async (r: MouthRulers) => {
    preview.settle();
    const [set, own] = asked(r);
    if (!(await edit({ kind: 'make-mouths', start: '', rulers: set, own, fill: false, again: [] })))
      preview.forget();
  };
  const make = (fill: boolean, again: boolean) =>
    edit({
      kind: 'make-mouths',
      start: '',
      rulers: w.rulers,
      own: w.own,
      fill,
      again: again ? w.sounds.map((s) => s.viseme) : [],
    });
  const neutral = w.rows[0]!;
  const gaps = w.sounds.length - neutral.cells.filter((c) => c.own).length;
  const art = (drawing: string): Shape[] => {
    const d = mouth.drawings.find((x) => x.id === drawing);
    return d ? (artwork[d.art] ?? NONE) : NONE;
  };
  const previewed = (mood: string, cell: WallView['rows'][number]['cells'][number]) =>
    cell.own && cell.origin === 'MADE' && cell.drawing !== w.start ? cellKey(mood, cell.viseme) : null;
  const madeShapes = (key: string): Shape[] | null => {
    for (const r of w.rows) for (const c of r.cells) if (previewed(r.mood, c) === key) return art(c.drawing);
    return null;
  };
  const choose = (mood: string, viseme: string, drawing: string) => {
    const same = at?.mood === mood && at.viseme === viseme;
    setAt(same ? null : { mood, viseme });
    if (same) setAlone(false);
    useDesk.getState().pin(mouth.id, same ? null : drawing);
  };
  const jump = (drawing: string) => {
    for (const row of w.rows)
      for (const cell of row.cells)
        if (cell.own && (cell.drawing === drawing || cell.between === drawing))
          return setAt({ mood: row.mood, viseme: cell.viseme });
  };
  const serve = (viseme: string, mood: string) => {
    if (dragged) void edit({ kind: 'serve-sound', viseme: viseme as 'REST', drawing: dragged, mood });
    setDragged(null);
  };
  /** The next mouth of a row, or the one before. */
  const stepFrom = (mood: string, viseme: string, by: number) => {
    const cells = w.rows.find((r) => r.mood === mood)?.cells ?? [];
    const next = cells[cells.findIndex((c) => c.viseme === viseme) + by];
    if (!next) return;
    choose(mood, next.viseme, next.drawing);
    document.querySelector<HTMLElement>(`[data-testid="mouth-${mood || 'neutral'}-${next.viseme}"]`)?.focus();
  };
  /** A mouth that is looked at for a moment says a word with it. */
  const linger = (mood: string, word: string | undefined) => {
    window.clearTimeout(lingering.current);
    if (!word || dragged) return;
    lingering.current = window.setTimeout(() => {
      if (!useDesk.getState().playing) sayOnStage(studio, word, 0.75, mood, false).catch(() => undefined);
    }, LINGER);
  };
  const row = w.rows.find((r) => r.mood === at?.mood);
  const cell = row?.cells.find((c) => c.viseme === at?.viseme);
  const own = w.sounds.length - gaps;
  const columns = columnsOf(w);
  return (
    <>
      {face.data && box && (
        <WallFace
          character={character}
          artwork={artwork}
          frame={face.data.frame}
          mouth={mouth.id}
          box={box}
          placed={placed}
        />
      )}
      <WallHead wall={w} own={own} off={findings?.length ?? null} mood={at?.mood ?? ''} make={make} />
      {w.problem ? (
        <p className="mt-2 flex gap-2 rounded-md bg-wrong-soft p-2.5 text-wrong">
          <TriangleAlert size={17} className="mt-0.5 shrink-0" aria-hidden /> {w.problem}
        </p>
      ) : !w.made ? (
        <MakeSet own={own} gaps={gaps} make={make} />
      ) : (
        <section
          className="mt-2 rounded-xl border border-line bg-paper px-3 py-2"
          aria-label="How they are made"
        >
          <div className="mb-1.5 flex flex-wrap items-center gap-1">
            {one ? (
              <span className="text-[13px]">
                Only <b>{w.sounds.find((s) => s.viseme === one)?.sounds}</b>
              </span>
            ) : (
              MANNERS.map((m) => (
                <button
                  key={m.name}
                  className="btn px-1.5 py-0.5 text-[12px]"
                  aria-pressed={JSON.stringify(m.rulers) === JSON.stringify({ ...AS_ASKED, ...w.rulers })}
                  onPointerEnter={() => preview.ask(m.rulers, w.own)}
                  onPointerLeave={() => preview.forget()}
                  onClick={() => void keep(m.rulers)}
                >
                  {m.name}
                </button>
              ))
            )}
            {at && (
              <label className="ml-auto flex items-center gap-1 text-[12px]">
                <input type="checkbox" checked={alone} onChange={(e) => setAlone(e.target.checked)} /> only
                this mouth
              </label>
            )}
          </div>
          <Rulers
            key={one ?? ''}
            value={rulers}
            turning={(r, which, most) =>
              preview.turn(which, r[which] ?? 0, most, (v) => asked({ ...r, [which]: v }))
            }
            keep={keep}
          />
        </section>
      )}
      <SayIt mood={at?.mood ?? ''} jump={jump} />
      {cell && row && placing && (
        <MouthCard
          key={cellKey(row.mood, cell.viseme)}
          wall={w}
          row={row}
          cell={cell}
          art={art}
          preview={preview}
          previewed={previewed(row.mood, cell)}
          stepBy={(by) => stepFrom(row.mood, cell.viseme, by)}
          placing={placing}
        />
      )}
      <div data-testid="mouth-wall" className="relative">
        {placing && <WallCanvas preview={preview} placing={placing} shapesOf={madeShapes} />}
        {w.rows.map((r) => (
          <section key={r.mood} aria-label={r.mood ? `Mouths in the mood ${r.name}` : 'Neutral mouths'}>
            {r.mood ? <MoodHead key={r.mood + r.name} row={r} /> : <h2 className="sr-only">Neutral</h2>}
            <Cells
              arrows={false}
              className="mt-1.5 grid gap-1"
              style={{ gridTemplateColumns: `repeat(${columns}, minmax(0,1fr))` }}
            >
              {r.cells.map((c) => {
                const faults = c.own ? (findings ?? []).filter((f) => f.subject.drawing === c.drawing) : [];
                return (
                  <WallCell
                    key={c.viseme}
                    row={r}
                    cell={c}
                    sounds={w.sounds}
                    shapes={art(c.drawing)}
                    faults={faults}
                    chosen={at?.mood === r.mood && at.viseme === c.viseme}
                    held={dragged !== null}
                    placing={placing}
                    preview={preview}
                    previewed={previewed(r.mood, c)}
                    columns={columns}
                    hands={{
                      choose: () => choose(r.mood, c.viseme, c.drawing),
                      step: (by) => stepFrom(r.mood, c.viseme, by),
                      drag: setDragged,
                      drop: () => serve(c.viseme, r.mood),
                      linger: (word) => linger(word ? r.mood : '', word),
                    }}
                  />
                );
              })}
            </Cells>
          </section>
        ))}
      </div>
      {placing && (
        <OtherMouths
          part={mouth}
          all={otherMouths(w, mouth.drawings)}
          columns={columns}
          art={art}
          placing={placing}
          drag={setDragged}
        />
      )}
      {!w.problem && <MoreMoods wall={w} />}
    </>
  );
}
