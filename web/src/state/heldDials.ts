import type { OpenCharacter } from 'page-core';
import type { PoseBody } from '../api/client';

/** Dials under a hand, and where each counts as standing: their drawings do not flicker when the hand trembles. */
export class HeldDials {
  private readonly held = new Map<string, number>();

  get any(): boolean {
    return this.held.size > 0;
  }

  grab(dials: string[]): void {
    for (const dial of dials) this.held.set(dial, NaN);
  }

  release(): void {
    this.held.clear();
  }

  /** The pose with every dial under a hand where it counts as standing. */
  steadied(pose: PoseBody, rules: OpenCharacter): PoseBody {
    if (this.held.size === 0) return pose;
    const dials = { ...pose.dials };
    for (const [dial, last] of this.held) {
      const value = dials[dial];
      if (value === undefined) continue;
      const at = rules.steadied(dial, last, value);
      this.held.set(dial, at);
      dials[dial] = at;
    }
    return { ...pose, dials };
  }
}
