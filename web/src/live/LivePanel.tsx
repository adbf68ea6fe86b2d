import { AudioLines, Camera, Gamepad2, Hand, Radio, Theater } from 'lucide-react';
import type { ComponentType } from 'react';
import type { Character, LineView, Shot } from '../api/client';
import { useDesk } from '../state/desk';
import { type Hold, useHold } from '../state/held';
import { useStudio } from '../state/studio';
import { Amount, Choices, SmoothingChoice, TakesCard } from './TakesCard';
import { liveKeys } from './liveKeys';
import { usePlayCue } from '../state/usePlayCue';
import { press } from './useLiveKeys';
import { type LiveSource, useLive } from './liveState';
import { PerformerCard } from './performer/PerformerCard';
import { usePerformer } from './performer/usePerformer';

const SOURCES: [LiveSource, string, string, ComponentType<{ size: number }>][] = [
  ['hands', 'Hands', 'rulers, keys', Hand],
  ['gamepad', 'Gamepad', 'sticks', Gamepad2],
  ['microphone', 'Microphone', 'your voice', AudioLines],
  ['camera', 'Camera', 'your own face', Camera],
  ['tracker', 'Tracker', 'by its door', Radio],
  ['simulated', 'Simulated', '5 scripts', Theater],
];

/** Who plays the shot, what that moves, and what becomes of it. Stands in place of the sheet. */
export function LivePanel({ shot, line }: { shot: Shot; line: LineView }) {
  const { view } = useStudio();
  const source = useLive((s) => s.source);
  const running = useLive((s) => s.phase.is !== 'idle');
  const { core, takeNeutral } = usePerformer(line, view.character);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2.5">
      <header className="flex items-baseline gap-2.5">
        <h1 className="text-2xl font-bold">Play it live</h1>
        <span className="min-w-0 truncate">{shot.name}</span>
        <button
          className="btn ml-auto shrink-0"
          disabled={running}
          onClick={() => useLive.setState({ panel: false })}
        >
          Back to the sheet
        </button>
      </header>
      <div className="grid grid-cols-3 gap-1.5" role="radiogroup" aria-label="What moves the face">
        {SOURCES.map(([id, name, says, Icon]) => (
          <button
            key={id}
            role="radio"
            aria-checked={source === id}
            disabled={running}
            className={`min-w-0 rounded-lg border px-2.5 py-1 text-left ${source === id ? 'border-chosen bg-chosen-soft outline-1 outline-chosen' : 'border-line bg-card'}`}
            onClick={() => useLive.setState({ source: id, rehearsing: true })}
          >
            <span className="flex items-center gap-1.5 text-[13.5px]">
              <Icon size={15} /> <b>{name}</b>{' '}
              <span className="min-w-0 truncate text-[12.5px] text-faint">{says}</span>
            </span>
          </button>
        ))}
      </div>
      {source === 'hands' ? (
        <Hands character={view.character} />
      ) : (
        core && (
          <PerformerCard
            core={core}
            character={view.character}
            line={line}
            takeNeutral={takeNeutral}
            running={running}
          />
        )
      )}
      <TakesCard exposure={shot.rules.exposure} />
    </div>
  );
}

const HOLDS: [Hold, string][] = [
  ['either', 'held, or a short press switches'],
  ['held', 'only held'],
  ['switch', 'switch'],
];

function Hands({ character }: { character: Character }) {
  const latency = useLive((s) => s.latency);
  const hold = useHold((s) => s.hold);
  const keys = liveKeys(character);
  const playCue = usePlayCue();
  const looks = useDesk((s) => s.looks);
  return (
    <section className="rounded-xl border border-line bg-paper px-3.5 py-3 text-[13px]" aria-label="Hands">
      <h2 className="text-[17px] font-bold">Hands</h2>
      <p className="mt-1 max-w-prose">
        While it runs, drag the rulers and pads under the face, and press the keys of drawings, kits, runs,
        looks and cues. A dial you touch is written from there on; what you leave alone plays as it is.
      </p>
      {keys.length > 0 && (
        <ul className="mt-2 grid grid-cols-3 gap-1" aria-label="Keys of looks and cues">
          {keys.map((k) => (
            <li key={`${k.kind} ${k.id}`}>
              <button
                className="flex w-full items-center gap-1.5 rounded-md border border-line bg-card px-1.5 py-0.5 text-left aria-pressed:border-chosen aria-pressed:bg-chosen-soft"
                aria-pressed={k.kind === 'look' ? (looks[k.id] ?? 0) !== 0 : undefined}
                onClick={() => void press(k, playCue)}
              >
                <kbd className="shrink-0 rounded border border-line bg-paper px-1 text-[11px]">{k.says}</kbd>
                <span className="min-w-0 truncate">{k.name}</span>
                {k.kind === 'cue' && <span className="ml-auto text-[11.5px] text-faint">cue</span>}
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <Choices label="Keys" options={HOLDS} value={hold} choose={(hold) => useHold.setState({ hold })} />
        <SmoothingChoice />
        <Amount
          label="Hands are behind by"
          unit=" ms"
          value={latency}
          most={1000}
          set={(v) => useLive.setState({ latency: v })}
        />
      </div>
    </section>
  );
}
