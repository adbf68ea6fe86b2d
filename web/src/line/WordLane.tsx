import { useRef, useState } from 'react';
import type { PlacedLine } from '../api/client';
import { useDesk } from '../state/desk';
import { type Band, banded } from './bands';
import { SAME } from './sounds';
import { useRetype } from './useRetype';
import { Crowd } from './Crowd';
import { type Lanes, LEAST_SOUND, place } from './laneProps';

/** How wide a letter of a word is, and what stands beside a word, pixels. */
const LETTER = 6.4;

const BESIDE_WORD = 5;

/** The words where they are said, and what is said that nobody wrote; on the Lines bench they are retyped in place. */
export function WordLane({ line, seconds, sight, pixels }: Lanes) {
  const editable = useDesk((s) => s.bench === 'lines');
  const rate = line.shot.rules.frameRate;
  const scale = pixels / seconds;
  return (
    <div className="relative h-[20px] overflow-hidden" data-testid="words">
      {line.shot.lines.flatMap((p, n) => {
        const by = p.at / rate;
        const words = p.line.words.map((w, i) => ({
          i,
          from: (by + w.start) * scale,
          to: (by + w.end) * scale,
          least: w.text.length * LETTER + BESIDE_WORD,
        }));
        const tooNarrow = (b: Band<(typeof words)[number]>) =>
          b.items.length > 1 || b.to - b.from < b.items[0]!.least;
        return banded(words, LEAST_SOUND)
          .filter((b) => b.to / scale >= sight.from && b.from / scale <= sight.to)
          .flatMap((b) =>
            tooNarrow(b) && !editable ? (
              <Crowd key={`${p.at} ${b.items[0]!.i}`} band={b} pixels={pixels} what="words" />
            ) : (
              b.items.map(({ i }) => (
                <Word
                  key={`${p.at} ${i}`}
                  placed={p}
                  index={i}
                  editable={editable}
                  style={place(seconds, by + p.line.words[i]!.start, by + p.line.words[i]!.end)}
                  doubtful={line.doubtful[n]?.includes(i) ?? false}
                />
              ))
            ),
          );
      })}
      {line.shot.lines.flatMap((p) =>
        p.line.unwritten.map((u) => (
          <span
            key={`${p.at} ${u.start}`}
            className="pointer-events-none absolute top-0.5 bottom-0.5 overflow-hidden rounded border border-dashed border-wrong bg-wrong-soft px-0.5 text-[11px] leading-[14px] text-wrong"
            style={place(seconds, p.at / rate + u.start, p.at / rate + u.end)}
            title={`Something is said here that is not written: ${u.phones.join(' ')}`}
          >
            ?
          </span>
        )),
      )}
    </div>
  );
}

function Word({
  placed,
  index,
  editable,
  style,
  doubtful,
}: {
  placed: PlacedLine;
  index: number;
  editable: boolean;
  style: { left: string; width: string };
  doubtful: boolean;
}) {
  const said = placed.line;
  const w = said.words[index]!;
  const [typing, setTyping] = useState<string | null>(null);
  const { retype, busy } = useRetype(placed.at);
  const box = useRef<HTMLButtonElement>(null);
  // by the few edges that are held: a long line has thousands of sounds
  const byHand = said.held.some((h) => h > w.start - SAME && h < w.end + SAME);
  const looks = `absolute top-0 flex h-full items-center overflow-hidden border-l border-line px-0.5 text-[12px] whitespace-nowrap ${
    doubtful ? 'bg-wrong-soft text-wrong' : ''
  } ${byHand ? 'font-semibold' : ''}`;
  const title = doubtful ? `${w.text}: something else seems to be said here` : w.text;
  if (!editable)
    return (
      <span className={looks} style={style} title={title}>
        {w.text}
      </span>
    );
  if (typing !== null)
    return (
      <input
        aria-label={`In place of ${w.text}`}
        className="field absolute top-0 z-10 h-full min-w-24 px-1 py-0 text-[12px]"
        style={style}
        value={typing}
        disabled={busy}
        autoFocus
        onFocus={(e) => e.target.select()}
        onChange={(e) => setTyping(e.target.value)}
        onBlur={() => setTyping(null)}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === 'Escape') {
            setTyping(null);
            requestAnimationFrame(() => box.current?.focus());
          }
          if (e.key === 'Enter') {
            void retype(said, index, typing).then(() => setTyping(null));
          }
        }}
      />
    );
  return (
    <button
      ref={box}
      className={`${looks} hover:bg-doing-soft`}
      style={style}
      title={`${title} – double-click or Enter to retype it`}
      aria-label={`Word ${w.text}${doubtful ? ', doubtful' : ''}${byHand ? ', set by hand' : ''}: retype`}
      onDoubleClick={() => setTyping(w.text)}
      onKeyDown={(e) => {
        if (e.key === 'Enter' || e.key === 'F2') {
          e.preventDefault();
          setTyping(w.text);
        }
      }}
    >
      {w.text}
    </button>
  );
}
