import { Ear } from 'lucide-react';
import { useState } from 'react';
import type { DialogueLine, LineView, PlacedLine } from '../../api/client';
import { ReadingProgress } from '../../line/ReadingProgress';
import { useRetype } from '../../line/useRetype';
import { hear } from '../../line/useSoundEdits';

/** What is said in a recording and stands nowhere in its words: to be heard, and written in. */
export function Unwritten({ line, placed }: { line: LineView; placed: PlacedLine }) {
  return (
    <>
      {placed.line.unwritten.map((u) => (
        <Said key={u.start} line={line} at={placed.at} said={placed.line} unwritten={u} />
      ))}
    </>
  );
}

function Said({
  line,
  at,
  said,
  unwritten,
}: {
  line: LineView;
  at: number;
  said: DialogueLine;
  unwritten: DialogueLine['unwritten'][number];
}) {
  const [typed, setTyped] = useState('');
  const { reading, busy, cancel, putIn } = useRetype(at);
  const rate = line.shot.rules.frameRate;
  const before = said.words[unwritten.word - 1]?.text;
  const behind = said.words[unwritten.word]?.text;
  const where =
    before && behind
      ? `between “${before}” and “${behind}”`
      : before
        ? `behind “${before}”`
        : `before “${behind}”`;
  const write = () => void putIn(said, unwritten.word, typed);
  return (
    <div className="mt-2 rounded-md bg-wrong-soft p-2.5 text-[13px]">
      <p className="flex gap-2 text-wrong">
        <Ear size={17} className="mt-0.5 shrink-0" aria-hidden />
        <span>
          Something is said {where} that is not written. It sounds like <b>{unwritten.phones.join(' ')}</b>.
        </span>
      </p>
      <div className="mt-1.5 flex gap-2">
        <button
          className="btn"
          onClick={() => hear(at / rate + unwritten.start, at / rate + unwritten.end, rate)}
        >
          Hear it
        </button>
        <input
          aria-label={`Words ${where}`}
          className="field min-w-0 flex-1"
          placeholder="write what is said"
          value={typed}
          disabled={busy}
          onChange={(e) => setTyped(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && typed.trim() !== '' && write()}
        />
        <button className="btn" disabled={!busy && typed.trim() === ''} onClick={busy ? cancel : write}>
          {busy ? 'Stop' : 'Put in'}
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
