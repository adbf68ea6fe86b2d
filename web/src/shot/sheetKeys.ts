import { useEffect } from 'react';
import type { Character, Shot, ShotEdit, Strip, Track, Way } from '../api/client';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { usePlayer } from '../line/player';
import { useStudio } from '../state/studio';
import { itemsOn } from './items';
import { sameTrack } from './tracks';
import { NO_TRACKS } from './noTracks';
import { type Lane, lanesOf } from './lanes';
import { choose, type Chosen, useSheet, zoomBy } from './sheetState';
import { handedOver, writing } from './writing';

export const WAYS: { kind: Way['kind']; words: string; way: Way }[] = [
  { kind: 'hold', words: 'hold', way: { kind: 'hold' } },
  { kind: 'even', words: 'even', way: { kind: 'even' } },
  { kind: 'smooth', words: 'smooth', way: { kind: 'smooth' } },
  { kind: 'curve', words: 'curve', way: { kind: 'curve', x1: 0.42, y1: 0, x2: 0.58, y2: 1 } },
];

/** The edit that gives all chosen keys a way; null where none is chosen. */
export function wayEdit(shot: Shot, chosen: Chosen | null, way: Way): ShotEdit | null {
  if (!chosen) return null;
  const keys = Object.fromEntries(
    chosen.tracks
      .filter((t) => t.sort === 'DIAL')
      .map((t): [string, Shot['tracks']['dials'][string]] => [
        t.of!,
        (shot.tracks.dials[t.of!] ?? [])
          .filter((k) => k.frame >= chosen.from && k.frame < chosen.to)
          .map((k) => ({ ...k, laid: undefined, way })),
      ])
      .filter(([, k]) => k.length > 0),
  );
  return Object.keys(keys).length === 0 ? null : { kind: 'set-keys', keys };
}

/** What can be done with the chosen stretch. */
export function useCutting(shot: Shot) {
  const { editLine, tell, view } = useStudio();
  const chosen = useSheet((s) => s.chosen);
  const clip = useSheet((s) => s.clip);
  const open = useActed((s) => s.open);
  const { frames } = shot;
  const copy = (): Strip | null => {
    if (!chosen) return null;
    if (!open) {
      tell({
        message: 'The page has not loaded its rules, so nothing can be copied. Reload the page.',
        bad: true,
      });
      return null;
    }
    const strip = open.copy(chosen.tracks, chosen.from, chosen.to);
    useSheet.setState({ clip: strip });
    return strip;
  };
  const clear = () =>
    chosen &&
    void editLine({ kind: 'clear-frames', tracks: chosen.tracks, from: chosen.from, to: chosen.to });
  const paste = (strip: Strip | null, at: number, times = 1) => {
    if (!strip) return;
    void editLine({ kind: 'paste-frames', at, strip, times });
    choose({ tracks: strip.of, from: at, to: at + strip.frames * times });
  };
  return {
    chosen,
    clip,
    copy,
    clear,
    cut: () => {
      if (copy()) clear();
    },
    paste: () => paste(clip, useDesk.getState().frame),
    pasteMirrored: () => clip && open && paste(open.mirrored(clip), useDesk.getState().frame),
    repeat: () => chosen && paste(copy(), chosen.to),
    insert: (count: number, tracks: Track[]) =>
      chosen && void editLine({ kind: 'insert-frames', tracks, at: chosen.from, count }),
    takeOut: (tracks: Track[]) =>
      chosen && void editLine({ kind: 'take-out-frames', tracks, from: chosen.from, to: chosen.to }),
    stretch: (length: number) => {
      if (!chosen || length < 1 || chosen.from + length > frames + 1000) return;
      void editLine({
        kind: 'stretch-frames',
        tracks: chosen.tracks,
        from: chosen.from,
        to: chosen.to,
        length,
      });
      choose({ ...chosen, to: chosen.from + length });
    },
    /** Every track something could be on, for what moves all of them. */
    all: lanesOf(view.character, shot, [], [], false).flatMap((l) => (l.track ? [l.track] : [])),
  };
}

/** Every frame at which something begins on some tracks, in rising order. */
export function beginnings(shot: Shot, character: Character, tracks: Track[]): number[] {
  const all = new Set<number>();
  for (const t of tracks)
    if (t.sort === 'DIAL') for (const k of shot.tracks.dials[t.of!] ?? []) all.add(k.frame);
    else for (const i of itemsOn(t, shot, character)) all.add(i.from);
  return [...all].sort((a, b) => a - b);
}

