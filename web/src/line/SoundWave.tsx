import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, type LineView } from '../api/client';
import { soundOf } from './player';
import { wavePath } from './spans';

/** The sound of a whole shot, as wide as there is room; nothing for one in which nothing is said. */
export function SoundWave({ line, className }: { line: LineView; className: string }) {
  const peaks = useQuery({
    queryKey: ['peaks', line.id, soundOf(line)],
    queryFn: () => api.peaks(line.id, 700),
    enabled: line.shot.lines.length > 0,
    staleTime: Infinity,
  });
  const wave = useMemo(() => wavePath(peaks.data ?? []), [peaks.data]);
  return (
    <svg
      className={className}
      viewBox={`0 -1.05 ${Math.max(1, (peaks.data?.length ?? 1) - 1)} 2.1`}
      preserveAspectRatio="none"
      aria-hidden
    >
      <path d={wave} fill="var(--faint)" />
    </svg>
  );
}
