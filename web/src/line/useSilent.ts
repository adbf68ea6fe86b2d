import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useStudio } from '../state/studio';

/** Whether it is known that the character has no line: the face has the room of one then. */
export function useSilent(): boolean {
  const { view, line } = useStudio();
  const lines = useQuery({ queryKey: ['lines', view.id], queryFn: () => api.lines(view.id) });
  return line === null && lines.data?.items.length === 0;
}
