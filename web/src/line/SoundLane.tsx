import { useEffect, useRef, useState } from 'react';
import type { PlacedLine } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { banded } from './bands';
import { type Edge, edgeNear, holds, onFrame, soundAt, wordOf } from './sounds';
import { useSoundDesk } from './soundDesk';
import { useSoundEdits } from './useSoundEdits';
import { Crowd } from './Crowd';
import { type Lanes, place, LEAST_SOUND } from './laneProps';

/** Pixels within which a pointer takes hold of an edge. */
const REACH = 5;

/** The shortest sound, seconds. */
const LEAST = 0.01;

/** The sounds where they are spoken; on the Lines bench they are chosen, and their edges dragged or moved by keys. */
export function SoundLane({ line, seconds, sight, pixels }: Lanes) {
  const editable = useDesk((s) => s.bench === 'lines');
  const chosen = useSoundDesk((s) => s.chosen);
  const lane = useRef<HTMLDivElement>(null);
  const { draftLine, editLine } = useStudio();
  const { rate, choose, moveBy, split, join, drop, add, release, again } = useSoundEdits();
  const drag = useRef<Drag | null>(null);
  const [dragged, setDragged] = useState<Drag | null>(null);

  useEffect(() => () => useSoundDesk.setState({ chosen: null }), [line.id]);

  const seen = (x: number) => {
    const r = lane.current!.getBoundingClientRect();
    return { time: ((x - r.left) / r.width) * seconds, reach: (REACH / r.width) * seconds };
  };
  const under = (x: number) => {
    const { time, reach } = seen(x);
    for (const placed of line.shot.lines) {
      const by = placed.at / rate;
      const edge = edgeNear(placed.line.phones, time - by, reach);
      if (edge) return { placed, edge };
    }
    return null;
  };
  const edit = (d: Drag) => ({
    kind: 'move-edge' as const,
    at: d.placed.at,
    sound: d.edge.sound,
    end: d.edge.end,
    to: d.to,
    push: useSoundDesk.getState().push,
  });

  const begin = (e: React.PointerEvent) => {
    if (!editable) return;
    e.stopPropagation();
    lane.current!.focus();
    const taken = under(e.clientX);
    const { time } = seen(e.clientX);
    if (taken) {
      e.currentTarget.setPointerCapture(e.pointerId);
      const p = taken.placed.line.phones[taken.edge.sound]!;
      drag.current = { ...taken, to: taken.edge.end ? p.end : p.start };
      choose({ at: taken.placed.at, sound: taken.edge.sound });
      return;
    }
    const placed = line.shot.lines.find(
      (l) => time >= l.at / rate && time <= l.at / rate + l.line.seconds && l.line.phones.length > 0,
    );
    if (placed) choose({ at: placed.at, sound: soundAt(placed.line.phones, time - placed.at / rate) });
  };
  const move = (e: React.PointerEvent) => {
    if (!editable) return;
    const d = drag.current;
    if (!d) {
      lane.current!.style.cursor = under(e.clientX) ? 'ew-resize' : 'pointer';
      return;
    }
    const to = seen(e.clientX).time - d.placed.at / rate;
    const frames = useSoundDesk.getState().frames !== e.altKey;
    d.to = frames ? onFrame(to, rate) : to;
    draftLine(edit(d));
    setDragged({ ...d });
  };
  const end = async (keep: boolean) => {
    const d = drag.current;
    drag.current = null;
    if (!d) return;
    const p = d.placed.line.phones[d.edge.sound]!;
    const moved = Math.abs((d.edge.end ? p.end : p.start) - d.to) > 1e-6;
    if (keep && moved) await editLine(edit(d));
    draftLine(null);
    setDragged(null);
  };

  const press = (e: React.KeyboardEvent) => {
    if (e.key === 'Escape' && drag.current) {
      e.stopPropagation();
      void end(false);
      return;
    }
    const placed = line.shot.lines.find((l) => l.at === chosen?.at) ?? line.shot.lines[0];
    if (!placed || placed.line.phones.length === 0) return;
    const last = placed.line.phones.length - 1;
    const c = {
      at: placed.at,
      sound: Math.min(last, chosen?.sound ?? soundAt(placed.line.phones, useDesk.getState().frame / rate)),
    };
    const p = placed.line.phones[c.sound]!;
    const acts: Record<string, () => void> = {
      ArrowLeft: () => arrow(-1),
      ArrowRight: () => arrow(1),
      Home: () => choose({ ...c, sound: 0 }),
      End: () => choose({ ...c, sound: last }),
      Enter: () => useSoundDesk.setState({ chosen: c, asking: true }),
      Delete: () => drop(c),
      Backspace: () => drop(c),
      Insert: () => add(c, wordOf(placed.line, c.sound)),
      s: () => split(c),
      j: () => void join(c),
      l: () => {
        const w = placed.line.words[wordOf(placed.line, c.sound)] ?? p;
        void again(c.at, w.start, w.end);
      },
      r: () => void release(c.at, p.start, p.end),
    };
    const arrow = (way: 1 | -1) => {
      if (e.shiftKey) moveBy(c, { sound: c.sound, end: true }, way);
      else if (e.ctrlKey || e.metaKey) moveBy(c, { sound: c.sound, end: false }, way);
      else if (!chosen) choose(c);
      else choose({ ...c, sound: Math.max(0, Math.min(last, c.sound + way)) });
    };
    const act = acts[e.key.length === 1 ? e.key.toLowerCase() : e.key];
    if (!act || ((e.ctrlKey || e.metaKey) && !e.key.startsWith('Arrow'))) return;
    e.preventDefault();
    e.stopPropagation();
    act();
  };

  const active = chosen ? `sound-${chosen.at}-${chosen.sound}` : undefined;
  useEffect(() => {
    if (active) document.getElementById(active)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [active]);

  return (
    <div
      ref={lane}
      className="relative h-[20px] overflow-hidden focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-chosen"
      data-testid="sounds"
      {...(editable && {
        role: 'listbox',
        tabIndex: 0,
        'aria-label': 'Sounds',
        'aria-activedescendant': active,
        title:
          'Arrows choose a sound; Ctrl with arrows moves its start, Shift its end; Enter changes it; S splits, J joins, Insert adds, Delete takes away, L listens again, R lets go',
        onPointerDown: begin,
        onPointerMove: move,
        onPointerUp: () => void end(true),
        onPointerCancel: () => void end(false),
        onKeyDown: press,
      })}
    >
      {line.shot.lines.flatMap((placed) => {
        const by = placed.at / rate;
        const phones = moved(placed, dragged);
        const scale = pixels / seconds;
        const bands = banded(
          phones.map((p, i) => ({ i, from: (by + p.start) * scale, to: (by + p.end) * scale })),
          LEAST_SOUND,
        ).filter((b) => b.items.length > 1 && b.to / scale >= sight.from && b.from / scale <= sight.to);
        const crowded = new Set(bands.flatMap((b) => b.items.map((x) => x.i)));
        const crowds = bands.map((b) => (
          <Crowd key={`${placed.at} crowd ${b.items[0]!.i}`} band={b} pixels={pixels} what="sounds" />
        ));
        const sounds = phones.map((p, i) => {
          const is = chosen?.at === placed.at && chosen.sound === i;
          if (!is && (by + p.end < sight.from || by + p.start > sight.to)) return null;
          const left = holds(placed.line.held, p.start);
          const right = holds(placed.line.held, p.end);
          return (
            <span
              key={`${placed.at} ${i}`}
              id={`sound-${placed.at}-${i}`}
              {...(editable && {
                role: 'option',
                'aria-selected': is,
                'aria-label': `${p.phone}, ${p.start.toFixed(2)} to ${p.end.toFixed(2)} s${left || right ? ', set by hand' : ''}`,
              })}
              className={`absolute top-0 h-full overflow-hidden border-l text-center text-[11px] leading-[20px] ${
                is
                  ? 'z-10 border-chosen bg-chosen-soft text-ink outline-2 -outline-offset-2 outline-chosen'
                  : left
                    ? 'border-doing text-faint'
                    : crowded.has(i)
                      ? 'border-transparent text-transparent'
                      : 'border-line text-faint'
              }`}
              style={place(seconds, by + p.start, by + p.end)}
            >
              {crowded.has(i) && !is ? '' : p.phone}
              {left && <Held at="left" />}
              {right && <Held at="right" />}
            </span>
          );
        });
        return [...crowds, ...sounds];
      })}
    </div>
  );
}

/** An edge on its way, seconds into its line. */
interface Drag {
  placed: PlacedLine;
  edge: Edge;
  to: number;
}

/** The sounds of a line with one edge on its way; where a neighbour shares it, for both, and as far as there is room. */
function moved(placed: PlacedLine, d: Drag | null) {
  const { phones } = placed.line;
  if (d?.placed.at !== placed.at) return phones;
  const was = phones[d.edge.sound]!;
  const at = d.edge.end ? was.end : was.start;
  const before = phones.find((p) => Math.abs(p.end - at) < 1e-6);
  const behind = phones.find((p) => Math.abs(p.start - at) < 1e-6);
  const to = Math.max(
    before ? before.start + LEAST : 0,
    Math.min(behind ? behind.end - LEAST : Infinity, d.to),
  );
  return phones.map((p) => (p === behind ? { ...p, start: to } : p === before ? { ...p, end: to } : p));
}

/** The mark of an edge that a hand has put. */
function Held({ at }: { at: 'left' | 'right' }) {
  return (
    <span
      aria-hidden
      className={`absolute bottom-0 h-0 w-0 border-b-[6px] border-doing ${
        at === 'left'
          ? 'left-0 border-r-[5px] border-r-transparent'
          : 'right-0 border-l-[5px] border-l-transparent'
      }`}
    />
  );
}
