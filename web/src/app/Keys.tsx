import { useEffect, useMemo, useRef, useState } from 'react';
import { useDesk } from '../state/desk';
import { posesParts } from '../state/benches';
import { heldKeys } from '../state/held';
import { useCopying } from './useCopying';
import { partRuns } from '../state/partRuns';
import { stepOf } from '../state/usePresses';
import { useNudges } from '../state/useNudges';
import { useRuns } from '../state/useRuns';
import { useStudio } from '../state/studio';
import { useRoom } from '../room/room';
import { typing } from '../ui/typing';
import { commandOf, isSingle, keyOf, useKeymap } from './keymap';
import { KeyList } from './KeyList';
import { useCommands } from './useCommands';

/** A control that was come to by keyboard, for whose hand Space means that control. */
const reached = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement &&
  e.target.closest(':is(button, a, [role="option"]):focus-visible') !== null;
const onControl = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement && e.target.closest('button, [role="slider"], a, [role="option"]') !== null;

/** The keys that work on every bench. */
export function Keys() {
  const { view } = useStudio();
  const { library, rig } = view.character;
  const { keys, kits } = library;
  const runs = useMemo(() => partRuns(rig), [rig]);
  const { toggle: toggleRun } = useRuns();
  const [held] = useState(heldKeys);
  const nudge = useNudges();
  const { copy, paste } = useCopying();
  const commands = useCommands();
  const deeds = useRef(commands);
  useEffect(() => {
    deeds.current = commands;
  });
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const desk = useDesk.getState();
      const ctrl = (e.ctrlKey || e.metaKey) && !e.altKey && !typing(e);
      if (ctrl && (e.key.toLowerCase() === 'z' || e.key.toLowerCase() === 'y')) {
        e.preventDefault();
        deeds.current[e.key.toLowerCase() === 'z' && !e.shiftKey ? 'undo' : 'redo'].run();
        return;
      }
      const letter = e.key.toLowerCase();
      if (ctrl && !e.shiftKey && (letter === 'c' || letter === 'v') && desk.bench !== 'shot') {
        // text that is marked is what is meant then
        if (!window.getSelection()?.isCollapsed) return;
        if (letter === 'c' ? copy(e.target) : paste()) e.preventDefault();
        return;
      }
      if (typing(e) || e.ctrlKey || e.metaKey) return;
      if (e.key === 'Escape') {
        const { alone, standAlone } = useRoom.getState();
        if (alone && !desk.shaping && desk.part === null && !desk.whyMode) standAlone(false);
        else if (desk.shaping) desk.shape(null);
        else if (desk.recording && desk.part === null) desk.record(false);
        else {
          desk.ask(false);
          desk.select(null);
        }
        return;
      }
      const map = useKeymap.getState();
      const command = commandOf(keyOf(e), map);
      // what somebody gave a key to on this character comes before what it does everywhere
      const given =
        !desk.shaping &&
        !e.altKey &&
        [...keys, ...kits, ...runs].some((k) => k.key !== '' && k.key === e.key);
      if (command === 'play') {
        if (reached(e)) return;
        e.preventDefault();
        if (!e.repeat) deeds.current.play.run();
      } else if (command === 'first') {
        if (!onControl(e)) deeds.current.first.run();
      } else if (command && !given) {
        if (command === 'alone') e.preventDefault();
        deeds.current[command].run();
      } else if (!map.singles && isSingle(e.key)) {
        return;
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
        nudge(desk.part, ...stepOf(e)!);
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
  }, [keys, kits, runs, toggleRun, held, nudge, copy, paste]);
  return <KeyList />;
}
