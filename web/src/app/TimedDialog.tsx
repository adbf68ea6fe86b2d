import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api, Refusal, type TierView } from '../api/client';
import { PHONES } from '../benches/lines/phones';
import { useDesk } from '../state/desk';

/** Of two tiers, the one whose labels are rather sounds. */
function likeliest(tiers: TierView[]): number {
  const share = (t: TierView) => (t.labelled === 0 ? 0 : t.sounds / t.labelled);
  return tiers.reduce((best, t, i) => (share(t) > share(tiers[best]!) ? i : best), 0);
}

function wordsOf(tiers: TierView[]): number {
  return tiers.findIndex((t) => /word|ort|text/i.test(t.name));
}

/** Takes a recording with a TextGrid or a table of times: which tiers are meant, and which sounds odd labels stand for. */
export function TimedDialog({ file, grid, close }: { file: File; grid: string; close: () => void }) {
  const queries = useQueryClient();
  const character = useDesk((s) => s.character);
  const read = useQuery({ queryKey: ['grid', grid], queryFn: () => api.timingGrid(grid), retry: false });
  const tiers = read.data?.tiers ?? [];
  const [chosen, choose] = useState<number | null>(null);
  const [ofWords, setOfWords] = useState<number | null>(null);
  const sounds = chosen ?? (tiers.length > 0 ? likeliest(tiers) : 0);
  const words = ofWords ?? wordsOf(tiers);
  const [meant, setMeant] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<Refusal | null>(null);
  const problem = refused ?? (read.error instanceof Refusal ? read.error : null);
  const odd = tiers[sounds]?.odd ?? [];

  const take = async () => {
    if (!character || busy) return;
    setBusy(true);
    setRefused(null);
    try {
      const asked = Object.fromEntries(odd.filter((l) => meant[l]).map((l) => [l, meant[l]]));
      const line = await api.timedLine(character, file, grid, { sounds, words, meant: asked });
      queries.setQueryData(['line', line.id], line);
      await queries.invalidateQueries({ queryKey: ['lines', character] });
      useDesk.getState().say(line.id, 'lines');
      close();
    } catch (e) {
      setRefused(e instanceof Refusal ? e : new Refusal(0, 'unknown', '', String(e)));
    } finally {
      setBusy(false);
    }
  };

  const tier = (label: string, value: number, set: (i: number) => void, none: boolean) => (
    <label className="flex items-center gap-2">
      <span className="w-16 text-faint">{label}</span>
      <select
        className="field flex-1 py-0.5"
        value={value}
        disabled={busy}
        onChange={(e) => set(Number(e.target.value))}
      >
        {none && <option value={-1}>no tier</option>}
        {tiers.map((t, i) => (
          <option key={i} value={i}>
            {t.name || `tier ${i + 1}`} – {t.labelled} labels, {t.sounds} of them sounds
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[94vh] w-[36rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-xl border border-line bg-paper p-6 shadow-2xl">
          <Dialog.Title className="font-display text-xl font-bold">{file.name} is timed already</Dialog.Title>
          <Dialog.Description className="mt-1 text-faint">
            Its edges are taken as they are and held. Sounds may be in ARPAbet or IPA, of any language.
          </Dialog.Description>
          {tiers.length > 0 && (
            <div className="mt-4 flex flex-col gap-1.5">
              {tier('sounds', sounds, choose, false)}
              {tier('words', words, setOfWords, true)}
            </div>
          )}
          {odd.length > 0 && (
            <section className="mt-3" aria-label="Labels that are no known sound">
              <p className="text-[13.5px]">
                {odd.length === 1 ? 'One label is' : `${odd.length} labels are`} no sound that is known here.
                Say which sound is nearest; what is left out stays silent.
              </p>
              <ul className="mt-1.5 grid max-h-44 grid-cols-3 gap-1.5 overflow-y-auto">
                {odd.map((l) => (
                  <li key={l}>
                    <label className="flex items-center gap-1.5 text-[13px]">
                      <b className="min-w-8 truncate">{l}</b>
                      <select
                        aria-label={`${l} sounds like`}
                        className="field min-w-0 flex-1 py-0"
                        value={meant[l] ?? ''}
                        disabled={busy}
                        onChange={(e) => setMeant({ ...meant, [l]: e.target.value })}
                      >
                        <option value="">silent</option>
                        {PHONES.map((p) => (
                          <option key={p.phone} value={p.phone}>
                            {p.phone} {p.word}
                          </option>
                        ))}
                      </select>
                    </label>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {problem && (
            <p role="alert" className="mt-2 rounded-md bg-wrong-soft p-3 text-wrong">
              {problem.message}
            </p>
          )}
          <div className="mt-4 flex justify-end gap-2">
            <button className="btn" onClick={close}>
              Cancel
            </button>
            <button
              className="btn-do"
              disabled={busy || !character || tiers.length === 0}
              onClick={() => void take()}
            >
              Take its timing
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
