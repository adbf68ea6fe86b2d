import { useQueryClient } from '@tanstack/react-query';
import { Check, LayoutGrid, Redo2, Search, Undo2 } from 'lucide-react';
import { api, type CharacterView, type LineView } from '../api/client';
import { useConnection } from '../api/connection';
import { EditableName } from '../ui/EditableName';
import { useDesk } from '../state/desk';
import { BENCH_NAMES, BENCHES, type Bench } from '../state/benches';
import { useCommands } from './useCommands';
import { exportFact, isUnfinished, useExports } from '../state/exports';
import { openCount, useReport } from '../state/report';
import { useStudio } from '../state/studio';

const LINKS = [
  ['bench', 'the bench'],
  ['dials', 'the dials'],
  ['line', 'the line'],
] as const;

/** For whoever goes by Tab: past the benches and the dials to what is meant. */
function SkipLinks() {
  const staged = useDesk((s) => s.bench !== 'hand-over');
  const to = (id: string) => (e: React.MouseEvent) => {
    // the address holds the desk, not a place on the page
    e.preventDefault();
    document.getElementById(id)?.focus();
  };
  return (
    <>
      {LINKS.filter(([id]) => id === 'bench' || staged).map(([id, words]) => (
        <a
          key={id}
          href={`#${id}`}
          onClick={to(id)}
          className="btn fixed top-2 left-2 z-50 opacity-0 not-focus:pointer-events-none focus:opacity-100"
        >
          To {words}
        </a>
      ))}
    </>
  );
}

/** Second lines give way first, where the rail or the window is small. */
const SECOND = '@max-[110px]/rail:hidden [@media(max-height:769px)]:hidden';

