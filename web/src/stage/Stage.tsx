import { CircleHelp } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Frame } from '../api/client';
import { useKeyOf } from '../app/keymap';
import { mouthBox } from '../benches/mouths/box';
import { shown } from '../shelf/values';
import { SkinButtons, Skins } from '../shot/Skins';
import { LiveFrame } from '../live/LiveFrame';
import { useDesk } from '../state/desk';
import { recordingAt } from '../state/recording';
import { useStudio } from '../state/studio';
import { useCompared } from '../shot/compared';
import { CornerFigure } from './CornerFigure';
import { Painter } from './painter';
import { PartMenu } from './PartMenu';
import { middle, oneToOne, useSight, zoomedAt } from './sight';
import { SightButtons } from './SightButtons';
import { Then } from './Then';
import { useSightHands } from './useSightHands';
import { SolidHandles } from './overlay/SolidHandles';
import { Marquee } from './overlay/Marquee';
import { ModelSheet } from './overlay/ModelSheet';
import { Rigging } from './overlay/Rigging';
import { ShapePoints } from './overlay/ShapePoints';
import { headView, wholeView, type ViewBox } from './view';

/** The face, always in the same place. Click a part to choose it; with Why? on, to be told about it. */
export function Stage() {
  const { view, artwork, director, line } = useStudio();
  const svg = useRef<SVGSVGElement>(null);
  const root = useRef<SVGGElement>(null);
  const outline = useRef<SVGGElement>(null);
  const painter = useRef<Painter | null>(null);
  const last = useRef<Frame | null>(null);
  const part = useDesk((s) => s.part);
  const whyMode = useDesk((s) => s.whyMode);
  // where the face stands changes only with the art itself, never with a pose or a placement
  const home = useMemo(
    () => headView(view.character, artwork),
    [view.id, view.character.sheet.canvas.width, artwork], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const whole = useMemo(() => wholeView(view.character, artwork), [view.character, artwork]);
  const axis = view.character.sheet.model.axis;
  const bench = useDesk((s) => s.bench);
  const besideThen = useCompared((s) => s.with !== null && s.shows === 'beside') && bench === 'shot';
  const hidden = useDesk((s) => s.hidden);
  const solo = useDesk((s) => s.solo);
  const locked = useDesk((s) => s.locked);
  const [unit, setUnit] = useState(1);
  const recording = useDesk((s) => s.recording) && bench === 'turn';
  const solids = useDesk((s) => s.solids) && bench === 'turn';
  const shaping = useDesk((s) => s.shaping);
  const shapeAt = useDesk((s) => s.shapeAt);
  const shaped = useMemo(() => {
    const p =
      bench === 'parts' || bench === 'mouths' || recording
        ? view.character.rig.parts.find((x) => x.id === part)
        : undefined;
    const d = p?.drawings.find((x) => x.id === shaping);
    return p && d ? { part: p, drawing: d } : null;
  }, [bench, recording, view.character, part, shaping]);
  const corner = useSight((s) => s.corner);
  const whyKey = useKeyOf('why');
  const [zoomed, setZoomed] = useState<ViewBox | null>(null);
  // the points of a mouth are too close together to be taken hold of on a whole head
  const near = useMemo(
    () => (shaped && bench === 'mouths' ? mouthBox(view.character, artwork, shaped.part, 2.2) : null),
    [shaped, bench, view.character, artwork],
  );
  const usual = near ?? (bench === 'kits' || bench === 'hands' ? whole : home);
  const roomy = zoomed ?? usual;
  // two faces beside each other: what lies at the sides gives way first
  const box = useMemo(
    () => (besideThen ? { ...roomy, x: roomy.x + 0.17 * roomy.w, w: 0.66 * roomy.w } : roomy),
    [besideThen, roomy],
  );

  useEffect(() => {
    const p = new Painter(root.current!, view.character, artwork);
    painter.current = p;
    // until the new answer is here the last picture stays, so that no edit makes the face flicker
    if (last.current) p.show(last.current);
    const stopRedrawing = director.watchRedrawn((all) => p.redraw(all));
    const stopWatching = director.watch((frame) => {
      last.current = frame;
      p.show(frame);
      mark(p, outline.current, useDesk.getState().part);
    });
    return () => {
      stopRedrawing();
      stopWatching();
    };
  }, [view.character, artwork, director]);

  useEffect(() => mark(painter.current, outline.current, part), [part, director]);

  useEffect(() => painter.current?.view(hidden, solo), [hidden, solo, view.character, artwork, director]);

  useEffect(() => {
    const e = svg.current!;
    const measure = () => setUnit(1 / (e.getScreenCTM()?.a || 1));
    measure();
    const seen = new ResizeObserver(measure);
    seen.observe(e);
    return () => seen.disconnect();
  }, [box]);

  useSightHands(svg, box, home, setZoomed);
  useEffect(() => {
    const seen = () => {
      const e = svg.current!;
      const view = e.viewBox.baseVal;
      return { x: view.x, y: view.y, w: view.width, h: view.height };
    };
    useSight.setState({
      commands: {
        zoom: (by) => setZoomed(zoomedAt(seen(), by, middle(seen()), home)),
        // what a bench shows of itself is come back to, and not held on to on the next bench
        fitHead: () => setZoomed(usual === home ? null : home),
        fitFigure: () => setZoomed(usual === whole ? null : whole),
        actual: () => setZoomed(oneToOne(seen(), svg.current!.getBoundingClientRect())),
      },
    });
    return () => useSight.setState({ commands: null });
  }, [home, whole, usual]);

  const choosable = useMemo(
    () => view.character.rig.parts.map((p) => p.id).filter((id) => !locked.includes(id)),
    [view.character, locked],
  );
  const getSvg = useCallback(() => svg.current, []);
  const getPainter = useCallback(() => painter.current, []);
  const groupOf = useCallback((id: string) => painter.current?.groupOf(id), []);
  const choose = (event: React.MouseEvent) => {
    if (shaped) return;
    const hit = partAt(event.clientX, event.clientY);
    if (hit && locked.includes(hit)) return;
    if (hit && event.shiftKey) useDesk.getState().addTo(hit);
    else useDesk.getState().select(hit);
  };

  return (
    <main
      aria-label="Stage"
      className="@container/stage relative col-start-2 row-start-1 min-h-0 min-w-0 overflow-hidden border-r border-line graticule"
    >
      <PartMenu partAt={partAt}>
        <svg
          ref={svg}
          // a layer of its own: what is posed sixty times a second is painted without what lies around it
          className={`absolute inset-y-0 right-0 h-full will-change-transform ${besideThen ? 'w-1/2' : 'w-full'} ${whyMode ? 'cursor-help' : ''}`}
          viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
          preserveAspectRatio="xMidYMid meet"
          onClick={choose}
          role="group"
          aria-label={`${view.character.name}, as posed`}
          data-testid="stage"
        >
          <line
            x1={axis}
            x2={axis}
            y1={box.y - box.h * 2}
            y2={box.y + box.h * 3}
            stroke="var(--color-stage-ink)"
            strokeOpacity="0.45"
            strokeWidth={1}
            strokeDasharray="7 6"
            vectorEffect="non-scaling-stroke"
            pointerEvents="none"
          />
          <g ref={root} />
          {bench === 'shot' && <Skins character={view.character} artwork={artwork} groupOf={groupOf} />}
          <g ref={outline} pointerEvents="none" style={shaped ? { display: 'none' } : undefined} />
          {shaped && (
            <ShapePoints
              key={`${shaped.part.id}/${shaped.drawing.id}`}
              svg={getSvg}
              painter={getPainter}
              unit={unit}
              part={shaped.part}
              drawing={shaped.drawing.id}
              shapes={artwork[shaped.drawing.art] ?? []}
              shape={shapeAt}
              choose={(i) => useDesk.setState({ shapeAt: i })}
              recording={recording}
            />
          )}
          {(bench === 'parts' || recording) && !whyMode && !shaped && (
            <Rigging svg={getSvg} painter={getPainter} unit={unit} box={box} posingOnly={recording} />
          )}
          {(bench === 'parts' || recording) && !whyMode && !shaped && (
            <Marquee svg={getSvg} painter={getPainter} parts={choosable} ground={isGround} />
          )}
          {solids && !whyMode && <SolidHandles svg={getSvg} painter={getPainter} unit={unit} />}
          {bench === 'intake' && <ModelSheet svg={getSvg} box={box} unit={unit} />}
        </svg>
      </PartMenu>
      {bench === 'shot' && <Then box={box} />}
      {line && <LiveFrame rate={line.shot.rules.frameRate} />}
      <div className="absolute top-2.5 left-3 flex gap-1.5">
        <button
          className="btn"
          aria-pressed={whyMode}
          onClick={() => useDesk.getState().ask(!whyMode)}
          title={`Why does a part look as it does?${whyKey && ` (${whyKey})`}`}
        >
          <CircleHelp size={15} aria-hidden /> Why?
        </button>
        {recording && <RecordingChip />}
        {!recording && (shaped || (bench === 'parts' && part)) && (
          <span className="self-center rounded-full border border-doing bg-doing-soft px-2.5 py-0.5 text-[12px] text-ink">
            {shaped
              ? 'Drawing – the part stays where it is'
              : 'Placing the part – its artwork stays as drawn'}
          </span>
        )}
      </div>
      {corner && whole && !besideThen && (
        <CornerFigure whole={whole} seen={box} last={last} show={setZoomed} />
      )}
      {bench === 'shot' && <SkinButtons />}
      <SightButtons percent={Math.round(100 / unit)} moved={roomy !== home} />
      <span className="pointer-events-none absolute top-3 right-3 text-right text-[11px] leading-tight text-stage-ink @max-[420px]/stage:hidden">
        screen left is
        <br />
        the character’s right
      </span>
    </main>
  );
}

const isGround = (x: number, y: number) => partAt(x, y) === null;

/** The part at a place of the screen. Handles lie over the picture: a click through them means what is under them. */
function partAt(x: number, y: number): string | null {
  return (
    document
      .elementsFromPoint(x, y)
      .map((e) => e.closest('[data-part]')?.getAttribute('data-part'))
      .find((id) => id) ?? null
  );
}

/** Says where on the stage what is posed goes, before it goes there. */
function RecordingChip() {
  const { dials } = useStudio().view.character.controls;
  const message = useDesk((s) => {
    const now = recordingAt(s, dials);
    if (!now) return '';
    return now.at === now.dial.rest
      ? `Recording – ${now.dial.name} rests`
      : `Recording into ${now.dial.name} at ${shown(now.dial, now.at)}`;
  });
  return message === '' ? null : (
    <span className="self-center rounded-full bg-doing px-2.5 py-0.5 text-[12px] font-bold text-on-doing">
      {message}
    </span>
  );
}

/** Draws a dashed box round the chosen part. */
function mark(painter: Painter | null, layer: SVGGElement | null, part: string | null): void {
  if (!layer) return;
  layer.replaceChildren();
  const group = part ? painter?.groupOf(part) : undefined;
  if (!group) return;
  const b = group.getBBox();
  if (b.width === 0 && b.height === 0) return;
  const rect = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  const attributes = {
    x: b.x - 3,
    y: b.y - 3,
    width: b.width + 6,
    height: b.height + 6,
    rx: 4,
    fill: 'none',
    stroke: 'var(--doing)',
    'stroke-width': 2,
    'stroke-dasharray': '6 4',
    'vector-effect': 'non-scaling-stroke',
    transform: group.getAttribute('transform') ?? '',
  };
  for (const [k, v] of Object.entries(attributes)) rect.setAttribute(k, String(v));
  layer.append(rect);
}
