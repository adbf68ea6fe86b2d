import type { Dial } from '../api/client';
import { useKeyed } from '../state/acted';
import { useDesk } from '../state/desk';
import { acts } from '../state/benches';
import { hold } from './values';

const value = (dial: Dial, held: number | undefined, keyed: number | undefined) =>
  hold(dial, held ?? keyed ?? dial.rest);

/** Where a dial stands: where the hand holds it, else where the shot's keys put it, else at rest. */
export function useValue(dial: Dial): number {
  const held = useDesk((s) => s.dials[dial.id]);
  const acted = useDesk((s) => acts(s.bench));
  const keyed = useKeyed((s) => s.keyed[dial.id]);
  return value(dial, held, acted ? keyed : undefined);
}

/** The same, at this moment. */
export function valueNow(dial: Dial): number {
  const { dials, bench } = useDesk.getState();
  return value(dial, dials[dial.id], acts(bench) ? useKeyed.getState().keyed[dial.id] : undefined);
}
