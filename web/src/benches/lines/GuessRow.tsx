import { useState } from 'react';
import { api, type DialogueLine } from '../../api/client';
import { ReadingProgress } from '../../line/ReadingProgress';
import { useReading } from '../../line/useReading';
import { useStudio } from '../../state/studio';

export function GuessRow({ guess, at }: { guess: DialogueLine['guesses'][number]; at: number }) {
  const { word } = guess;
  const phones = guess.phones.join(' ');
  const { changeLine } = useStudio();
  const [sounds, setSounds] = useState('');
  const { reading, busy, wait, cancel } = useReading();
  const keep = (as: string) =>
    wait((waiting) => changeLine((l) => api.pronounce(l.id, l.revision, at, word, as, waiting)));
  return (
    <div className="mt-2 rounded-md bg-doing-soft p-2.5 text-[13px]">
      <p>
        “<b>{word}</b>” is not in the dictionary. Guessed from its spelling and heard: <b>{phones}</b>
      </p>
      {guess.others.length > 0 && (
        <p className="mt-1 flex flex-wrap items-center gap-1.5">
          <span className="text-faint">or</span>
          {guess.others.map((o) => (
            <button
              key={o.join(' ')}
              className="btn px-2 py-0"
              disabled={busy}
              title="Remember it so, and listen again"
              onClick={() => void keep(o.join(' '))}
            >
              {o.join(' ')}
            </button>
          ))}
        </p>
      )}
      <div className="mt-1.5 flex gap-2">
        <input
          aria-label={`${word} sounds like`}
          className="field min-w-0 flex-1"
          placeholder="sounds like … (words, or ARPAbet in capitals)"
          value={sounds}
          onChange={(e) => setSounds(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && void keep(sounds.trim() || phones)}
        />
        <button className="btn" onClick={busy ? cancel : () => void keep(sounds.trim() || phones)}>
          {busy ? 'Stop' : sounds.trim() ? 'Remember' : 'The guess is right'}
        </button>
      </div>
      {busy && (
        <div className="mt-1.5 flex">
          <ReadingProgress reading={reading} />
        </div>
      )}
    </div>
  );
}
