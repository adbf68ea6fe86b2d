import { Popover } from 'radix-ui';
import { useState } from 'react';
import { api, type Character, type Dial, type Edit, type Shot } from '../api/client';
import { useStudio } from '../state/studio';
import { NO_TRACKS } from './noTracks';

type Temperament = 'CALM' | 'LIVELY' | 'GRAVE' | 'SHY';
export type LaidKind = 'BLINKS' | 'NODS' | 'BROWS' | 'GAZE' | 'SETTLING' | 'BREATH' | 'LOOKS';

const TEMPERAMENTS: [Temperament, string][] = [
  ['CALM', 'calm'],
  ['LIVELY', 'lively'],
  ['GRAVE', 'grave'],
  ['SHY', 'shy'],
];

const KINDS: [LaidKind, string, string][] = [
  ['BLINKS', 'blinks', 'in pauses, with turns and gaze shifts'],
  ['NODS', 'nods', 'on the beat of words that are stressed'],
  ['BROWS', 'brows', 'raised on stressed words'],
  ['GAZE', 'gaze', 'away as a thought begins, back before it ends'],
  ['SETTLING', 'head', 'turns a little with each sentence and settles where it ends'],
  ['BREATH', 'breath', 'the head lifts in pauses'],
  ['LOOKS', 'look', 'the one the mood of the line is called after'],
];

/** What a kind is acted with and can be made with one click. */
const MADE: [LaidKind, Edit, string][] = [
  ['NODS', { kind: 'make-head-dial', dial: 'NOD' }, 'the nod'],
  ['BROWS', { kind: 'make-brows' }, 'the brows’ dials'],
];

/** What a kind is acted with and this character lacks, in words; empty when it has it. Breath is taken with the nod. */
export function lacking(kind: LaidKind, character: Character): string {
  const { dials, views } = character.controls;
  const has = (purpose: Dial['purpose']) => dials.some((d) => d.purpose === purpose);
  switch (kind) {
    case 'BLINKS':
      return has('BLINK') ? '' : 'no blink';
    case 'NODS':
    case 'BREATH':
      return has('NOD') ? '' : 'no nod';
    case 'BROWS':
      return dials.some((d) => d.id === 'brow-raise') ? '' : 'no dials of the brows';
    case 'GAZE':
      return has('GAZE_ACROSS') ? '' : 'no gaze';
    case 'SETTLING':
      return !has('TURN') ? 'no turn' : views ? 'its views are exchanged' : '';
    case 'LOOKS':
      return character.library.looks.length > 0 ? '' : 'no looks';
  }
}

const NONE_LAID = Object.fromEntries(KINDS.map(([k]) => [k, 0])) as Record<LaidKind, number>;

/** How many things were laid of each kind. */
function laidOf(shot: Shot): Record<LaidKind, number> {
  const count = { ...NONE_LAID };
  const { dials, blinks, looks } = shot.tracks;
  for (const track of [...Object.values(dials), blinks, looks])
    for (const [kind, n] of laidOn(track)) count[kind] += n;
  return count;
}

/** Counted once for each state of a track: while one is changed the others stay the same. */
const counted = new WeakMap<object, Map<LaidKind, number>>();

function laidOn(track: { laid?: { kind: LaidKind } }[]): Map<LaidKind, number> {
  let known = counted.get(track);
  if (!known) {
    known = new Map();
    for (const it of track) if (it.laid) known.set(it.laid.kind, (known.get(it.laid.kind) ?? 0) + 1);
    counted.set(track, known);
  }
  return known;
}

