import { useQuery } from '@tanstack/react-query';
import type { Dial, Frame, PoseBody } from '../api/client';
import { useStudio } from './studio';

/** What the character looks like in each of some poses; the last pictures while new ones are on their way. */
export function usePictures(poses: PoseBody[]): Frame[] {
  const { view, director } = useStudio();
  const pictures = useQuery({
    queryKey: ['pictures', view.id, view.revision, poses],
    queryFn: () => director.framesOf(poses),
    placeholderData: (old) => old,
    enabled: poses.length > 0,
    gcTime: 10_000,
  });
  return pictures.data ?? [];
}

/** Places of a dial, evenly from end to end. */
export function placesOf(dial: Dial, count: number): number[] {
  return Array.from({ length: count }, (_, i) => dial.from + ((dial.to - dial.from) * i) / (count - 1));
}
