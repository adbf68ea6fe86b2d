import { useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api, Refusal } from '../api/client';
import { useReading } from '../line/useReading';
import { ReadingProgress } from '../line/ReadingProgress';
import { useDesk } from '../state/desk';

/** Asks which words a recording holds, and has the mouths put to them. */
export function WordsDialog({ file, words, close }: { file: File; words: string; close: () => void }) {
  const queries = useQueryClient();
  const character = useDesk((s) => s.character);
  const [text, setText] = useState(words.trim());
  const { reading, busy, wait, cancel } = useReading();
  const [problem, setProblem] = useState<Refusal | null>(null);

  const go = async () => {
    if (!character || busy) return;
    setProblem(null);
    try {
      const line = await wait((waiting) => api.recordLine(character, file, text, waiting));
      if (!line) return;
      queries.setQueryData(['line', line.id], line);
      await queries.invalidateQueries({ queryKey: ['lines', character] });
      useDesk.getState().say(line.id);
      useDesk.getState().go('lines');
      close();
    } catch (e) {
      setProblem(e instanceof Refusal ? e : new Refusal(0, 'unknown', '', String(e)));
    }
  };

  return (
    <Dialog.Root open onOpenChange={(open) => !open && (busy ? cancel() : close())}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 w-[34rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 rounded-xl border border-line bg-paper p-6 shadow-2xl">
          <Dialog.Title className="font-display text-xl font-bold">What is said in {file.name}?</Dialog.Title>
          <Dialog.Description className="mt-1 text-faint">
            {character
              ? 'Type the words as they are spoken, names and all. The mouths are put to them.'
              : 'Drop layered art first: a line needs somebody to say it.'}
          </Dialog.Description>
          <textarea
            aria-label="Words of the line"
            className="field mt-4 h-28 w-full resize-none text-[15px]"
            value={text}
            autoFocus
            disabled={!character}
            readOnly={busy}
            onChange={(e) => setText(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) void go();
            }}
          />
          {problem && (
            <p role="alert" className="mt-2 rounded-md bg-wrong-soft p-3 text-wrong">
              <b>
                {problem.place === 'words'
                  ? 'The words: '
                  : problem.place === 'recording'
                    ? 'The recording: '
                    : ''}
              </b>
              {problem.message}
            </p>
          )}
          <div className="mt-4 flex items-center justify-end gap-2">
            {busy && <ReadingProgress reading={reading} />}
            <button className="btn" onClick={busy ? cancel : close}>
              {busy ? 'Stop' : 'Cancel'}
            </button>
            <button
              className="btn-do"
              disabled={busy || !character || text.trim() === ''}
              onClick={() => void go()}
            >
              Put the mouths to it
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