/** Proposes the acting a line asks for, as ordinary keys; all of it or by kind, and taken back by kind. */
export function FirstPass({ shot }: { shot: Shot }) {
  const { view, changeLine, edit, editLine, tell } = useStudio();
  const [temperament, setTemperament] = useState<Temperament>('CALM');
  const [strength, setStrength] = useState(1);
  const [seed, setSeed] = useState(1);
  const [off, setOff] = useState<LaidKind[]>([]);
  const [busy, setBusy] = useState(false);
  const [open, setOpen] = useState(false);
  // a long shot has tens of thousands of keys, which are read for nothing while this is shut
  const laid = open ? laidOf(shot) : NONE_LAID;
  const kinds = KINDS.map(([k]) => k).filter((k) => !off.includes(k));
  const there = Object.values(laid).some((n) => n > 0);
  const lay = async (with_: { temperament?: Temperament; seed?: number } = {}) => {
    const asked = { temperament, strength, seed, kinds, ...with_ };
    setTemperament(asked.temperament);
    setSeed(asked.seed);
    setBusy(true);
    let after: Shot | null = null;
    const done = await changeLine(async (l) => {
      const answer = await api.firstPass(l.id, { base: l.revision, ...asked });
      after = answer.shot;
      return answer;
    });
    setBusy(false);
    if (done && after && Object.values(laidOf(after)).every((n) => n === 0))
      tell({
        message:
          'Nothing was laid: these words ask for little, and what you keyed by hand stays. Try Reshuffle, or another temperament.',
        bad: false,
      });
  };
  const makeable = MADE.filter(([kind]) => lacking(kind, view.character) !== '');
  const makeMissing = async () => {
    setBusy(true);
    for (const [, made] of makeable) await edit(made);
    setBusy(false);
  };
  const takeBack = (which: LaidKind[]) =>
    void editLine({ kind: 'lay-acting', kinds: which, laid: NO_TRACKS });
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        className="btn px-2"
        disabled={shot.lines.length === 0}
        title="Acting the line asks for, as keys"
      >
        First pass
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          collisionPadding={10}
          aria-label="First pass"
          className="z-50 w-[360px] rounded-xl border border-line bg-card p-3.5 text-[13px] shadow-xl"
        >
          <h2 className="text-[15px] font-semibold">First pass</h2>
          <p className="mt-0.5 text-faint">
            The acting these words ask for, laid as ordinary keys. What you keyed by hand stays; whatever you
            change of it becomes yours.
          </p>
          <div className="mt-2 flex gap-1" role="group" aria-label="Temperament">
            {TEMPERAMENTS.map(([t, words]) => (
              <button
                key={t}
                className="btn flex-1 justify-center px-1"
                aria-pressed={temperament === t}
                onClick={() => (there ? void lay({ temperament: t }) : setTemperament(t))}
              >
                {words}
              </button>
            ))}
          </div>
          <label className="mt-2 flex items-center gap-2">
            <span className="w-16 text-faint">strength</span>
            <input
              type="range"
              className="flex-1 accent-[var(--chosen)]"
              min={0.2}
              max={2}
              step={0.1}
              value={strength}
              onChange={(e) => setStrength(Number(e.target.value))}
              onPointerUp={() => there && void lay()}
            />
            <b className="w-12 text-right whitespace-nowrap">{Math.round(strength * 100)} %</b>
          </label>
          <ul className="mt-2 space-y-0.5">
            {KINDS.map(([k, name, what]) => (
              <li key={k} className="flex items-center gap-2">
                <label className="flex min-w-0 flex-1 cursor-pointer items-center gap-2 py-0.5">
                  <input
                    type="checkbox"
                    checked={!off.includes(k)}
                    onChange={(e) => setOff(e.target.checked ? off.filter((o) => o !== k) : [...off, k])}
                  />
                  <span className="min-w-0">
                    <b>{name}</b>{' '}
                    {lacking(k, view.character) === '' ? (
                      <span className="text-faint">{what}</span>
                    ) : (
                      <span className="text-faint italic">not acted: {lacking(k, view.character)}</span>
                    )}
                  </span>
                </label>
                {laid[k] > 0 && (
                  <button
                    className="shrink-0 text-[12px] underline decoration-dotted"
                    onClick={() => takeBack([k])}
                    title={`${laid[k]} laid`}
                  >
                    take back
                  </button>
                )}
              </li>
            ))}
          </ul>
          {makeable.length > 0 && (
            <button
              className="btn mt-2"
              disabled={busy}
              onClick={() => void makeMissing()}
              title="As on the Turn and Brows benches; each can be undone"
            >
              Make what is missing first: {makeable.map(([, , words]) => words).join(' and ')}
            </button>
          )}
          <div className="mt-2.5 flex gap-1.5">
            <button className="btn-do" disabled={busy || kinds.length === 0} onClick={() => void lay()}>
              {there ? 'Lay it again' : 'Lay it'}
            </button>
            <button
              className="btn"
              disabled={busy || kinds.length === 0}
              onClick={() => void lay({ seed: seed + 1 })}
              title="The same, on other words"
            >
              Reshuffle
            </button>
            {there && (
              <button className="btn ml-auto" onClick={() => takeBack(KINDS.map(([k]) => k))}>
                Take all back
              </button>
            )}
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