/** Keys of the Shot bench. They write to what the foot of the sheet says, and never to a part's rest pose. */
export function useSheetKeys(shot: Shot | null) {
  const { view, editLine } = useStudio();
  const { stepTo } = usePlayer();
  const cutting = useCutting(shot ?? EMPTY);
  useEffect(() => {
    if (!shot) return;
    const commands = (key: string, shift: boolean, some: boolean, onSheet: boolean) => {
      if (key === 'c' && some) return cutting.copy;
      if (key === 'x' && some) return cutting.cut;
      if (key === 'v') return shift ? cutting.pasteMirrored : cutting.paste;
      if (!onSheet) return null;
      if (key === 'a') return () => choose({ tracks: cutting.all, from: 0, to: shot.frames });
      if (key === '=' || key === '+') return () => zoomBy(1.25);
      return key === '-' ? () => zoomBy(0.8) : null;
    };
    const press = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if (target.closest('input, textarea, select, [role="dialog"]')) return;
      // on a ruler a key keys; arrows and the like are the ruler's own
      if (target.closest('[role="slider"]') && e.key.toLowerCase() !== 'k') return;
      const command = e.ctrlKey || e.metaKey;
      const { frame } = useDesk.getState();
      const { chosen, across, shown } = useSheet.getState();
      const onSheet = target.closest('[data-testid="sheet"]') !== null || target === document.body;
      const done = () => {
        e.preventDefault();
        e.stopPropagation();
      };
      if (command && !e.altKey) {
        const does = commands(e.key.toLowerCase(), e.shiftKey, chosen !== null, onSheet);
        if (does) {
          done();
          does();
        }
        if (!e.key.startsWith('Arrow')) return;
      }
      if (e.key.toLowerCase() === 'k' && !command && !e.altKey) {
        done();
        const written = writing(view.character, shot, frame, chosen);
        void Promise.all(written.edits.map((edit) => editLine(edit)));
        handedOver(written);
      } else if ((e.key === 'Delete' || e.key === 'Backspace') && chosen) {
        done();
        cutting.clear();
      } else if (e.key === 'Insert' && chosen) {
        done();
        cutting.insert(1, cutting.all);
      } else if (/^[1-4]$/.test(e.key) && !command) {
        const edit = wayEdit(shot, chosen, WAYS[Number(e.key) - 1]!.way);
        if (edit) {
          done();
          void editLine(edit);
        }
      } else if (e.key.startsWith('Arrow') && onSheet) {
        done();
        const lanes = lanesOf(
          view.character,
          shot,
          shown,
          Object.keys(useDesk.getState().dials),
          across,
        ).filter((l) => l.track);
        arrow(e, lanes, shot, view.character, stepTo);
      }
    };
    // before the keys of the whole page
    window.addEventListener('keydown', press, true);
    return () => window.removeEventListener('keydown', press, true);
  }, [shot, cutting, view.character, editLine, stepTo]);
}

const EMPTY = {
  name: '',
  rules: { frameRate: 24, exposure: 1, lead: 0, minimumHold: 1 },
  frames: 1,
  lines: [],
  mood: '',
  accepted: [],
  tracks: NO_TRACKS,
} satisfies Shot;

/** Arrows move by a cell, Shift extends what is chosen, Ctrl jumps from one beginning to the next. */
function arrow(
  e: KeyboardEvent,
  lanes: Lane[],
  shot: Shot,
  character: Character,
  stepTo: (frame: number) => void,
) {
  const { chosen, across } = useSheet.getState();
  const { frame } = useDesk.getState();
  const [back, on] = across ? ['ArrowLeft', 'ArrowRight'] : ['ArrowUp', 'ArrowDown'];
  const [left, right] = across ? ['ArrowUp', 'ArrowDown'] : ['ArrowLeft', 'ArrowRight'];
  const by = e.key === back ? -1 : e.key === on ? 1 : 0;
  const beside = e.key === left ? -1 : e.key === right ? 1 : 0;
  const now = lanes.findIndex((l) => chosen?.tracks[0] && sameTrack(l.track!, chosen.tracks[0]));
  let to = Math.max(0, Math.min(shot.frames - 1, frame + by));
  if (by !== 0 && (e.ctrlKey || e.metaKey)) {
    const own = beginnings(shot, character, chosen?.tracks ?? []);
    const all =
      own.length > 0
        ? own
        : beginnings(
            shot,
            character,
            lanes.map((l) => l.track!),
          );
    to = (by > 0 ? all.find((f) => f > frame) : all.filter((f) => f < frame).at(-1)) ?? frame;
  }
  const lane = Math.max(0, Math.min(lanes.length - 1, (now < 0 ? 0 : now) + beside));
  if (e.shiftKey && chosen) {
    if (beside !== 0) {
      const last = lanes.findIndex((l) => sameTrack(l.track!, chosen.tracks.at(-1)!));
      const end = Math.max(0, Math.min(lanes.length - 1, last + beside));
      choose({
        ...chosen,
        tracks: lanes.slice(Math.min(now, end), Math.max(now, end) + 1).map((l) => l.track!),
      });
    } else choose({ ...chosen, from: Math.min(chosen.from, to), to: Math.max(chosen.to, to + 1) });
  } else {
    const track = lanes[lane]?.track;
    const at = track ? itemsOn(track, shot, character).find((i) => i.from <= to && to < i.to) : undefined;
    choose(track ? { tracks: [track], from: at?.from ?? to, to: at?.to ?? to + 1 } : null, at?.id ?? null);
  }
  stepTo(to);
}