/** The benches in working order, each with how far it is; who is on the stage; undo and redo. */
export function Rail() {
  const { view, line, edit } = useStudio();
  const bench = useDesk((s) => s.bench);
  const queries = useQueryClient();
  const report = useReport();
  // the one that is being made, or the next
  const making = useExports().all.filter(isUnfinished).at(-1);
  const open = report ? openCount(report) : 0;
  const own = view.mouths.filter((m) => m.own).length;
  const facts: Record<Bench, string> = {
    intake: open === 0 ? 'nothing to fix' : `${open} to fix`,
    parts: `${view.character.rig.parts.length} parts`,
    eyes: eyesFact(view.character),
    mouths: mouthsFact(view),
    brows: browsFact(view.character),
    hands: handsFact(view.character),
    kits: kitsFact(view.character),
    turn: turnFact(view.character),
    lines: line ? (line.fits ? `${own} of 15 mouths` : 'words in doubt') : 'no line yet',
    shot: shotFact(line),
    'hand-over': making ? `${making.label.split(',')[0]} ${exportFact(making)}` : 'film, PNG, CSV …',
  };
  const { undo, redo, home, find } = useCommands();
  // a sheet of measured hands takes a moment: it is asked for while the pointer is on its way
  const near = (b: Bench) =>
    b === 'hands' &&
    void queries.prefetchQuery({
      queryKey: ['hands', view.id, view.revision],
      queryFn: () => api.hands(view.id),
    });
  return (
    <nav aria-label="Benches" className="flex h-full min-h-0 flex-col px-2.5 py-3 @max-[110px]/rail:px-1">
      <SkipLinks />
      <div className="px-1.5 font-display text-[19px] font-extrabold tracking-tight @max-[110px]/rail:text-[16px] @max-[80px]/rail:text-[13px] @max-[80px]/rail:px-0.5">
        Leeward
      </div>
      <ol className="mt-3 min-h-0 flex-1 space-y-0.5 overflow-y-auto [scrollbar-width:thin]">
        {BENCHES.map((b) => (
          <li key={b}>
            <button
              aria-current={bench === b ? 'page' : undefined}
              onClick={() => useDesk.getState().go(b)}
              onPointerEnter={() => near(b)}
              onFocus={() => near(b)}
              title={facts[b]}
              className={`w-full rounded-lg px-2 py-[5px] text-left transition-colors @max-[110px]/rail:px-1.5 [@media(max-height:769px)]:py-1 ${
                bench === b ? 'bg-ink text-paper' : 'hover:bg-tide/60'
              }`}
            >
              <span className="block font-display text-[15px] font-semibold">{BENCH_NAMES[b]}</span>
              <span
                className={`block truncate text-[11.5px] ${SECOND} ${bench === b ? 'opacity-80' : 'text-faint'}`}
              >
                {facts[b]}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <div className="mt-2 space-y-2">
        <div className="px-1">
          <div className="text-[11px] text-faint max-[719px]:hidden">On the stage</div>
          <EditableName
            label="Name of the character"
            name={view.character.name}
            rename={(name) => edit({ kind: 'rename', name })}
          />
        </div>
        <button
          className="btn w-full justify-center px-1 text-[12px] whitespace-nowrap"
          onClick={home.run}
          title="All characters, by their faces"
        >
          <LayoutGrid size={14} className="@max-[80px]/rail:hidden" aria-hidden />{' '}
          <span>
            <span className={SECOND}>All </span>characters
          </span>
        </button>
        <button
          className="btn w-full justify-center px-1 text-[12px] whitespace-nowrap"
          onClick={find.run}
          title="Find anything by its name (Ctrl+K)"
        >
          <Search size={14} className="@max-[80px]/rail:hidden" aria-hidden /> Find{' '}
          <kbd className={`ml-1 rounded border border-line px-1 font-sans text-[11px] text-faint ${SECOND}`}>
            Ctrl K
          </kbd>
        </button>
        <Saved revision={view.revision} />
        <div className="flex gap-1.5">
          <button
            className="btn flex-1 justify-center px-1"
            disabled={undo.off}
            onClick={undo.run}
            aria-label="Undo"
            title={undo.of ? `Undo: ${undo.of} (Ctrl+Z)` : 'Nothing to undo'}
          >
            <Undo2 size={15} aria-hidden />
          </button>
          <button
            className="btn flex-1 justify-center px-1"
            disabled={redo.off}
            onClick={redo.run}
            aria-label="Redo"
            title={redo.of ? `Redo: ${redo.of} (Ctrl+Shift+Z, Ctrl+Y)` : 'Nothing to redo'}
          >
            <Redo2 size={15} aria-hidden />
          </button>
        </div>
      </div>
    </nav>
  );
}

/** Whether everything that was done is stored. */
function Saved({ revision }: { revision: number }) {
  const { sending, waiting, away } = useConnection();
  const [words, look] =
    away !== null || waiting > 0
      ? [waiting > 0 ? `${waiting} waiting` : 'no server', 'text-wrong']
      : sending > 0
        ? ['saving …', 'text-faint']
        : ['saved', 'text-good'];
  return (
    <p
      role="status"
      className={`flex items-center gap-1 px-1 text-[12px] ${look}`}
      title={`Every step is stored at once. This is revision ${revision}.`}
    >
      {words === 'saved' && <Check size={13} strokeWidth={3} aria-hidden />}
      {words}
      <span className={`text-faint ${SECOND}`}>· {revision}</span>
    </p>
  );
}

function shotFact(line: LineView | null): string {
  if (!line) return 'no shot yet';
  const { tracks } = line.shot;
  const n =
    Object.keys(tracks.dials).length +
    Object.keys(tracks.drawings).length +
    [tracks.looks, tracks.kits, tracks.cues, tracks.blinks, tracks.gestures].filter((t) => t.length > 0)
      .length;
  return n === 0 ? 'nothing acted yet' : n === 1 ? '1 track' : `${n} tracks`;
}

function kitsFact(c: CharacterView['character']): string {
  const n = c.library.kits.length;
  return n === 0 ? 'no kit yet' : n === 1 ? 'one kit' : `${n} kits`;
}

function handsFact(character: CharacterView['character']): string {
  const sizes = character.rig.parts.filter((p) => p.role === 'HAND').map((p) => p.drawings.length);
  return sizes.length === 0 ? 'no hands yet' : `${sizes.join(' and ')} drawings`;
}

function browsFact(c: CharacterView['character']): string {
  const brows = c.rig.parts.filter((p) => p.role === 'BROW').length;
  if (c.library.looks.length > 0)
    return c.library.looks.length === 1 ? '1 look' : `${c.library.looks.length} looks`;
  return brows === 0 ? 'no brows yet' : 'no looks yet';
}

function turnFact(c: CharacterView['character']): string {
  const own = c.controls.dials.filter((d) => d.purpose === 'OWN').length;
  const turns = c.controls.dials.some((d) => d.purpose === 'TURN');
  return turns ? (own > 0 ? `turns, ${own} more dials` : 'the head turns') : 'no turn yet';
}

function mouthsFact(view: CharacterView): string {
  const { mouths } = view.character.voice;
  if (view.mouths.length === 0) return 'no mouth yet';
  const own = Object.keys(mouths.drawn).length;
  const moods = mouths.moods.length;
  return moods > 0 ? `${own} in ${moods + 1} moods` : own === 1 ? '1 mouth' : `${own} mouths`;
}

/** How far the eyes are, from what the character itself says. */
function eyesFact(c: CharacterView['character']): string {
  const eyes = c.rig.parts.filter((p) => p.role === 'EYE').length;
  if (eyes === 0) return 'no eyes yet';
  const gaze = c.controls.pads.length > 0;
  const blink = c.controls.dials.some((d) => d.purpose === 'BLINK');
  return gaze && blink ? 'look and blink' : blink ? 'blink only' : 'not set up';
}
