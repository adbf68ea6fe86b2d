import { useDesk } from '../state/desk';
import type { Doing } from '../ui/RightMenu';
import type { useCutting } from './sheetKeys';

/** What else can be done with frames that are chosen, for every menu that offers it. */
export function cuttingChoices({ chosen, clip, ...cutting }: ReturnType<typeof useCutting>): Doing[] {
  if (!chosen) return [];
  const long = chosen.to - chosen.from;
  return [
    ...(clip
      ? [
          {
            name: `Put ${clip.frames} copied ${clip.frames === 1 ? 'frame' : 'frames'} in at the line`,
            does: cutting.paste,
            keys: 'Ctrl+V',
          },
          { name: 'The same, mirrored', does: cutting.pasteMirrored, keys: 'Ctrl+Shift+V' },
        ]
      : []),
    { name: 'Stretch to twice as long', does: () => cutting.stretch(long * 2) },
    { name: 'Shrink to half as long', does: () => cutting.stretch(Math.max(1, Math.round(long / 2))) },
    { name: 'Make room for as many frames on these tracks', does: () => cutting.insert(long, chosen.tracks) },
    { name: 'Make room on all tracks', does: () => cutting.insert(long, cutting.all), keys: 'Insert: one' },
    { name: 'Close these frames up on these tracks', does: () => cutting.takeOut(chosen.tracks) },
    { name: 'Close them up on all tracks', does: () => cutting.takeOut(cutting.all) },
    {
      name: 'Play these over and over',
      does: () => useDesk.setState({ loop: [chosen.from, chosen.to] }),
    },
  ];
}

/** What is done with chosen frames first of all. */
export function cuttingFirst({ chosen, ...cutting }: ReturnType<typeof useCutting>): Doing[] {
  return chosen
    ? [
        { name: 'Copy', does: cutting.copy, keys: 'Ctrl+C' },
        { name: 'Cut', does: cutting.cut, keys: 'Ctrl+X' },
        { name: 'Repeat behind itself', does: cutting.repeat },
        { name: 'Take out', does: cutting.clear, keys: 'Delete' },
      ]
    : [];
}
