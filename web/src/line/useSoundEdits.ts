import { useCallback } from 'react';
import { api, type DialogueLine, type ShotEdit } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { usePlayer } from './player';
import { type Edge, stepped } from './sounds';
import { type ChosenSound, useSoundDesk } from './soundDesk';

export type Phone = DialogueLine['phones'][number]['phone'];

/** Seconds of a sound that is added. */
const ADDED = 0.06;

/** What hands do to the sounds of the line that is open. */
export function useSoundEdits() {
  const { line, editLine, changeLine } = useStudio();
  const { stepTo } = usePlayer();
  const rate = line?.shot.rules.frameRate ?? 24;

  const lineAt = useCallback((at: number) => line?.shot.lines.find((l) => l.at === at)?.line ?? null, [line]);

  const choose = useCallback(
    (chosen: ChosenSound | null) => {
      useSoundDesk.setState({ chosen, asking: false });
      const p = chosen && lineAt(chosen.at)?.phones[chosen.sound];
      if (p) stepTo(Math.floor(chosen.at + p.start * rate + 1e-6));
    },
    [lineAt, rate, stepTo],
  );

  const moveBy = (c: ChosenSound, edge: Edge, by: 1 | -1) => {
    const p = lineAt(c.at)?.phones[edge.sound];
    if (!p) return;
    const { frames, push } = useSoundDesk.getState();
    const to = stepped(edge.end ? p.end : p.start, by, rate, frames);
    void editLine({ kind: 'move-edge', at: c.at, sound: edge.sound, end: edge.end, to, push });
  };

  const edited = async (edit: ShotEdit, then?: ChosenSound) => {
    if ((await editLine(edit)) && then) useSoundDesk.setState({ chosen: then });
  };

  const change = (c: ChosenSound, phone: Phone) => edited({ kind: 'change-sound', ...c, phone });

  const split = (c: ChosenSound) => {
    const p = lineAt(c.at)?.phones[c.sound];
    if (!p) return;
    const frame = useDesk.getState().frame;
    // where the playhead stands within it, else in the middle
    const head = (frame - c.at) / rate;
    const time = head > p.start + 0.011 && head < p.end - 0.011 ? head : (p.start + p.end) / 2;
    void edited({ kind: 'split-sound', ...c, time, second: p.phone }, { ...c, sound: c.sound + 1 });
  };

  const join = (c: ChosenSound) => edited({ kind: 'join-sounds', ...c });

  const drop = (c: ChosenSound) => {
    const count = lineAt(c.at)?.phones.length ?? 0;
    void edited({ kind: 'drop-sound', ...c }, { ...c, sound: Math.min(c.sound, count - 2) });
  };

  /** Puts a sound behind one: into the pause there, or out of its end. */
  const add = (c: ChosenSound, word: number) => {
    const all = lineAt(c.at);
    const p = all?.phones[c.sound];
    if (!all || !p) return;
    const next = all.phones[c.sound + 1]?.start ?? all.seconds;
    const pause = next - p.end;
    const length = pause >= 0.03 ? Math.min(ADDED, pause) : Math.min(ADDED, (p.end - p.start) / 2);
    const start = pause >= 0.03 ? p.end : p.end - length;
    void edited(
      { kind: 'add-sound', at: c.at, word, phone: p.phone, start, end: start + length },
      { ...c, sound: c.sound + 1 },
    );
  };

  const release = (at: number, from: number, to: number) => edited({ kind: 'release-edges', at, from, to });

  const again = (at: number, from: number, to: number) =>
    changeLine((l) => api.again(l.id, l.revision, at, from, to));

  return { rate, lineAt, choose, moveBy, change, split, join, drop, add, release, again };
}

/** Plays a stretch of the shot once; asked again while it plays, stops it. */
export function hear(from: number, to: number, rate: number): void {
  const desk = useDesk.getState();
  if (desk.playing) {
    desk.play(false);
    return;
  }
  const first = Math.max(0, Math.floor(from * rate));
  const end = Math.max(first + 1, Math.ceil(to * rate));
  desk.seek(first);
  desk.play(true);
  const stop = useDesk.subscribe((s) => {
    if (s.playing && s.frame < end) return;
    stop();
    if (s.playing) s.play(false);
  });
}
