import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../api/client';
import { useDrop } from '../app/drop';
import { keyFor, useKeymap } from '../app/keymap';
import { usePlayer } from '../line/player';
import { useRoom } from '../room/room';
import { useSight, ZOOM_STEP } from '../stage/sight';
import { useDesk } from '../state/desk';
import { usePlayCue } from '../state/usePlayCue';
import { stepsLine, useStudio } from '../state/studio';
import { benches, characters, type Entry, ofCharacter, shots } from './entries';
import { Palette } from './Palette';
import { usePalette } from './paletteState';

/** Everything of the open character by its name, and everything that can be done. */
export function StudioPalette({ help }: { help: () => void }) {
  const open = usePalette((s) => s.open);
  return open ? <Filled help={help} /> : <Palette groups={NONE} />;
}

const NONE: never[] = [];

function Filled({ help }: { help: () => void }) {
  const { view, line, step } = useStudio();
  const { toggle, stepTo } = usePlayer();
  const { chooseArt, chooseSound, chooseVersion } = useDrop();
  const playCue = usePlayCue();
  const sight = useSight((s) => s.commands);
  const all = useQuery({ queryKey: ['characters'], queryFn: api.characters });
  const lines = useQuery({ queryKey: ['lines', view.id], queryFn: () => api.lines(view.id) });
  const desk = useDesk.getState;
  const own = useKeymap((s) => s.own);
  const undo = stepsLine(true, view, line) ? line?.undo : view.undo;
  const redo = stepsLine(false, view, line) ? line?.redo : view.redo;
  const actions: Entry[] = [
    ...(undo
      ? [{ id: 'undo', name: 'Undo', of: undo.message, key: 'Ctrl+Z', run: () => void step(true) }]
      : []),
    ...(redo
      ? [{ id: 'redo', name: 'Redo', of: redo.message, key: 'Ctrl+Y', run: () => void step(false) }]
      : []),
    { id: 'play', name: 'Play or stop', key: keyFor('play', own), run: toggle },
    { id: 'first', name: 'To the first frame', key: keyFor('first', own), run: () => stepTo(0) },
    {
      id: 'rest',
      name: 'Everything back to rest',
      also: 'reset dials',
      key: keyFor('rest', own),
      run: () => desk().rest(),
    },
    {
      id: 'why',
      name: 'Why?',
      also: 'explain part',
      key: keyFor('why', own),
      run: () => desk().ask(!desk().whyMode),
    },
    { id: 'home', name: 'All characters', also: 'home', run: () => desk().goHome() },
    { id: 'new', name: 'New character …', also: 'import art', run: chooseArt },
    { id: 'version', name: 'A new version of this art …', also: 'import update', run: chooseVersion },
    { id: 'sound', name: 'A recording of a line …', also: 'import audio', run: chooseSound },
    {
      id: 'alone',
      name: 'The stage alone',
      also: 'full screen',
      key: keyFor('alone', own),
      run: () => useRoom.getState().standAlone(!useRoom.getState().alone),
    },
    {
      id: 'usual',
      name: 'All panels as usual',
      also: 'reset layout size',
      run: () => useRoom.setState({ size: {}, folded: [], alone: false }),
    },
    ...(sight
      ? [
          { id: 'head', name: 'Fit head', also: 'zoom stage', key: keyFor('head', own), run: sight.fitHead },
          {
            id: 'figure',
            name: 'Fit figure',
            also: 'zoom stage whole',
            key: keyFor('figure', own),
            run: sight.fitFigure,
          },
          {
            id: 'actual',
            name: 'As large as it was drawn',
            also: 'zoom 1:1',
            key: keyFor('actual', own),
            run: sight.actual,
          },
          {
            id: 'closer',
            name: 'Closer',
            also: 'zoom in',
            key: keyFor('closer', own),
            run: () => sight.zoom(1 / ZOOM_STEP),
          },
          {
            id: 'further',
            name: 'Further away',
            also: 'zoom out',
            key: keyFor('further', own),
            run: () => sight.zoom(ZOOM_STEP),
          },
        ]
      : []),
    { id: 'keys', name: 'All keys', also: 'help shortcuts', key: keyFor('list', own), run: help },
  ];
  const things = useMemo(() => ofCharacter(view.character, playCue), [view.character]); // eslint-disable-line react-hooks/exhaustive-deps
  const groups = [
    benches(),
    { name: 'Do', entries: actions },
    shots(lines.data?.items ?? []),
    ...things,
    characters(all.data?.items ?? [], view.id),
  ];
  return <Palette groups={groups} />;
}
