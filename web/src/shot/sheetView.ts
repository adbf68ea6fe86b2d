import type { OpenLine } from 'page-core';
import { useEffect, useMemo, useState } from 'react';
import type { Character, DialKey, Shot, Way } from '../api/client';
import { itemsOn } from './items';
import { type Item } from './item';
import { type Lane, steadied } from './lanes';
import { useSheet, zoomBy } from './sheetState';
import { symbolOf } from './Thumbs';

/** Frames that are drawn beyond what is seen, so that a little scrolling draws nothing anew. */
const BEYOND = 24;

const NO_VALUES = new Float64Array();

/** The frames that are in sight, with some beyond. */
export function useSeen(
  scroller: React.RefObject<HTMLDivElement | null>,
  across: boolean,
  zoom: number,
  frames: number,
  head: number,
): [number, number] {
  const [seen, setSeen] = useState<[number, number]>([0, 60]);
  useEffect(() => {
    const e = scroller.current!;
    const look = () => {
      const scrolled = across ? e.scrollLeft : e.scrollTop;
      const room = (across ? e.clientWidth : e.clientHeight) - head;
      // in steps, so that scrolling draws anew only now and then
      const from = Math.floor(scrolled / zoom / BEYOND) * BEYOND - BEYOND;
      const to = Math.ceil((scrolled + room) / zoom / BEYOND) * BEYOND + BEYOND;
      setSeen((s) => (s[0] === from && s[1] === to ? s : [from, to]));
    };
    look();
    e.addEventListener('scroll', look, { passive: true });
    const sized = new ResizeObserver(look);
    sized.observe(e);
    return () => {
      e.removeEventListener('scroll', look);
      sized.disconnect();
    };
  }, [scroller, across, zoom, frames, head]);
  return [Math.max(0, seen[0]), Math.min(frames - 1, seen[1])];
}

/** Pixels drawn beyond what is seen of the lanes. */
const BESIDE = 240;

/** How far into the lanes the sight goes, from and to, pixels; lanes outside it are not drawn. */
export function useSeenLanes(
  scroller: React.RefObject<HTMLDivElement | null>,
  across: boolean,
): [number, number] {
  const [seen, setSeen] = useState<[number, number]>([0, 2000]);
  useEffect(() => {
    const e = scroller.current!;
    const look = () => {
      const scrolled = across ? e.scrollTop : e.scrollLeft;
      const room = across ? e.clientHeight : e.clientWidth;
      const from = Math.floor(scrolled / BESIDE) * BESIDE - BESIDE;
      const to = Math.ceil((scrolled + room) / BESIDE) * BESIDE + BESIDE;
      setSeen((s) => (s[0] === from && s[1] === to ? s : [from, to]));
    };
    look();
    e.addEventListener('scroll', look, { passive: true });
    const sized = new ResizeObserver(look);
    sized.observe(e);
    return () => {
      e.removeEventListener('scroll', look);
      sized.disconnect();
    };
  }, [scroller, across]);
  return seen;
}

/** Ctrl and the wheel zoom at the pointer. */
export function useWheelZoom(
  scroller: React.RefObject<HTMLDivElement | null>,
  across: boolean,
  head: number,
) {
  useEffect(() => {
    const e = scroller.current!;
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      const r = e.getBoundingClientRect();
      const pointer = (across ? event.clientX - r.left : event.clientY - r.top) - head;
      const scrolled = across ? e.scrollLeft : e.scrollTop;
      const before = useSheet.getState().zoom;
      const frame = (scrolled + pointer) / before;
      zoomBy(Math.exp(-Math.max(-60, Math.min(60, event.deltaY)) * 0.006));
      const now = useSheet.getState().zoom;
      requestAnimationFrame(() => {
        if (across) e.scrollLeft = frame * now - pointer;
        else e.scrollTop = frame * now - pointer;
      });
    };
    e.addEventListener('wheel', wheel, { passive: false });
    return () => e.removeEventListener('wheel', wheel);
  }, [scroller, across, head]);
}

