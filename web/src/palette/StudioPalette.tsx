import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../api/client';
import { type CommandId, COMMANDS, wordsOf } from '../app/commands';
import { keyFor, shown, useKeymap } from '../app/keymap';
import { useCommands } from '../app/useCommands';
import { usePlayCue } from '../state/usePlayCue';
import { useStudio } from '../state/studio';
import { benches, characters, type Entry, ofCharacter, shots } from './entries';
import { Palette } from './Palette';
import { usePalette } from './paletteState';

/** Everything of the open character by its name, and everything that can be done. */
export function StudioPalette() {
  const open = usePalette((s) => s.open);
  return open ? <Filled /> : <Palette groups={NONE} />;
}

const NONE: never[] = [];

function Filled() {
  const { view } = useStudio();
  const commands = useCommands();
  const playCue = usePlayCue();
  const all = useQuery({ queryKey: ['characters'], queryFn: api.characters });
  const lines = useQuery({ queryKey: ['lines', view.id], queryFn: () => api.lines(view.id) });
  const own = useKeymap((s) => s.own);
  const actions = (Object.keys(COMMANDS) as CommandId[])
    .filter((c) => c !== 'find' && !commands[c].off)
    .map((id): Entry => {
      const { name, also } = wordsOf(id);
      const { of, run } = commands[id];
      return { id, name, also, of, key: shown(keyFor(id, own)), run };
    });
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
