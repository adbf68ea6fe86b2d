import { api, type DialogueLine } from '../api/client';
import { useStudio } from '../state/studio';
import { putIn, retyped } from './sounds';
import { useReading } from './useReading';

/**
 * Other words in a line, whose recording is then listened to again where they stand.
 *
 * @param at the frame the line begins at
 */
export function useRetype(at: number) {
  const { changeLine, tell } = useStudio();
  const { reading, busy, wait, cancel } = useReading();
  const read = async (text: string | null) => {
    if (text === null) {
      tell({
        message: 'These words are not in the text any more; correct them in the field above.',
        bad: true,
      });
      return;
    }
    await wait((waiting) => changeLine((l) => api.words(l.id, l.revision, at, text, waiting)));
  };
  return {
    reading,
    busy,
    cancel,
    /** Another word, or several or none, in place of one. */
    retype: async (said: DialogueLine, word: number, typed: string) => {
      if (typed.trim() !== said.words[word]?.text) await read(retyped(said, word, typed));
    },
    /** Words that were left out, before a word. */
    putIn: (said: DialogueLine, before: number, typed: string) => read(putIn(said, before, typed)),
  };
}
