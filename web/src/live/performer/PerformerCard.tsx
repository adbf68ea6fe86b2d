import { Copy, Wand2 } from 'lucide-react';
import type * as PageLive from 'page-live';
import { useEffect, useMemo, useState } from 'react';
import type { Character, LineView } from '../../api/client';
import { useStudio } from '../../state/studio';
import { Choices, SmoothingChoice } from '../TakesCard';
import { type LiveSource, useLive } from '../liveState';
import { doorOf } from './door';
import { LinkRow } from './LinkRow';
import { usePerformerState } from './performerState';
import { Presence, NeutralTaken } from './Presence';

const SIGNALS_OF: Record<Exclude<LiveSource, 'hands'>, PageLive.SourceId> = {
  gamepad: 'GAMEPAD',
  microphone: 'MICROPHONE',
  camera: 'FACE',
  tracker: 'FACE',
  simulated: 'FACE',
};

/** Who performs, what each signal says and what it drives. */
export function PerformerCard({
  core,
  character,
  line,
  takeNeutral,
  running,
}: {
  core: typeof PageLive;
  character: Character;
  line: LineView;
  takeNeutral: () => void;
  running: boolean;
}) {
  const { edit } = useStudio();
  const source = useLive((s) => s.source);
  const script = useLive((s) => s.performance);
  const rehearsing = useLive((s) => s.rehearsing);
  const mirrored = useLive((s) => s.mirrored);
  const holds = useLive((s) => s.holds);
  const of = SIGNALS_OF[source as Exclude<LiveSource, 'hands'>];
  const signals = useMemo(() => core.signals().filter((s) => s.source === of), [core, of]);
  const links = character.controls.links.filter((l) => signals.some((s) => s.id === l.signal));
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLElement && e.target.closest('input, select, textarea');
      if (e.key.toLowerCase() !== 'n' || typing || e.ctrlKey || e.metaKey || e.altKey) return;
      e.preventDefault();
      e.stopPropagation();
      takeNeutral();
    };
    window.addEventListener('keydown', press, true);
    return () => window.removeEventListener('keydown', press, true);
  }, [takeNeutral]);
  return (
    <section
      className="min-w-0 rounded-xl border border-line bg-paper px-3.5 py-3"
      aria-label="The performer"
    >
      {source === 'simulated' && (
        <div className="mb-2 flex flex-wrap items-center gap-1" role="group" aria-label="Performance">
          {core.performances().map((p) => (
            <button
              key={p.id}
              className="btn px-2.5 py-0.5"
              aria-pressed={script === p.id}
              disabled={running}
              onClick={() => useLive.setState({ performance: p.id, rehearsing: true })}
            >
              {p.title}
            </button>
          ))}
        </div>
      )}
      <div className="flex items-center gap-x-2.5">
        <h2 className="shrink-0 text-[17px] font-bold">The performer</h2>
        <Presence source={source} />
        <button
          className="btn ml-auto shrink-0 px-2.5 py-0.5"
          aria-pressed={rehearsing || running}
          disabled={running}
          title="Whether the performer moves the face while nothing is written"
          onClick={() => useLive.setState({ rehearsing: !rehearsing })}
        >
          Rehearse
        </button>
      </div>
      {source === 'tracker' && <Door line={line.id} />}
      {source === 'camera' && <Picture />}
      {source === 'microphone' && <Speaking mouths={character.voice.mouths.part != null} />}
      {links.length === 0 && (
        <p className="mt-2 flex items-center gap-2 rounded-lg bg-card p-2.5 text-[13.5px]">
          {source === 'microphone' ? 'Its loudness drives nothing yet.' : 'Nothing is driven by it yet.'}
          <button className="btn-do" onClick={() => void edit({ kind: 'suggest-links', source: of })}>
            <Wand2 size={14} aria-hidden /> Link it by what the dials are for
          </button>
        </p>
      )}
      <table className="mt-2 w-full table-fixed text-[13px] will-change-transform">
        <thead>
          <tr className="text-left text-[12.5px] text-faint">
            <th className="w-[33%] pb-1 font-normal">Signal</th>
            <th className="w-[22%] pb-1 font-normal">now, from neutral</th>
            <th className="pb-1 font-normal">drives</th>
            <th className="w-[98px] pb-1 pr-8 text-right font-normal">by</th>
          </tr>
        </thead>
        <tbody>
          {signals.flatMap((s) => {
            const own = links.filter((l) => l.signal === s.id);
            return (own.length > 0 ? own : [null]).map((l, i) => (
              <LinkRow
                key={`${s.id} ${l ? JSON.stringify(l.drives) : ''}`}
                signal={s}
                link={l}
                first={i === 0}
                character={character}
                disabled={running}
              />
            ));
          })}
        </tbody>
      </table>
      <div className="mt-2.5 flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-line pt-2.5 text-[13px]">
        <button className="btn px-2.5 py-0.5" onClick={takeNeutral}>
          Take neutral pose <kbd className="rounded border border-line px-1 text-[11px]">N</kbd>
        </button>
        <NeutralTaken />
        <SmoothingChoice />
        <Choices
          label="on loss"
          options={[
            [false, 'hold, then rest'],
            [true, 'hold'],
          ]}
          value={holds}
          choose={(holds) => useLive.setState({ holds })}
        />
        <button
          className="btn px-2.5 py-0.5"
          title="Links the signals again, by what the dials are for"
          disabled={running}
          onClick={() => void edit({ kind: 'suggest-links', source: of })}
        >
          Suggest again
        </button>
        {of === 'FACE' && (
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={mirrored}
              onChange={(e) => useLive.setState({ mirrored: e.target.checked })}
            />
            like a mirror
          </label>
        )}
      </div>
    </section>
  );
}

