import { useCallback } from 'react';
import { useDesk } from './desk';
import { recorded, recordingAt } from './recording';
import { useStudio } from './studio';
import { usePresses } from './usePresses';

/** Arrow presses on a part, into its rest pose or the stop that is recorded. */
export function useNudges(): (part: string, dx: number, dy: number) => void {
  const { dials } = useStudio().view.character.controls;
  const press = usePresses();
  return useCallback(
    (part: string, dx: number, dy: number) => {
      const at = recordingAt(useDesk.getState(), dials);
      press({
        into: JSON.stringify([part, at && [at.dial.id, at.at]]),
        dx,
        dy,
        make: (x, y) => recorded({ kind: 'nudge', part, dx: x, dy: y }, dials),
      });
    },
    [dials, press],
  );
}
