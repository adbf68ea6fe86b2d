import { Eye, EyeOff, Trash2 } from 'lucide-react';
import type { LiveTake } from 'page-core';
import type { Shot } from '../api/client';
import { useSheet } from '../shot/sheetState';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { NumberField } from '../ui/NumberField';
import { type Smoothing, useLive } from './liveState';
import { placedIn } from './spoken';
import { TakesBeside } from './TakesBeside';
import { useTakes } from './useTakes';
import { useWatchTake } from './useWatchTake';
import { VoiceOfTake } from './VoiceOfTake';

/** What becomes of what was played: the takes there are, and how they are made into keys. */
export function TakesCard({ exposure }: { exposure: number }) {
  const none = useLive((s) => s.takes.length === 0);
  const count = useLive((s) => s.count);
  const over = useLive((s) => s.over);
  const tolerance = useLive((s) => s.tolerance);
  return (
    <section className="rounded-xl border border-line bg-paper px-3.5 py-3" aria-label="When it stops">
      <h2 className="flex flex-wrap items-baseline gap-x-2 text-[17px] font-bold">
        When it stops{' '}
        <span className="text-[13px] font-normal text-faint">
          reduced to keys on {['', 'ones', 'twos', 'threes'][exposure]}, never further than {tolerance} % of a
          dial’s range
        </span>
      </h2>
      {none ? (
        <p className="mt-1.5 text-[13px] text-faint">
          No take yet. <b>Live</b> counts in and plays the shot, or the loop; what is moved is written as keys
          when it ends. Takes are kept in this browser, and the best stretch of each can be put in.
        </p>
      ) : (
        <Takes />
      )}
      <div className="mt-2.5 flex flex-wrap items-center gap-x-3 gap-y-2 border-t border-line pt-2.5 text-[13px]">
        <Choices
          label="Count-in"
          options={[0, 2, 3, 4, 8].map((n) => [n, String(n)])}
          value={count}
          choose={(n) => useLive.setState({ count: n })}
        />
        <span className="-ml-1.5 text-faint">beats</span>
        <Choices
          label="At its end"
          options={[
            [false, 'once'],
            [true, 'over and over', 'Each time round is a take of its own; the last is put in when you stop'],
          ]}
          value={over}
          choose={(over) => useLive.setState({ over })}
        />
        <Amount
          label="Keys within"
          unit=" %"
          value={tolerance}
          most={20}
          set={(v) => useLive.setState({ tolerance: v })}
        />
      </div>
    </section>
  );
}

/** One of a few words, all of them in sight. */
export function Choices<T extends string | number | boolean>({
  label,
  options,
  value,
  choose,
}: {
  label: string;
  /** Each with its words, and what they mean where they do not say it all. */
  options: [T, string, string?][];
  value: T;
  choose: (value: T) => void;
}) {
  return (
    <div className="flex items-center gap-1" role="group" aria-label={label}>
      <span className="text-faint">{label}</span>
      {options.map(([option, words, means]) => (
        <button
          key={words}
          className="btn px-2 py-0"
          aria-pressed={option === value}
          title={means}
          onClick={() => choose(option)}
        >
          {words}
        </button>
      ))}
    </div>
  );
}

export function Amount({
  label,
  unit,
  value,
  most,
  set,
}: {
  label: string;
  unit: string;
  value: number;
  most: number;
  set: (v: number) => void;
}) {
  return (
    <span className="flex items-center gap-1.5">
      <span className="text-faint">{label}</span>
      <span className="w-16">
        <NumberField
          bare
          label={label}
          unit={unit}
          value={value}
          keep={(v) => set(Math.max(0, Math.min(most, v)))}
        />
      </span>
    </span>
  );
}