/** Whether a voice moves the mouth, and what else is heard meanwhile. */
function Speaking({ mouths }: { mouths: boolean }) {
  const speaks = useLive((s) => s.speaks);
  const hushed = useLive((s) => s.hushed);
  const behind = usePerformerState((s) => s.mouthsBehind);
  return (
    <div className="mt-2 grid gap-1 rounded-lg bg-card px-2.5 py-1.5 text-[13px]">
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          checked={speaks && mouths}
          disabled={!mouths}
          onChange={(e) => useLive.setState({ speaks: e.target.checked })}
        />
        Mouths as you speak
        <span className="text-faint">
          {!mouths
            ? 'this character has no mouth set yet'
            : behind === null
              ? 'listening begins …'
              : `by your sounds, without words; ${Math.round(behind)} ms behind`}
        </span>
      </label>
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          checked={hushed}
          onChange={(e) => useLive.setState({ hushed: e.target.checked })}
        />
        Without the shot’s own sound while you record
      </label>
      <p className="text-faint">
        Your voice is kept with the take. Made a line, or another take of this one, it is read with its words,
        and the mouths are put where they belong.
      </p>
    </div>
  );
}

/** Where a tracker comes in. */
function Door({ line }: { line: string }) {
  const { tell } = useStudio();
  const address = doorOf(line);
  return (
    <p className="mt-2 flex items-center gap-2 rounded-lg bg-card px-2.5 py-1.5 text-[13px]">
      <code className="min-w-0 flex-1 truncate select-all">{address}</code>
      <button
        className="btn px-2 py-0"
        onClick={() =>
          void navigator.clipboard
            .writeText(address)
            .then(() => tell({ message: 'The address is copied.', bad: false }))
        }
      >
        <Copy size={13} aria-hidden /> Copy
      </button>
    </p>
  );
}

/** What the camera sees, when it is asked for: one judges the character, not oneself. */
function Picture() {
  const stream = usePerformerState((s) => s.stream);
  const [shown, setShown] = useState(false);
  return (
    <div className="mt-2 text-[13px]">
      <p className="flex flex-wrap items-center gap-x-3 gap-y-1 text-faint">
        The camera’s picture never leaves this page.
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={shown} onChange={(e) => setShown(e.target.checked)} />
          show it
        </label>
      </p>
      {shown && stream && (
        <video
          className="mt-1.5 h-36 -scale-x-100 rounded-lg border border-line"
          aria-label="What the camera sees, as in a mirror"
          muted
          autoPlay
          playsInline
          ref={(v) => {
            if (v && v.srcObject !== stream) v.srcObject = stream;
          }}
        />
      )}
    </div>
  );
}
