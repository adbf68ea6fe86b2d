import { useMemo } from 'react';
import { api, type MouthRulers } from '../../api/client';
import { useStudio } from '../../state/studio';
import { asMessage } from '../../state/messages';
import { between, type Outline, takenApart } from './outlines';

/** Which cell of the wall a mouth belongs to. */
export const cellKey = (mood: string, viseme: string) => `${mood}/${viseme}`;

const AT_ONCE = 2;
/** How many places of a ruler are asked for; between them outlines are blended. */
const PLACES = 8;
/** A ruler that rests this long is answered for exactly where it stands, milliseconds. */
const STILL = 120;

type Question = [MouthRulers, Record<string, MouthRulers>];

/** The outlines a mouth has in the blend that is to be shown; none for one the rulers do not make. */
export type Blend = (key: string) => string[] | null;

/** One ruler being turned: the set at places along it, as far as they have been asked for. */
interface Turned {
  key: string;
  at: (value: number) => Question;
  step: number;
  value: number;
  /** By place: what it makes, or nothing while the answer is on its way. */
  known: Map<number, Map<string, Outline[]> | null>;
}

/** What a picture of the wall is told while rulers are turned: the outlines to show, or none for its own again. */
type Shows = (outlines: string[] | null) => void;

/**
 * The set as rulers that are being turned would make it. Pictures listen themselves, so that a drag repaints outlines and
 * nothing else. A single ruler is answered for at places along it, those about its knob first, and every frame shows the
 * blend of the nearest it stands between; once it rests, what is really made there. Two questions are on their way at most;
 * of those that wait only the newest is asked, and an answer that was overtaken is not shown.
 */
export class Preview {
  private readonly pictures = new Map<Shows, { key: string; live: boolean }>();
  private wanted: Question | null = null;
  private turned: Turned | null = null;
  private readonly painters = new Map<(blend: Blend) => void, () => void>();
  private frame = 0;
  private still = 0;
  /** Whether a blend is what is in sight. */
  private blending = false;
  private asked = 0;
  private open = 0;
  private shown = 0;
  private turning = false;

  constructor(
    private readonly character: string,
    private readonly failed: (e: unknown) => void,
  ) {}

  /** @param live told of every blend too, not only of answers */
  watch(key: string, shows: Shows, live = false): () => void {
    this.pictures.set(shows, { key, live });
    return () => this.pictures.delete(shows);
  }

  /**
   * Paints what lies between answers, many times a second.
   *
   * @param done told when the pictures show what is to be seen themselves
   */
  blended(paint: (blend: Blend) => void, done: () => void): () => void {
    this.painters.set(paint, done);
    return () => this.painters.delete(paint);
  }

  private tell(outlinesOf: Blend | null): void {
    for (const [shows, { key }] of this.pictures) {
      const outlines = outlinesOf ? outlinesOf(key) : null;
      if (outlines || !outlinesOf) shows(outlines);
    }
    for (const done of this.painters.values()) done();
    this.blending = false;
  }

  /**
   * One ruler, from 0 to its most, stands at a value.
   *
   * @param id which ruler it is
   * @param at all rulers, when it stands at a value
   */
  turn(id: string, value: number, most: number, at: (value: number) => Question): void {
    const key = id + JSON.stringify(at(0));
    if (this.turned?.key !== key) this.turned = { key, at, step: most / PLACES, value, known: new Map() };
    this.turned.value = value;
    this.wanted = null;
    this.turning = true;
    // an exact answer for where it stood before comes too late
    this.shown = this.asked;
    this.paintSoon();
    this.fill();
    window.clearTimeout(this.still);
    this.still = window.setTimeout(() => this.turning && this.want(at(value)), STILL);
  }

  ask(rulers: MouthRulers, own: Record<string, MouthRulers>): void {
    this.turned = null;
    this.want([rulers, own]);
  }

  private want(question: Question): void {
    this.wanted = question;
    this.turning = true;
    void this.pump();
  }

  /** Every picture shows its own drawing again; what is still on its way is not shown any more. */
  forget(): void {
    this.stop();
    this.tell(null);
  }

  /** The last that was shown stays in sight until its drawings are here; nothing more is asked. */
  settle(): void {
    const blend = this.blending ? this.blend() : null;
    this.stop();
    if (blend) this.tell(blend);
  }

  private stop(): void {
    window.clearTimeout(this.still);
    cancelAnimationFrame(this.frame);
    this.frame = 0;
    this.wanted = null;
    this.turning = false;
    this.shown = this.asked;
  }

  private paintSoon(): void {
    if (!this.frame) this.frame = requestAnimationFrame(() => this.paint());
  }

  private paint(): void {
    this.frame = 0;
    const blend = this.turning ? this.blend() : null;
    if (!blend) return;
    this.blending = true;
    for (const paint of this.painters.keys()) paint(blend);
    for (const [shows, { key, live }] of this.pictures) {
      const outlines = live ? blend(key) : null;
      if (outlines) shows(outlines);
    }
  }

  /** Of the nearest known places the ruler stands between, or of the one it is beyond. */
  private blend(): Blend | null {
    if (!this.turned) return null;
    const { value, step, known } = this.turned;
    const at = value / step;
    const places = [...known].filter(([, made]) => made !== null).map(([i]) => i);
    const below = places.filter((i) => i <= at);
    const above = places.filter((i) => i >= at);
    const low = below.length > 0 ? Math.max(...below) : Math.min(...above);
    const high = above.length > 0 ? Math.min(...above) : low;
    const a = known.get(low);
    const b = known.get(high);
    if (!a || !b) return null;
    const share = high === low ? 0 : (at - low) / (high - low);
    return (key) => {
      const from = a.get(key);
      const to = b.get(key);
      return from && to?.length === from.length ? from.map((o, i) => between(o, to[i]!, share)) : null;
    };
  }

  /** Asks for the places about the knob that are not known, nearest first. */
  private fill(): void {
    const t = this.turned;
    if (!t || !this.turning) return;
    const middle = t.value / t.step;
    const places = Array.from({ length: PLACES + 1 }, (_, i) => i)
      .filter((i) => !t.known.has(i))
      .sort((x, y) => Math.abs(x - middle) - Math.abs(y - middle));
    while (this.open < AT_ONCE && places.length > 0) void this.place(t, places.shift()!);
  }

  private async place(t: Turned, i: number): Promise<void> {
    t.known.set(i, null);
    this.open++;
    try {
      const { mouths } = await api.previewMouths(this.character, ...t.at(i * t.step));
      t.known.set(i, new Map(mouths.map((m) => [cellKey(m.mood, m.viseme), m.outlines.map(takenApart)])));
      if (t === this.turned && this.turning) this.paintSoon();
    } catch (e) {
      // it is not asked for again before the ruler is let go, or every movement would fail
      this.failed(e);
    } finally {
      this.open--;
      this.next();
    }
  }

  private next(): void {
    void this.pump();
    this.fill();
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
        this.tell((key) => made.get(key) ?? null);
      }
    } catch (e) {
      this.failed(e);
    } finally {
      this.open--;
      this.next();
    }
  }
}

export function usePreview(): Preview {
  const { view, tell } = useStudio();
  // what was asked of an earlier revision says nothing about this one
  return useMemo(
    () => new Preview(view.id, (e) => tell(asMessage(e))),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [view.id, view.revision, tell],
  );
}
