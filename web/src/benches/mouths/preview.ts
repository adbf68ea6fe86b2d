import { useMemo } from 'react';
import { api, type MouthRulers } from '../../api/client';
import { asMessage, useStudio } from '../../state/studio';

/** Which cell of the wall a mouth belongs to. */
export const cellKey = (mood: string, viseme: string) => `${mood}/${viseme}`;

const AT_ONCE = 2;

/** What a picture of the wall is told while rulers are turned: the outlines to show, or none for its own again. */
type Shows = (outlines: string[] | null) => void;

/**
 * The set as rulers that are being turned would make it. Pictures listen themselves, so that a drag repaints outlines and
 * nothing else. Two questions are on their way at most, so that the server works while the browser paints; of those that
 * wait only the newest is asked, and an answer that was overtaken is not shown.
 */
export class Preview {
  private readonly pictures = new Map<Shows, string>();
  private wanted: [MouthRulers, Record<string, MouthRulers>] | null = null;
  private asked = 0;
  private open = 0;
  private shown = 0;
  private turning = false;

  constructor(
    private readonly character: string,
    private readonly failed: (e: unknown) => void,
  ) {}

  watch(key: string, shows: Shows): () => void {
    this.pictures.set(shows, key);
    return () => this.pictures.delete(shows);
  }

  ask(rulers: MouthRulers, own: Record<string, MouthRulers>): void {
    this.wanted = [rulers, own];
    this.turning = true;
    void this.pump();
  }

  /** Every picture shows its own drawing again; what is still on its way is not shown any more. */
  forget(): void {
    this.wanted = null;
    this.turning = false;
    this.shown = this.asked;
    for (const shows of this.pictures.keys()) shows(null);
  }

  /** The last answer stays in sight until its drawings are here; nothing more is asked. */
  settle(): void {
    this.wanted = null;
    this.turning = false;
    this.shown = this.asked;
  }

  private async pump(): Promise<void> {
    if (this.open >= AT_ONCE || !this.wanted) return;
    this.open++;
    const turn = ++this.asked;
    const [rulers, own] = this.wanted;
    this.wanted = null;
    try {
      const { mouths } = await api.previewMouths(this.character, rulers, own);
      if (this.turning && turn > this.shown) {
        this.shown = turn;
        const made = new Map(mouths.map((m) => [cellKey(m.mood, m.viseme), m.outlines]));
        for (const [shows, key] of this.pictures) {
          const outlines = made.get(key);
          if (outlines) shows(outlines);
        }
      }
    } catch (e) {
      this.failed(e);
    } finally {
      this.open--;
      void this.pump();
    }
  }
}

export function usePreview(): Preview {
  const { view, tell } = useStudio();
  return useMemo(() => new Preview(view.id, (e) => tell(asMessage(e))), [view.id, tell]);
}
