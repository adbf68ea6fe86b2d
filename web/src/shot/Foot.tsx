import { Copy, MoreHorizontal, Repeat2, Scissors, Trash2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { Shot, Way } from '../api/client';
import { useRef, useState } from 'react';
import { useKeyed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { AboutItem } from './AboutItem';
import { cuttingChoices } from './cuttingChoices';
import { itemsOn } from './items';
import { useCutting, wayEdit, WAYS } from './sheetKeys';
import { useSheet } from './sheetState';
import { handedOver, said, writing } from './writing';
import { KeepCue, CUE_NAME } from './KeepCue';
import { Bezier } from './Bezier';

/** What is chosen and what can be done with it; below it, what a key would write. */
export function Foot({ shot }: { shot: Shot }) {
  return (
    <div className="shrink-0 bg-paper">
      <ChosenRow shot={shot} />
      <KeyRow shot={shot} />
    </div>
  );
}

const SHAPES: Record<Way['kind'], string> = {
  hold: 'M1 11H11V3H17',
  even: 'M1 12L17 2',
  smooth: 'M1 12C8 12 10 2 17 2',
  curve: 'M1 12C2 4 8 2 17 2',
};

function ChosenRow({ shot }: { shot: Shot }) {
  const { view, editLine } = useStudio();
  const cuts = useCutting(shot);
  const { chosen, clip, ...cutting } = cuts;
  const itemId = useSheet((s) => s.item);
  const [keeping, setKeeping] = useState(false);
  const naming = useRef(false);
  const stopNaming = () => {
    naming.current = false;
    setKeeping(false);
  };
  if (!chosen)
    return (
      <div
        className="flex min-h-[46px] items-center gap-2 border-b border-line px-3 text-[13px] text-faint"
        id="sheet-says"
      >
        Drag over frames and tracks to choose them; drag a key along its ruler for its value, along time for
        its frame.
        {clip && (
          <button className="btn ml-auto" onClick={cutting.paste} title="Ctrl+V; in place of what is there">
            Put {clip.frames} frames in here
          </button>
        )}
      </div>
    );
  const keys = chosen.tracks
    .filter((t) => t.sort === 'DIAL')
    .flatMap((t) =>
      (shot.tracks.dials[t.of!] ?? []).filter((k) => k.frame >= chosen.from && k.frame < chosen.to),
    );
  const items = chosen.tracks.flatMap((t) => itemsOn(t, shot, view.character));
  const item = items.find((i) => i.id === itemId);
  const ways = new Set(keys.map((k) => k.way.kind));
  const words = chosen.tracks.length === 1 ? '' : ` · ${chosen.tracks.length} tracks`;
  return (
    <div className="flex min-h-[46px] flex-wrap items-center gap-x-2 gap-y-1 border-b border-line px-3 py-1.5 text-[13px]">
      <span className="mr-1 whitespace-nowrap" id="sheet-says" aria-live="polite">
        <b className="text-chosen">
          Chosen: {chosen.from + 1}
          {chosen.to > chosen.from + 1 ? `–${chosen.to}` : ''}
        </b>
        {words}
        {keys.length > 0 && `, ${keys.length} ${keys.length === 1 ? 'key' : 'keys'}`}
      </span>
      {item && <AboutItem item={item} edit={(e) => void editLine(e)} />}
      {keys.length > 0 && (
        <div className="flex gap-0.5" role="group" aria-label="Way to the next key">
          {WAYS.map((w, i) => (
            <button
              key={w.kind}
              className="btn px-1.5"
              aria-pressed={ways.has(w.kind) && ways.size === 1}
              title={`${w.words} (${i + 1})`}
              onClick={() => {
                const edit = wayEdit(shot, chosen, w.way);
                if (edit) void editLine(edit);
              }}
            >
              <svg width="18" height="14" viewBox="0 0 18 14" fill="none" aria-hidden>
                <path d={SHAPES[w.kind]} stroke="currentColor" strokeWidth="1.8" />
              </svg>
              {w.words}
            </button>
          ))}
        </div>
      )}
      {keys.length > 0 && ways.size === 1 && ways.has('curve') && (
        <Bezier
          key={JSON.stringify(keys[0]!.way)}
          way={keys[0]!.way}
          set={(way) => {
            const edit = wayEdit(shot, chosen, way);
            if (edit) void editLine(edit);
          }}
        />
      )}
      {keeping && <KeepCue chosen={chosen} done={stopNaming} />}
      <div className="ml-auto flex gap-1">
        <button className="btn px-1.5" onClick={cutting.copy} aria-label="Copy" title="Copy (Ctrl+C)">
          <Copy size={15} aria-hidden />
        </button>
        <button className="btn px-1.5" onClick={cutting.cut} aria-label="Cut" title="Cut (Ctrl+X)">
          <Scissors size={15} aria-hidden />
        </button>
        <button
          className="btn px-1.5"
          onClick={cutting.repeat}
          aria-label="Repeat behind itself"
          title="Repeat behind itself"
        >
          <Repeat2 size={15} aria-hidden />
        </button>
        <button
          className="btn px-1.5"
          onClick={() => cutting.clear()}
          aria-label="Take out"
          title="Take out (Delete)"
        >
          <Trash2 size={15} aria-hidden />
        </button>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger className="btn px-1.5" aria-label="More with these frames" title="More">
            <MoreHorizontal size={15} aria-hidden />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              side="top"
              sideOffset={4}
              className="z-50 w-[290px] rounded-lg border border-line bg-card p-1 text-[13px] shadow-xl"
              // the name of a cue is typed next: the focus goes to its field instead of back to the button
              onCloseAutoFocus={(e) => {
                if (!naming.current) return;
                e.preventDefault();
                document.getElementById(CUE_NAME)?.focus();
              }}
            >
              {cuttingChoices(cuts).map((c) => (
                <Choice key={c.name} does={c.does} keys={c.keys}>
                  {c.name}
                </Choice>
              ))}
              <Choice
                does={() => {
                  naming.current = true;
                  setKeeping(true);
                }}
              >
                Keep what the dials do as a cue …
              </Choice>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
    </div>
  );
}

function Choice({ does, keys, children }: { does: () => unknown; keys?: string; children: React.ReactNode }) {
  return (
    <DropdownMenu.Item
      className="flex cursor-pointer justify-between gap-3 rounded px-2.5 py-1.5 outline-none data-[highlighted]:bg-tide"
      onSelect={() => void does()}
    >
      <span>{children}</span>
      {keys && <span className="shrink-0 text-faint">{keys}</span>}
    </DropdownMenu.Item>
  );
}

/** Says what a key writes before it writes it. */
function KeyRow({ shot }: { shot: Shot }) {
  const { view, editLine } = useStudio();
  const frame = useDesk((s) => s.frame);
  const keying = useSheet((s) => s.keying);
  const chosen = useSheet((s) => s.chosen);
  // what the hand holds and where the keys put the dials changes what would be written
  useDesk((s) => s.dials);
  useDesk((s) => s.picks);
  useDesk((s) => s.pins);
  useDesk((s) => s.looks);
  useKeyed((s) => s.keyed);
  const now = writing(view.character, shot, frame, chosen);
  return (
    <div className="flex min-h-[48px] items-center gap-2.5 px-3 py-1.5 text-[13.5px]">
      <button
        className="btn-do shrink-0"
        disabled={now.edits.length === 0}
        onClick={() => {
          void Promise.all(now.edits.map((e) => editLine(e)));
          handedOver(now);
        }}
      >
        Key <kbd className="rounded border border-on-doing/60 px-1 font-sans text-[11px]">K</kbd>
      </button>
      <p className="min-w-0 flex-1" data-testid="writes">
        {now.words.length === 0 ? (
          <span className="text-faint">
            Move a dial, pick a drawing or a look: a key writes them at frame {frame + 1}.
          </span>
        ) : keying ? (
          <>
            Every dial that is moved is <b>keyed</b> at frame {frame + 1}.
          </>
        ) : (
          <>
            writes{' '}
            <b>
              {said(
                now.words.length > 5 ? [...now.words.slice(0, 4), `${now.words.length - 4} more`] : now.words,
              )}
            </b>{' '}
            at frame <b>{frame + 1}</b>.
          </>
        )}
      </p>
      <div className="flex shrink-0 items-center gap-1.5" role="group" aria-label="A moved dial">
        <span className="text-[12.5px] text-faint">a moved dial</span>
        <button
          className="btn px-2"
          aria-pressed={!keying}
          onClick={() => useSheet.setState({ keying: false })}
        >
          only poses
        </button>
        <button
          className="btn px-2"
          aria-pressed={keying}
          onClick={() => useSheet.setState({ keying: true })}
        >
          keys
        </button>
      </div>
    </div>
  );
}
