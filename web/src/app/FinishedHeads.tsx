import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api/client';
import { asMessage } from '../state/messages';

/** The heads that come finished: a press makes one of them a character of one's own. */
export function FinishedHeads({ begun }: { begun: (character: string) => void }) {
  const queries = useQueryClient();
  const all = useQuery({ queryKey: ['templates'], queryFn: api.templates, staleTime: Infinity });
  const [busy, setBusy] = useState('');
  const [problem, setProblem] = useState('');
  const begin = async (id: string) => {
    setBusy(id);
    setProblem('');
    try {
      const made = await api.beginTemplate(id);
      await queries.invalidateQueries({ queryKey: ['characters'] });
      begun(made.id);
    } catch (e) {
      setProblem(asMessage(e).message);
    }
    setBusy('');
  };
  return (
    <>
      <ul className="mt-1.5 flex flex-wrap gap-1.5" aria-label="Finished heads">
        {all.data?.map((t) => (
          <li key={t.id}>
            <button className="btn" disabled={busy !== ''} title={t.message} onClick={() => void begin(t.id)}>
              {busy === t.id ? 'Rigging …' : t.name}
              <span className="text-[12px] font-normal text-faint">{t.message}</span>
            </button>
          </li>
        ))}
      </ul>
      {problem && <p className="mt-1.5 text-[13px] text-wrong">{problem}</p>}
    </>
  );
}