/** Where dials stand at every frame, worked out anew only for those whose keys are others. */
export function useValues(shot: Shot, open: OpenLine | null): (dial: string) => Float64Array {
  const [known] = useState(
    () => new Map<string, { keys: DialKey[]; frames: number; values: Float64Array }>(),
  );
  return (dial) => {
    const keys = shot.tracks.dials[dial];
    if (!keys || !open) return NO_VALUES;
    const before = known.get(dial);
    if (before && before.frames === shot.frames && sameKeys(before.keys, keys)) return before.values;
    const values = open.values(dial);
    known.set(dial, { keys, frames: shot.frames, values });
    return values;
  };
}

const sameKeys = (a: DialKey[], b: DialKey[]) =>
  a === b ||
  (a.length === b.length &&
    a.every((k, i) => {
      const o = b[i]!;
      return k.frame === o.frame && k.value === o.value && sameWay(k.way, o.way);
    }));

const sameWay = (a: Way, b: Way) =>
  a.kind === b.kind &&
  (a.kind !== 'curve' ||
    b.kind !== 'curve' ||
    (a.x1 === b.x1 && a.y1 === b.y1 && a.x2 === b.x2 && a.y2 === b.y2));

/** For each part how a drawing of it is referred to on the sheet: always the same function, so that lanes stay as they are drawn. */
export function thumbsOf(character: Character): (part: string | undefined) => (drawing: string) => string {
  const thumbs = new Map<string | undefined, (drawing: string) => string>();
  return (part) => {
    const known = thumbs.get(part);
    if (known) return known;
    const drawings = character.rig.parts.find((p) => p.id === part)?.drawings;
    const thumb = (drawing: string) => {
      const art = drawings?.find((d) => d.id === drawing)?.art;
      return art ? `#${symbolOf(art)}` : '';
    };
    thumbs.set(part, thumb);
    return thumb;
  };
}

/** What was worked out last, for the next time. */
class Last<T> {
  private value: T | null = null;

  next(make: (before: T | null) => T): T {
    this.value = make(this.value);
    return this.value;
  }
}

/** The lanes of a shot; those that have not changed are the very ones they were. */
export function useSteadied(now: Lane[]): Lane[] {
  const [last] = useState(() => new Last<Lane[]>());
  return useMemo(() => last.next((before) => steadied(before ?? [], now)), [last, now]);
}

/** What lies on the lanes of a shot, while it changes. */
export function useLaneItems(shot: Shot, character: Character): LaneItems {
  const [last] = useState(() => new Last<LaneItems>());
  return useMemo(
    () => last.next((before) => new LaneItems(shot, character, before)),
    [last, shot, character],
  );
}

/** What lies on the lanes of a shot, worked out when it is asked for. */
export class LaneItems {
  private readonly known = new Map<string, Item[]>();

  private readonly earlier: { shot: Shot; known: Map<string, Item[]> } | null;

  /** @param before of an earlier state of the shot: what lies on tracks that have not changed is not worked out again */
  constructor(
    private readonly shot: Shot,
    private readonly character: Character,
    before: LaneItems | null,
  ) {
    this.earlier = before?.character === character ? { shot: before.shot, known: before.known } : null;
  }

  on(lane: Lane): Item[] {
    let items = this.known.get(lane.key);
    if (!items) {
      items = this.unchanged(lane) ?? (lane.track ? itemsOn(lane.track, this.shot, this.character) : []);
      this.known.set(lane.key, items);
    }
    return items;
  }

  /** Only a lane that is looked at is compared: keys nobody looks at are not read. */
  private unchanged({ key, track }: Lane): Item[] | undefined {
    const items = this.earlier?.known.get(key);
    if (!items || !track) return undefined;
    const before = this.earlier!.shot.tracks;
    const now = this.shot.tracks;
    const of = track.of ?? '';
    const same =
      track.sort === 'DIAL'
        ? before.dials[of] === now.dials[of]
        : track.sort === 'DRAWINGS' && before.drawings[of] === now.drawings[of];
    return same ? items : undefined;
  }
}
