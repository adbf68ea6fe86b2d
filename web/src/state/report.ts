import { useQuery } from '@tanstack/react-query';
import { api, type IntakeReport } from '../api/client';
import { useStudio } from './studio';

/** What was measured about the open character's art; the last answer while a newer one is on its way. */
export function useReport(): IntakeReport | null {
  const { view } = useStudio();
  const report = useQuery({
    queryKey: ['intake', view.id, view.revision],
    queryFn: () => api.intake(view.id),
    placeholderData: (old) => old,
  });
  return report.data ?? null;
}

/** How many things wait to be settled. */
export function openCount(r: IntakeReport): number {
  return (
    (r.standing?.needed ? 1 : 0) +
    (Object.keys(r.sides.right).length > 0 ? 1 : 0) +
    (r.guesses.length > 0 ? 1 : 0) +
    (r.nearColours.length > 0 ? 1 : 0) +
    (r.strays.length > 0 ? 1 : 0)
  );
}
