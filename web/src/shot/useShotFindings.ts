import { useQuery } from '@tanstack/react-query';
import { api, type ShotFinding } from '../api/client';
import { useStudio } from '../state/studio';

/**
 * What is wrong along the shot on the stage, measured anew whenever it or the character in it changes; the last answer while a newer one
 * is on its way.
 *
 * @param on whether anybody looks at it
 */
export function useShotFindings(on: boolean): { findings: ShotFinding[] | null; measuring: boolean } {
  const { view, line } = useStudio();
  const found = useQuery({
    queryKey: ['shot-findings', line?.id, line?.revision, view.revision],
    queryFn: () => api.shotFindings(line!.id),
    enabled: on && line !== null,
    placeholderData: (old, before) => (before?.queryKey[1] === line?.id ? old : undefined),
  });
  return {
    findings: on && line ? (found.data?.findings ?? null) : null,
    measuring: found.isFetching,
  };
}
