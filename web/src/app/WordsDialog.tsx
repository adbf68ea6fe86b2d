import { useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { api, type LineOfScript, Refusal } from '../api/client';
import { useReading } from '../line/useReading';
import { ReadingProgress } from '../line/ReadingProgress';
import { useDesk } from '../state/desk';
import { ScriptLines } from './ScriptLines';
import { namesOf } from './script';

/** Bytes of the largest recording that is sent as one line. */
const ONE_LINE = 64 * 2 ** 20;
const LOOK_AFTER = 250;

/** The lines of what was typed, when it is a script of several; null while that is not known. */
function useScript(text: string) {
  const [read, setRead] = useState<{ of: string; lines: LineOfScript[]; problem: Refusal | null } | null>(
    null,
  );
  const several = /\S[\s\S]*\n\s*\S/.test(text);
  useEffect(() => {
    if (!several) return;
    const ending = new AbortController();
    const wait = setTimeout(async () => {
      try {
        setRead({ of: text, lines: await api.script(text, ending.signal), problem: null });
      } catch (e) {
        if (e instanceof Refusal) setRead({ of: text, lines: [], problem: e });
      }
    }, LOOK_AFTER);
    return () => {
      clearTimeout(wait);
      ending.abort();
    };
  }, [text, several]);
  return several && read?.of === text ? read : null;
}

function Choice(props: {
  checked: boolean;
  disabled: boolean;
  choose: (checked: boolean) => void;
  children: ReactNode;
}) {
  return (
    <label className="mt-2 flex items-center gap-2 text-[13.5px]">
      <input
        type="checkbox"
        checked={props.checked}
        disabled={props.disabled}
        onChange={(e) => props.choose(e.target.checked)}
      />
      {props.children}
    </label>
  );
}

/**
 * Asks which words a recording holds, and has the mouths put to them: one line, the lines of a script cut out of it, or the
 * sounds alone where nobody knows the words.
 */
export function WordsDialog({ file, words, close }: { file: File; words: string; close: () => void }) {
  const queries = useQueryClient();
  const character = useDesk((s) => s.character);
  const [text, setText] = useState(words.trim());
  const { reading, busy: listening, wait, cancel: stop } = useReading();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const script = useScript(text);
  const large = file.size > ONE_LINE;
  const [asOne, setAsOne] = useState(false);
  const cutting = script !== null && script.lines.length > 1 && (large || !asOne);
  const [left, leave] = useState<ReadonlySet<number>>(new Set());
  const [byTimes, setByTimes] = useState(true);
  const [everyTake, setEveryTake] = useState(true);
  const chosen = script?.lines.flatMap((_, i) => (left.has(i) ? [] : [i])) ?? [];
  const timed = chosen.length > 0 && chosen.every((i) => script!.lines[i]!.from != null);
  const [sending, setSending] = useState(false);
  const ending = useRef<AbortController | null>(null);
  const busy = listening || sending;
  const cancel = () => (sending ? ending.current?.abort() : stop());

  const cut = async () => {
    if (!character || busy || !script) return;
    setProblem(null);
    setSending(true);
    ending.current = new AbortController();
    try {
      const kept = await api.keepRecording(character, file, ending.current.signal);
      const names = namesOf(script.lines);
      await api.cutRecording(kept.id, {
        byTimes: timed && byTimes,
        everyTake,
        lines: chosen.map((i) => {
          const { words, from, to } = script.lines[i]!;
          return { name: names[i]!, words, from, to };
        }),
      });
      await queries.invalidateQueries({ queryKey: ['readings', character] });
      useDesk.getState().go('lines');
      close();
    } catch (e) {
      if (e instanceof Refusal) setProblem(e);
      else if (!(e instanceof DOMException)) setProblem(new Refusal(0, 'unknown', '', String(e)));
    } finally {
      setSending(false);
    }
  };

  const go = async () => {
    if (cutting) return cut();
    if (!character || busy || large) return;
    setProblem(null);
    try {
      const line = await wait((waiting) => api.recordLine(character, file, text, waiting));
      if (!line) return;
      queries.setQueryData(['line', line.id], line);
      await queries.invalidateQueries({ queryKey: ['lines', character] });
      useDesk.getState().say(line.id, 'lines');
      close();
    } catch (e) {
      setProblem(e instanceof Refusal ? e : new Refusal(0, 'unknown', '', String(e)));
    }
  };

  return (
    <Dialog.Root open onOpenChange={(open) => !open && (busy ? cancel() : close())}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[94vh] w-[40rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 rounded-xl border border-line bg-paper p-6 shadow-2xl">
          <Dialog.Title className="font-display text-xl font-bold">What is said in {file.name}?</Dialog.Title>
          <Dialog.Description className="mt-1 text-faint">
            {character
              ? 'Type the words as they are spoken. Several lines, or a script with speakers, cue numbers or times (SRT, WebVTT, CSV), are cut into lines of their own.'
              : 'Drop layered art first: a line needs somebody to say it.'}
          </Dialog.Description>
          <textarea
            aria-label="Words of the line"
            className={`field mt-4 w-full resize-none text-[15px] ${cutting ? 'h-20' : 'h-28'}`}
            placeholder="Left empty, the sounds alone are guessed from the recording"
            value={text}
            autoFocus
            disabled={!character}
            readOnly={busy}
            onChange={(e) => setText(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) void go();
            }}
          />
          {script && script.lines.length > 1 && !large && (
            <div className="mt-2 flex gap-1.5" role="group" aria-label="What the words are">
              <button
                className="btn px-2 py-0"
                aria-pressed={!asOne}
                disabled={busy}
                onClick={() => setAsOne(false)}
              >
                {script.lines.length} lines of a script
              </button>
              <button
                className="btn px-2 py-0"
                aria-pressed={asOne}
                disabled={busy}
                onClick={() => setAsOne(true)}
              >
                One line
              </button>
            </div>
          )}
          {cutting && <ScriptLines lines={script.lines} left={left} leave={leave} disabled={busy} />}
          {cutting && timed && (
            <Choice checked={byTimes} disabled={busy} choose={setByTimes}>
              Cut at the times of the script; otherwise each line is listened for
            </Choice>
          )}
          {cutting && !(timed && byTimes) && (
            <Choice checked={everyTake} disabled={busy} choose={setEveryTake}>
              Said more than once: a line for every take; otherwise only the take that fits best
            </Choice>
          )}
          {script?.problem && (
            <p className="mt-2 rounded-md bg-doing-soft p-3 text-[13.5px]">{script.problem.message}</p>
          )}
          {large && !cutting && (
            <p className="mt-2 rounded-md bg-doing-soft p-3 text-[13.5px]">
              The recording is too large for one line: give its script, a line to each line.
            </p>
          )}
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
            {listening && <ReadingProgress reading={reading} />}
            {sending && <span className="mr-auto text-[13.5px] text-faint">Sending the recording …</span>}
            <button className="btn" onClick={busy ? cancel : close}>
              {busy ? 'Stop' : 'Cancel'}
            </button>
            <button
              className="btn-do"
              disabled={busy || !character || (cutting ? chosen.length === 0 : large)}
              onClick={() => void go()}
            >
              {cutting
                ? `Cut into ${chosen.length} ${chosen.length === 1 ? 'line' : 'lines'}`
                : text.trim() === ''
                  ? 'Guess the sounds'
                  : 'Create the lip sync'}
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
