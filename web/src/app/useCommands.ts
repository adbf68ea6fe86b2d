import { create } from 'zustand';
import { usePlayer } from '../line/player';
import { usePalette } from '../palette/paletteState';
import { useRoom } from '../room/room';
import { showCorner, useSight, ZOOM_STEP } from '../stage/sight';
import { useDesk } from '../state/desk';
import { stepsLine, useStudio } from '../state/studio';
import type { CommandId } from './commands';
import { useDrop } from './drop';

/** Whether the list of keys is open. */
export const useKeyList = create<{ open: boolean }>(() => ({ open: false }));

/** What a command does at this moment. */
export interface Deed {
  run: () => void;
  /** What it would be about. */
  of?: string | undefined;
  /** Whether there is nothing it could do. */
  off?: boolean;
}

/** What every command does to the open character. */
export function useCommands(): Record<CommandId, Deed> {
  const { view, line, step } = useStudio();
  const { toggle, stepTo } = usePlayer();
  const { chooseArt, chooseSound, chooseVersion } = useDrop();
  const sight = useSight((s) => s.commands);
  const nothingHidden = useDesk((s) => s.hidden.length + s.solo.length === 0);
  const undo = stepsLine(true, view, line) ? line?.undo : view.undo;
  const redo = stepsLine(false, view, line) ? line?.redo : view.redo;
  const desk = useDesk.getState;
  const room = useRoom.getState;
  return {
    undo: { run: () => void step(true), of: undo?.message, off: !undo },
    redo: { run: () => void step(false), of: redo?.message, off: !redo },
    find: { run: () => usePalette.setState((s) => ({ open: !s.open })) },
    play: { run: toggle },
    back: { run: () => stepTo(desk().frame - 1) },
    on: { run: () => stepTo(desk().frame + 1) },
    first: { run: () => stepTo(0) },
    why: { run: () => desk().ask(!desk().whyMode) },
    rest: { run: () => desk().rest() },
    closer: { run: () => sight?.zoom(1 / ZOOM_STEP), off: !sight },
    further: { run: () => sight?.zoom(ZOOM_STEP), off: !sight },
    actual: { run: () => sight?.actual(), off: !sight },
    head: { run: () => sight?.fitHead(), off: !sight },
    figure: { run: () => sight?.fitFigure(), off: !sight },
    corner: { run: () => showCorner(!useSight.getState().corner) },
    alone: { run: () => room().standAlone(!room().alone) },
    usual: { run: () => useRoom.setState({ size: {}, folded: [], alone: false }) },
    reveal: { run: () => useDesk.setState({ hidden: [], solo: [] }), off: nothingHidden },
    home: { run: () => desk().goHome() },
    art: { run: chooseArt },
    version: { run: chooseVersion },
    sound: { run: chooseSound },
    list: { run: () => useKeyList.setState({ open: true }) },
  };
}
