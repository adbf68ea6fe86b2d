import { useQuery } from '@tanstack/react-query';
import { api, type ShotFinding } from '../api/client';
import { useStudio } from '../state/studio';
import { useSheet } from './sheetState';

/** What is wrong along the shot on the stage, measured anew while the list is open; the last answer while a newer one is on its way. */
export function useShotFindings(): { findings: ShotFinding[] | null; measuring: boolean } {
  const { view, line } = useStudio();
  const checking = useSheet((s) => s.checking);
  const found = useQuery({
    queryKey: ['shot-findings', line?.id, line?.revision, view.revision],
    queryFn: () => api.shotFindings(line!.id),
    enabled: checking && line !== null,
    placeholderData: (old, before) => (before?.queryKey[1] === line?.id ? old : undefined),
  });
  return {
    findings: checking ? (found.data?.findings ?? null) : null,
    measuring: found.isFetching,
  };
}
