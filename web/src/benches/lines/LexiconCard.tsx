import { useQuery } from '@tanstack/react-query';
import { BookOpen, Download, Trash2, Upload, Volume2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { api } from '../../api/client';
import type { Phone } from '../../line/useSoundEdits';
import { useStudio } from '../../state/studio';
import { typedSounds } from './typedSounds';

const SOURCES = {
  LEXICON: 'as this crew says it',
  DICTIONARY: 'by the dictionary',
  SPELLING: 'guessed from its letters',
} as const;

/** Plays sounds as the voice booth says them. */
function useBooth() {
  const { tell } = useStudio();
  return async (phones: string[]) => {
    const answer = await fetch(api.boothUrl(phones));
    if (!answer.ok) {
      const told = (await answer.json().catch(() => null)) as { detail?: string } | null;
      tell({ message: told?.detail ?? 'The voice booth does not answer.', bad: true });
      return;
    }
    const url = URL.createObjectURL(await answer.blob());
    const sound = new Audio(url);
    sound.onended = () => URL.revokeObjectURL(url);
    await sound.play();
  };
}

/** How this crew says its words: looked up, heard, corrected, taken in and given out. */
export function LexiconCard() {
  const { view, takeLexicon, tell } = useStudio();
  const words = Object.entries(view.character.voice.lexicon.entries);
  const [open, setOpen] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const take = async (f: File) => {
    if (await takeLexicon(f)) tell({ message: `Imported the words of ${f.name}.`, bad: false });
  };
  return (
    <details
      className="mt-4 rounded-xl border border-line bg-card"
      open={open}
      onToggle={(e) => setOpen(e.currentTarget.open)}
    >
      <summary className="flex cursor-pointer items-center gap-2 px-3 py-2">
        <BookOpen size={16} aria-hidden />
        <h2 className="text-[15px] font-semibold">Lexicon</h2>
        <span className="text-[12.5px] text-faint">
          {words.length === 0
            ? 'how this crew says its words'
            : `${words.length} ${words.length === 1 ? 'word' : 'words'} of this crew`}
        </span>
      </summary>
      {open && (
        <div className="border-t border-line px-3 pt-2 pb-3">
          <LookUp />
          {words.length > 0 && (
            <ul className="mt-2 divide-y divide-line" aria-label="Words of this crew">
              {words.map(([word, phones]) => (
                <Entry key={word} word={word} phones={phones} />
              ))}
            </ul>
          )}
          <div className="mt-2.5 flex flex-wrap items-center gap-2">
            <button className="btn" onClick={() => file.current?.click()}>
              <Upload size={14} aria-hidden /> Import a file …
            </button>
            {words.length > 0 && (
              <a className="btn" href={api.lexiconUrl(view.id)} download>
                <Download size={14} aria-hidden /> Export
              </a>
            )}
            <span className="text-[12.5px] text-faint">
              in the form of the CMU dictionary; lines read from now on follow it
            </span>
          </div>
          <input
            ref={file}
            type="file"
            accept=".dict,.txt,text/plain"
            className="hidden"
            data-testid="lexicon-file"
            onChange={(e) => {
              const f = e.target.files?.[0];
              e.target.value = '';
              if (f) void take(f);
            }}
          />
        </div>
      )}
    </details>
  );
}

/** Any word: how it would be said, and by whom. */
function LookUp() {
  const { view } = useStudio();
  const [word, setWord] = useState('');
  const asked = word.trim().toLowerCase();
  const found = useQuery({
    queryKey: ['word-sounds', view.id, view.revision, asked],
    queryFn: () => api.wordSounds(view.id, asked),
    enabled: asked !== '',
    retry: false,
    placeholderData: (before) => (asked === '' ? undefined : before),
  });
  return (
    <>
      <label className="flex items-center gap-2 text-[13px]">
        <span className="text-faint">Look up</span>
        <input
          className="field min-w-0 flex-1"
          placeholder="any word"
          value={word}
          onChange={(e) => setWord(e.target.value)}
        />
      </label>
      {asked !== '' && found.error && <p className="mt-1.5 text-[13px] text-wrong">{found.error.message}</p>}
      {asked !== '' && found.data && (
        <div className="mt-1.5 rounded-md bg-doing-soft p-2 text-[13px]">
          <p>
            “<b>{found.data.word}</b>” {SOURCES[found.data.source]}
          </p>
          {found.data.ways.map((phones, i) => (
            <SoundsRow
              key={`${found.data.word} ${phones.join(' ')} ${i}`}
              word={found.data.word}
              phones={phones}
              keep={found.data.source === 'LEXICON' ? null : 'Remember'}
            />
          ))}
        </div>
      )}
    </>
  );
}

function Entry({ word, phones }: { word: string; phones: Phone[] }) {
  const { edit } = useStudio();
  return (
    <li className="flex items-center gap-2 py-1">
      <b className="w-28 shrink-0 truncate text-[13.5px]" title={word}>
        {word}
      </b>
      <div className="min-w-0 flex-1">
        <SoundsRow key={phones.join(' ')} word={word} phones={phones} keep={null} />
      </div>
      <button
        className="btn px-1.5"
        aria-label={`Forget ${word}`}
        title="Forget it: the dictionary, or its letters, say it again"
        onClick={() => void edit({ kind: 'forget-word', word })}
      >
        <Trash2 size={14} aria-hidden />
      </button>
    </li>
  );
}

/** The sounds of a word, to be heard and to be changed. */
function SoundsRow({ word, phones, keep }: { word: string; phones: Phone[]; keep: string | null }) {
  const { edit } = useStudio();
  const booth = useBooth();
  const was = phones.join(' ');
  const [typed, setTyped] = useState(was);
  const now = typedSounds(typed);
  const changed = typed.trim() !== was;
  const good = 'phones' in now && now.phones.length > 0;
  const remember = () => good && void edit({ kind: 'pronounce', word, phones: now.phones });
  return (
    <div className="mt-1">
      <div className="flex items-center gap-1.5">
        <button
          className="btn px-1.5"
          aria-label={`Hear ${word} as ${typed}`}
          disabled={!good}
          onClick={() => good && void booth(now.phones)}
        >
          <Volume2 size={14} aria-hidden />
        </button>
        <input
          aria-label={`Sounds of ${word}`}
          className="field min-w-0 flex-1 py-0.5 text-[13px]"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Escape') setTyped(was);
            if (e.key === 'Enter') remember();
          }}
        />
        {(changed || keep) && (
          <button className="btn" disabled={!good} onClick={remember}>
            {changed ? 'Remember' : keep}
          </button>
        )}
      </div>
      {'unknown' in now && (
        <p className="mt-0.5 text-[12.5px] text-wrong">“{now.unknown}” is no sound of the 39.</p>
      )}
    </div>
  );
}
