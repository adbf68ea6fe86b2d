import { useCallback, useRef } from 'react';
import type { DialKey, Shot, ShotEdit, Track } from '../api/client';
import { usePlayer } from '../line/player';
import type { Span } from '../line/spans';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { type Bend, bendAt, bent, type Handle } from './curves';
import type { Item } from './item';
import { type Lane, valueAt } from './lanes';
import { choose, useSheet } from './sheetState';
import type { LaneItems } from './sheetView';
import { sameTrack } from './tracks';

/** Pixels before a press becomes a drag. */
const SLIP = 4;

const NO_KEYS: DialKey[] = [];

/** What a pointer is in the middle of. */
interface Drag {
  x: number;
  y: number;
  what: 'choose' | 'item' | 'end' | 'handle';
  item: Item | null;
  lane: number;
  frame: number;
  /** Which way a key is dragged; not known before it has moved. */
  way: 'time' | 'value' | null;
  edit: ShotEdit | null;
  /** Which handle of which curve is dragged. */
  bend: { of: Bend; handle: Handle } | null;
}

const merged = (a: Track[], b: Track[]) => [...a, ...b.filter((t) => !a.some((x) => sameTrack(x, t)))];

/** What a pointer does on the sheet: chooses frames and tracks, drags keys, ends and the handles of curves, opens a mouth. */
export function useSheetHands({
  shot,
  scroller,
  lanes,
  items,
  across,
  zoom,
  head,
  beside,
  pick,
}: {
  shot: Shot;
  scroller: React.RefObject<HTMLDivElement | null>;
  lanes: Lane[];
  items: LaneItems;
  across: boolean;
  zoom: number;
  /** Pixels the heads of the lanes take, and the numbers of the frames. */
  head: number;
  beside: number;
  /** A mouth was clicked: which frames it is on, and where. */
  pick: (picked: { run: Span; at: DOMRect }) => void;
}) {
  const { editLine, draftLine } = useStudio();
  const { stepTo } = usePlayer();
  const chosen = useSheet((s) => s.chosen);
  const drag = useRef<Drag | null>(null);
  const { frames } = shot;

  /** Which frame and lane a pointer is over, and how far into the lanes. */
  const place = (e: { clientX: number; clientY: number }) => {
    const r = scroller.current!.getBoundingClientRect();
    const s = scroller.current!;
    const x = e.clientX - r.left + s.scrollLeft - (across ? head : beside);
    const y = e.clientY - r.top + s.scrollTop - (across ? beside : head);
    const [along, into] = across ? [x, y] : [y, x];
    const index = lanes.findIndex((l) => into >= l.at && into < l.at + l.size);
    return {
      frame: Math.max(0, Math.min(frames - 1, Math.floor(along / zoom))),
      /** The same in frames and parts of one, from the middle of the first. */
      moment: along / zoom - 0.5,
      lane: index < 0 ? (into < 0 ? 0 : lanes.length - 1) : index,
      into,
    };
  };

  const tracksBetween = (a: number, b: number): Track[] =>
    lanes.slice(Math.min(a, b), Math.max(a, b) + 1).flatMap((l) => (l.track ? [l.track] : []));

  const press = (e: React.PointerEvent) => {
    if (e.button !== 0) return;
    const at = place(e);
    const handle = (e.target as Element).closest('[data-handle]')?.getAttribute('data-handle');
    const end = (e.target as Element).closest('[data-end]')?.getAttribute('data-end');
    const hit = end ?? (e.target as Element).closest('[data-item]')?.getAttribute('data-item');
    const found = hit ? items.on(lanes[at.lane]!).find((i) => i.id === hit) : undefined;
    e.currentTarget.setPointerCapture(e.pointerId);
    scroller.current!.focus({ preventScroll: true });
    useDesk.getState().play(false);
    const bend =
      handle && chosen ? bendAt(shot.tracks.dials[chosen.tracks[0]!.of!] ?? NO_KEYS, chosen.from) : null;
    if (bend) {
      drag.current = {
        x: e.clientX,
        y: e.clientY,
        what: 'handle',
        item: null,
        lane: lanes.findIndex((l) => l.track && sameTrack(l.track, chosen!.tracks[0]!)),
        frame: at.frame,
        way: null,
        edit: null,
        bend: { of: bend, handle: handle === '1' ? 1 : 2 },
      };
      return;
    }
    drag.current = {
      x: e.clientX,
      y: e.clientY,
      what: found ? (end ? 'end' : 'item') : 'choose',
      item: found ?? null,
      lane: at.lane,
      frame: at.frame,
      way: null,
      edit: null,
      bend: null,
    };
    if (e.shiftKey && chosen) {
      const from = Math.min(chosen.from, at.frame);
      choose({
        tracks: merged(chosen.tracks, tracksBetween(at.lane, at.lane)),
        from,
        to: Math.max(chosen.to, at.frame + 1),
      });
      drag.current = null;
    } else if (found) {
      const inside =
        chosen &&
        found.from >= chosen.from &&
        found.to <= chosen.to &&
        chosen.tracks.some((t) => sameTrack(t, found.track));
      if (!inside || chosen.to - chosen.from === found.to - found.from)
        choose({ tracks: [found.track], from: found.from, to: found.to }, found.id);
    }
  };

  /** The right button is for what is chosen, or else for what is under it. */
  const ask = (e: React.MouseEvent) => {
    if (e.button !== 2) return;
    const at = place(e);
    const lane = lanes[at.lane]!;
    const inside =
      chosen &&
      at.frame >= chosen.from &&
      at.frame < chosen.to &&
      lane.track &&
      chosen.tracks.some((t) => sameTrack(t, lane.track!));
    if (inside) return;
    const hit = (e.target as Element).closest('[data-item]')?.getAttribute('data-item');
    const found = hit ? items.on(lane).find((i) => i.id === hit) : undefined;
    if (found) choose({ tracks: [found.track], from: found.from, to: found.to }, found.id);
    else choose(lane.track ? { tracks: [lane.track], from: at.frame, to: at.frame + 1 } : null);
  };

  const moved = (e: React.PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    const at = place(e);
    if (Math.hypot(e.clientX - d.x, e.clientY - d.y) < SLIP && !d.edit && d.what !== 'choose') return;
    if (d.what === 'choose') {
      if (Math.hypot(e.clientX - d.x, e.clientY - d.y) < SLIP) return;
      choose({
        tracks: tracksBetween(d.lane, at.lane),
        from: Math.min(d.frame, at.frame),
        to: Math.max(d.frame, at.frame) + 1,
      });
      return;
    }
    if (d.bend) {
      const lane = lanes[d.lane]!;
      const { of, handle } = d.bend;
      const way = bent(of, handle, at.moment, at.into, lane, across, e.shiftKey);
      d.edit = { kind: 'set-keys', keys: { [lane.track!.of!]: [{ ...of.key, laid: undefined, way }] } };
      draftLine(d.edit);
      return;
    }
    const found = d.item!;
    const by = at.frame - d.frame;
    if (found.of.kind === 'key' && d.way === null) {
      const along = across ? Math.abs(e.clientX - d.x) : Math.abs(e.clientY - d.y);
      const beside = across ? Math.abs(e.clientY - d.y) : Math.abs(e.clientX - d.x);
      d.way = along > beside ? 'time' : 'value';
    }
    d.edit = dragged(d, found, by, at.into);
    draftLine(d.edit);
  };

  /** The edit a drag has come to; null where it changes nothing. */
  const dragged = (d: Drag, found: Item, by: number, into: number): ShotEdit | null => {
    if (found.of.kind === 'key' && d.way === 'value') {
      const lane = lanes.find((l) => l.track && sameTrack(l.track, found.track));
      if (!lane?.dial) return null;
      const fine = (lane.dial.to - lane.dial.from) / 1000;
      const value = Math.round(valueAt(lane, into, across) / fine) * fine;
      const key = { ...found.of.key, laid: undefined, value: Math.round(value * 1e4) / 1e4 };
      return { kind: 'set-keys', keys: { [found.track.of!]: [key] } };
    }
    const many =
      chosen && useSheet.getState().item === null && chosen.tracks.some((t) => sameTrack(t, found.track));
    if (d.what === 'item' && many) {
      const held = Math.max(-chosen.from, Math.min(frames - 1 - chosen.from, by));
      return held === 0
        ? null
        : { kind: 'move-frames', tracks: chosen.tracks, from: chosen.from, to: chosen.to, by: held };
    }
    if (d.what === 'end')
      return by === 0 ? null : found.over(found.from, Math.max(found.from + 1, found.to + by));
    const held = Math.max(-found.from, Math.min(frames - 1 - found.from, by));
    return held === 0 ? null : found.over(found.from + held, found.to + held);
  };

  const drop = (e: React.PointerEvent) => {
    const d = drag.current;
    drag.current = null;
    if (!d) return;
    if (d.edit) {
      const edit = d.edit;
      const by = edit.kind === 'move-frames' ? edit.by : place(e).frame - d.frame;
      if (d.item && d.way !== 'value' && d.what === 'item' && chosen)
        choose({ ...chosen, from: chosen.from + by, to: chosen.to + by });
      void editLine(edit);
      return;
    }
    draftLine(null);
    if (d.bend) return;
    const slipped = Math.hypot(e.clientX - d.x, e.clientY - d.y) >= SLIP;
    if (slipped && d.what === 'choose') return;
    stepTo(d.item && d.item.of.kind === 'key' ? d.item.from : d.frame);
    const target = document.elementFromPoint(e.clientX, e.clientY)?.closest('[data-mouth]');
    if (!d.item) {
      const lane = lanes[d.lane]!;
      choose(lane.track ? { tracks: [lane.track], from: d.frame, to: d.frame + 1 } : null);
    }
    if (target) {
      const [from, to, ...what] = target.getAttribute('data-mouth')!.split(' ');
      pick({
        run: { from: Number(from), to: Number(to), what: what.join(' ') },
        at: target.getBoundingClientRect(),
      });
    }
  };

  const escape = useCallback(() => {
    if (drag.current?.edit) {
      drag.current = null;
      draftLine(null);
    } else choose(null);
  }, [draftLine]);
  const cancel = () => {
    drag.current = null;
    draftLine(null);
  };
  return { drag, press, moved, drop, cancel, escape, ask };
}
