import { Dialog } from 'radix-ui';
import { useEffect, useMemo, useState } from 'react';
import { usePlayer } from '../line/player';
import { posesParts, useDesk } from '../state/desk';
import { heldKeys } from '../state/held';
import { copyPlacement, usePlacement } from '../state/placements';
import { partRuns } from '../state/partRuns';
import { recorded } from '../state/recording';
import { useRuns } from '../state/useRuns';
import { useStudio } from '../state/studio';
import { useRoom } from '../room/room';
import { useSight, ZOOM_STEP } from '../stage/sight';
import { typing } from '../ui/typing';

const LIST: [string, string][] = [
  ['Space', 'play or stop the line'],
  [', and .', 'one frame back, one frame on'],
  ['Ctrl+Z, Ctrl+Shift+Z or Ctrl+Y', 'undo, redo: the last edit of all, on the character or the line'],
  ['W', 'Why? – then click a part'],
  ['0', 'every dial back to rest'],
  ['+, -, =', 'the stage closer, further away, as large as it was drawn'],
  ['F, Shift+F', 'the stage shows the head, the whole figure'],
  ['Space and a drag, middle button', 'move what the stage shows'],
  ['Alt+Enter', 'the stage alone, and everything round it again'],
  ['Arrows', 'on Parts, Eyes, Brows, Hands, Kits and Turn: nudge the chosen part by 1 (Shift 10, Alt 0.1)'],
  ['Ctrl+C, Ctrl+V', 'on those benches: copy the chosen part’s placement, put it on another part'],
  ['Right click', 'on the stage: what can be done with a part'],
  ['Escape', 'let go of the drag, the artwork, the part; end Why?'],
  ['Shift+click', 'choose several parts'],
  ['Delete, S, C', 'on a point of the artwork: take it out, smooth, corner'],
  ['Home', 'back to the first frame'],
  ['K', 'on Shot: key what the sentence at its foot says'],
  ['1, 2, 3, 4', 'on Shot, with keys chosen: hold, even, smooth, curve'],
  ['Arrows, Shift, Ctrl', 'on the sheet of a shot: from cell to cell, choosing more, from key to key'],
  ['1 to 9, Shift+1 to 9', 'on Shot, while it is played live: looks, and cues'],
  ['Ctrl+C, X, V, Shift+V', 'on Shot: copy, cut, put in, put in mirrored'],
  ['Delete, Insert', 'on Shot: take out what is chosen, put in an empty frame'],
  ['Ctrl+K', 'find anything by its name: benches, parts, dials, drawings, looks, shots, characters'],
  ['?', 'this list'],
];

/** A control that was come to by keyboard, for whose hand Space means that control. */
const reached = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement &&
  e.target.closest(':is(button, a, [role="option"]):focus-visible') !== null;
const onControl = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement && e.target.closest('button, [role="slider"], a, [role="option"]') !== null;

