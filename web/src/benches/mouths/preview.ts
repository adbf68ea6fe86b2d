import { useEffect, useRef, useState } from 'react';
import { api, type MouthRulers, type Shape } from '../../api/client';
import { useStudio } from '../../state/studio';
import { asMessage } from '../../state/studio';

/** Which cell of the wall a mouth belongs to. */
export const cellKey = (mood: string, viseme: string) => `${mood}/${viseme}`;

/**
 * The set as rulers that are being turned would make it. One question at a time goes to the server, always the newest;
 * what it answers counts until the character itself has changed.
 */
export function usePreview() {
  const { view, tell } = useStudio();
  const [answer, setAnswer] = useState<{ of: number; mouths: Map<string, Shape[]> } | null>(null);
  const wanted = useRef<[MouthRulers, Record<string, MouthRulers>] | null>(null);
  const busy = useRef(false);
  const alive = useRef(true);
  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
    };
  }, []);
  const pump = async () => {
    if (busy.current || !wanted.current) return;
    busy.current = true;
    const of = view.revision;
    const [rulers, own] = wanted.current;
    wanted.current = null;
    try {
      const made = await api.previewMouths(view.id, rulers, own);
      if (alive.current)
        setAnswer({ of, mouths: new Map(made.mouths.map((m) => [cellKey(m.mood, m.viseme), m.shapes])) });
    } catch (e) {
      tell(asMessage(e));
    } finally {
      busy.current = false;
      if (alive.current) void pump();
    }
  };
  return {
    shown: answer?.of === view.revision ? answer.mouths : null,
    ask: (rulers: MouthRulers, own: Record<string, MouthRulers>) => {
      wanted.current = [rulers, own];
      void pump();
    },
    forget: () => {
      wanted.current = null;
      setAnswer(null);
    },
  };
}