/** How much of the tremble is taken out. */
export function SmoothingChoice() {
  const smoothing = useLive((s) => s.smoothing);
  return (
    <Choices<Smoothing>
      label="Smoothing"
      options={[
        ['off', 'none'],
        ['some', 'a little'],
        ['much', 'much'],
      ]}
      value={smoothing}
      choose={(smoothing) => useLive.setState({ smoothing })}
    />
  );
}

function Takes() {
  const { view, line } = useStudio();
  const { put, drop } = useTakes();
  const { watched, watch } = useWatchTake();
  const takes = useLive((s) => s.takes);
  const picked = useSheet((s) => s.chosen);
  const loop = useDesk((s) => s.loop);
  const chosen = loop ? { from: loop[0], to: loop[1] } : picked;
  const name = (id: string) =>
    view.character.controls.dials.find((d) => d.id === id)?.name ??
    view.character.rig.parts.find((p) => p.id === id)?.name ??
    view.character.library.looks.find((l) => l.id === id)?.name ??
    view.character.library.cues.find((c) => c.id === id)?.name ??
    id;
  return (
    <>
      <ul className="mt-2 grid max-h-52 grid-cols-[minmax(0,1fr)] gap-1 overflow-y-auto" aria-label="Takes">
        {takes.map((t, i) => {
          const { from, to, dials, drawings, looks, cues = {} } = t.take;
          const a = Math.max(from, chosen?.from ?? from);
          const b = Math.min(to, chosen?.to ?? to);
          const part = chosen !== null && a < b && (a > from || b < to);
          const moved = [
            ...Object.keys(dials),
            ...Object.keys(drawings),
            ...Object.keys(looks),
            ...Object.keys(cues),
          ];
          return (
            <li
              key={t.id}
              className="flex items-center gap-1.5 rounded-lg border border-line bg-card px-2 py-1 text-[13px]"
            >
              <span className="min-w-0 flex-1">
                <b>Take {i + 1}</b>{' '}
                <span className="text-faint">
                  {from + 1}–{to}
                  {t.ended ? '' : ', broke off'}
                </span>
                <span className="block truncate text-[12px] text-faint">{moved.map(name).join(', ')}</span>
                {t.voice && line && (
                  <Voice id={t.voice} name={`take ${i + 1}`} shot={line.shot} take={t.take} />
                )}
              </span>
              {moved.length > 0 && (
                <button
                  className="btn px-1.5 py-0"
                  aria-pressed={watched === t.id}
                  aria-label={`Watch take ${i + 1}`}
                  title={
                    watched === t.id
                      ? 'Back to the shot as it is'
                      : 'Plays the shot as it would be with this take put in'
                  }
                  onClick={() => (watched === t.id ? useDesk.getState().play(false) : watch(t))}
                >
                  {watched === t.id ? <EyeOff size={14} aria-hidden /> : <Eye size={14} aria-hidden />}
                </button>
              )}
              {moved.length > 0 && part && (
                <button
                  className="btn px-2 py-0"
                  title="Only the frames that go round, or that are chosen on the sheet"
                  onClick={() => void put(t.take, a, b)}
                >
                  Put in {a + 1}–{b}
                </button>
              )}
              {moved.length > 0 && (
                <button className="btn px-2 py-0" onClick={() => void put(t.take)}>
                  Put in
                </button>
              )}
              <button className="btn px-1.5 py-0" aria-label={`Delete take ${i + 1}`} onClick={() => drop(t)}>
                <Trash2 size={13} aria-hidden />
              </button>
            </li>
          );
        })}
      </ul>
      <TakesBeside takes={takes} character={view.character} />
    </>
  );
}

/** The voice of a take, beside the line that is most of it. */
function Voice({ id, name, shot, take }: { id: string; name: string; shot: Shot; take: LiveTake }) {
  const placed = placedIn(shot, take.from, take.to);
  const { frameRate } = shot.rules;
  return (
    <VoiceOfTake
      id={id}
      name={name}
      placed={placed}
      begun={take.from / frameRate}
      placedAt={(placed?.at ?? 0) / frameRate}
    />
  );
}