/** The keys that work on every bench. */
export function Keys({ help, setHelp }: { help: boolean; setHelp: (help: boolean) => void }) {
  const { step, edit, view } = useStudio();
  const { library, rig, controls } = view.character;
  const { keys, kits } = library;
  const { parts } = rig;
  const { dials } = controls;
  const runs = useMemo(() => partRuns(rig), [rig]);
  const { toggle, stepTo } = usePlayer();
  const { toggle: toggleRun } = useRuns();
  const [held] = useState(heldKeys);
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const desk = useDesk.getState();
      const command = (e.ctrlKey || e.metaKey) && !e.altKey && !typing(e);
      if (command && (e.key.toLowerCase() === 'z' || e.key.toLowerCase() === 'y')) {
        e.preventDefault();
        void step(e.key.toLowerCase() === 'z' && !e.shiftKey);
        return;
      }
      const letter = e.key.toLowerCase();
      if (command && (letter === 'c' || letter === 'v') && desk.part && posesParts(desk.bench)) {
        const part = parts.find((p) => p.id === desk.part);
        const { rest } = usePlacement.getState();
        // text that is marked is what is meant then
        if (!part || !window.getSelection()?.isCollapsed) return;
        e.preventDefault();
        if (letter === 'c') copyPlacement(part);
        else if (rest) void edit(recorded({ kind: 'place', part: part.id, rest }, dials));
        return;
      }
      if (typing(e) || e.ctrlKey || e.metaKey) return;
      const sight = useSight.getState().commands;
      const { alone, standAlone } = useRoom.getState();
      if (e.key === 'Enter' && e.altKey) {
        e.preventDefault();
        standAlone(!alone);
        return;
      }
      if (e.key === 'Escape' && alone && !desk.shaping && desk.part === null && !desk.whyMode) {
        standAlone(false);
        return;
      }
      if (sight && (e.key === '+' || e.key === '-' || e.key === '=') && !e.altKey) {
        if (e.key === '=') sight.actual();
        else sight.zoom(e.key === '+' ? 1 / ZOOM_STEP : ZOOM_STEP);
        return;
      }
      if (e.key === ' ' && !reached(e)) {
        e.preventDefault();
        if (!e.repeat) toggle();
      } else if (e.key === ',' || e.key === '.') {
        stepTo(desk.frame + (e.key === ',' ? -1 : 1));
      } else if (e.key === 'Home' && !onControl(e)) {
        stepTo(0);
      } else if (e.key === 'w' || e.key === 'W') {
        desk.ask(!desk.whyMode);
      } else if (e.key === '0') {
        desk.rest();
      } else if (e.key === 'Escape') {
        if (desk.shaping) desk.shape(null);
        else if (desk.recording && desk.part === null) desk.record(false);
        else {
          desk.ask(false);
          desk.select(null);
        }
      } else if (sight && e.key === 'F' && e.shiftKey) {
        sight.fitFigure();
      } else if (sight && e.key === 'f' && !e.altKey && !keys.some((k) => k.key === 'f')) {
        sight.fitHead();
      } else if (e.key === '?') {
        setHelp(true);
      } else if (!desk.shaping && !e.altKey && keys.some((k) => k.key === e.key)) {
        if (e.repeat) return;
        const { part, drawing } = keys.find((k) => k.key === e.key)!;
        const shows = desk.pins[part] === drawing;
        desk.pin(part, shows ? null : drawing);
        if (!shows) held.press(e.key, () => useDesk.getState().pin(part, null), e.timeStamp);
      } else if (!desk.shaping && !e.altKey && kits.some((k) => k.key === e.key)) {
        if (e.repeat) return;
        const { choices } = kits.find((k) => k.key === e.key)!;
        const worn = () => Object.entries(choices).every(([p, d]) => useDesk.getState().picks[p] === d);
        desk.wear(choices);
        // whoever has put something else on meanwhile keeps that
        if (worn()) held.press(e.key, () => worn() && useDesk.getState().wear(choices), e.timeStamp);
      } else if (!desk.shaping && !e.altKey && runs.some((r) => r.key === e.key)) {
        if (!e.repeat) void toggleRun(runs.find((r) => r.key === e.key)!);
      } else if (
        e.key.startsWith('Arrow') &&
        desk.part &&
        !desk.shaping &&
        posesParts(desk.bench) &&
        !onControl(e)
      ) {
        e.preventDefault();
        const by = e.shiftKey ? 10 : e.altKey ? 0.1 : 1;
        const dx = e.key === 'ArrowLeft' ? -by : e.key === 'ArrowRight' ? by : 0;
        const dy = e.key === 'ArrowUp' ? -by : e.key === 'ArrowDown' ? by : 0;
        void edit(recorded({ kind: 'nudge', part: desk.part, dx, dy }, dials));
      }
    };
    const release = (e: KeyboardEvent) => held.release(e.key, e.timeStamp);
    const away = () => held.releaseAll();
    window.addEventListener('keydown', press);
    window.addEventListener('keyup', release);
    window.addEventListener('blur', away);
    return () => {
      window.removeEventListener('keydown', press);
      window.removeEventListener('keyup', release);
      window.removeEventListener('blur', away);
    };
  }, [step, toggle, stepTo, edit, keys, kits, runs, toggleRun, dials, held, setHelp, parts]);
  return (
    <Dialog.Root open={help} onOpenChange={setHelp}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[85vh] w-[30rem] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-xl border border-line bg-paper p-6 shadow-2xl"
        >
          <Dialog.Title className="font-display text-xl font-bold">Keys</Dialog.Title>
          <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
            {LIST.map(([key, does]) => (
              <div key={key} className="contents">
                <dt className="font-bold">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
            {keys.length + kits.length > 0 && (
              <div className="contents">
                <dt className="font-bold">A drawing’s or a kit’s key</dt>
                <dd>shows it while held; pressed shortly, until it is pressed again</dd>
              </div>
            )}
            {keys.map((k) => {
              const part = parts.find((p) => p.id === k.part);
              return (
                <div key={k.key} className="contents">
                  <dt className="font-bold">{k.key}</dt>
                  <dd>
                    {part?.name}: {part?.drawings.find((d) => d.id === k.drawing)?.name ?? 'nothing'}
                  </dd>
                </div>
              );
            })}
            {kits
              .filter((k) => k.key !== '')
              .map((k) => (
                <div key={k.id} className="contents">
                  <dt className="font-bold">{k.key}</dt>
                  <dd>the kit {k.name}</dd>
                </div>
              ))}
            {runs
              .filter((r) => r.key !== '')
              .map((r) => (
                <div key={r.id} className="contents">
                  <dt className="font-bold">{r.key}</dt>
                  <dd>the run {r.name}, begun and let go of</dd>
                </div>
              ))}
          </dl>
          <p className="mt-3 text-faint">
            On a ruler: drag, arrows, or type a value; the wheel goes from stop to stop while the ruler has
            focus or Alt is held.
          </p>
          <Dialog.Close className="btn mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
