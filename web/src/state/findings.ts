import { useQuery } from '@tanstack/react-query';
import { api, type Finding } from '../api/client';
import { useStudio } from './studio';

/**
 * What the named checks find on the open character, all checks when none is named; the last answer while a newer one is on its way,
 * null before the first.
 */
export function useFindings(...checks: string[]): Finding[] | null {
  return useChecked(...checks).data?.findings ?? null;
}

/** The same, with what was looked at and whether that is going on. */
export function useChecked(...checks: string[]) {
  const { view } = useStudio();
  return useQuery({
    queryKey: ['findings', view.id, view.revision, ...checks],
    queryFn: () => api.findings(view.id, checks),
    placeholderData: (old) => old,
  });
}

/** Tells one finding from another over revisions. */
export const keyOf = (f: Finding) =>
  [f.check, f.code, f.subject.part, f.subject.drawing, f.subject.dial].join('/');
