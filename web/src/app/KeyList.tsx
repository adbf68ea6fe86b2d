import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useStudio } from '../state/studio';
import { partRuns } from '../state/partRuns';
import { KEY_COMMANDS, type KeyCommand, wordsOf } from './commands';
import { keyFor, keyOf, useKeymap } from './keymap';
import { useKeyList } from './useCommands';

/** Keys that belong to a bench or to a thing in the hand, and are as they are. */
const FIXED: [string, string][] = [
  ['Ctrl+K', 'find anything by its name: benches, parts, dials, drawings, looks, shots, characters'],
  ['Ctrl+Z, Ctrl+Shift+Z or Ctrl+Y', 'undo, redo: the last edit of all, on the character or the line'],
  ['Space and a drag, middle button', 'move what the stage shows'],
  ['Arrows', 'on Parts, Eyes, Brows, Hands, Kits and Turn: nudge the chosen part by 1 (Shift 10, Alt 0.1)'],
  [
    'Ctrl+C, Ctrl+V',
    'copy the drawing or look that has the focus, the stop the open dial stands on, or the chosen part’s placement; put it on another part, value or character',
  ],
  ['Right click', 'on the stage: what can be done with a part'],
  ['Escape', 'let go of the drag, the artwork, the part; end Why?'],
  ['Shift+click', 'choose several parts'],
  ['Drag from the ground', 'on Parts: choose what lies in the frame; Shift: besides what is chosen'],
  ['Page Down, Page Up', 'on artwork: to the next point of the outline, to the one before'],
  ['Delete, S, C', 'on a point of the artwork: remove it, smooth, corner'],
  ['K', 'on Shot: key what the sentence at its foot says'],
  ['1, 2, 3, 4', 'on Shot, with keys chosen: hold, even, smooth, curve'],
  ['Arrows, Shift, Ctrl', 'on the sheet of a shot: from cell to cell, choosing more, from key to key'],
  ['1 to 9, Shift+1 to 9', 'on Shot, while it is played live: looks, and cues'],
  ['Ctrl+C, X, V, Shift+V', 'on Shot: copy, cut, put in, put in mirrored'],
  ['Delete, Insert', 'on Shot: take out what is chosen, put in an empty frame'],
  ['Arrows, Enter, Delete', 'on the edge of a panel: move it, fold it away, as usual again'],
];

/** What a command does, in a line of the list. */
function told(command: KeyCommand): string {
  const { name, then } = wordsOf(command);
  return then ? `${name} – ${then}` : name;
}

/** All keys: those that can be given anew, those of benches, and those of this character's drawings. */
export function KeyList() {
  const open = useKeyList((s) => s.open);
  const { library, rig } = useStudio().view.character;
  const { own, singles, usual, switchSingles } = useKeymap();
  const { keys, kits } = library;
  return (
    <Dialog.Root open={open} onOpenChange={(now) => useKeyList.setState({ open: now })}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[85vh] w-[min(34rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-xl border border-line bg-paper p-6 shadow-2xl"
        >
          <Dialog.Title className="font-display text-xl font-bold">Keys</Dialog.Title>
          <p className="mt-1 text-[13px] text-faint">
            Press a key in its field to change it; Backspace clears it.
          </p>
          <dl className="mt-3 grid grid-cols-[auto_1fr] items-center gap-x-5 gap-y-1.5">
            {KEY_COMMANDS.map((c) => (
              <div key={c} className="contents">
                <dt>
                  <Shortcut command={c} value={keyFor(c, own)} />
                </dt>
                <dd>{told(c)}</dd>
              </div>
            ))}
            {FIXED.map(([key, does]) => (
              <Row key={key + does} name={key}>
                {does}
              </Row>
            ))}
            {keys.length + kits.length > 0 && (
              <Row name="A drawing’s or a kit’s key">
                shows it while held; pressed shortly, until it is pressed again
              </Row>
            )}
            {keys.map((k) => {
              const part = rig.parts.find((p) => p.id === k.part);
              return (
                <Row key={k.key} name={k.key}>
                  {part?.name}: {part?.drawings.find((d) => d.id === k.drawing)?.name ?? 'nothing'}
                </Row>
              );
            })}
            {kits
              .filter((k) => k.key !== '')
              .map((k) => (
                <Row key={k.id} name={k.key}>
                  the kit {k.name}
                </Row>
              ))}
            {partRuns(rig)
              .filter((r) => r.key !== '')
              .map((r) => (
                <Row key={r.id} name={r.key}>
                  the run {r.name}, begun and let go of
                </Row>
              ))}
          </dl>
          <p className="mt-3 text-faint">
            On a ruler: drag, arrows, or type a value; the wheel goes from stop to stop while the ruler has
            focus or Alt is held.
          </p>
          <label className="mt-3 flex items-start gap-2">
            <input
              type="checkbox"
              className="mt-0.5 h-4 w-4"
              checked={singles}
              onChange={(e) => switchSingles(e.target.checked)}
            />
            <span>
              Single letters, digits and signs are keys.{' '}
              <span className="text-faint">
                Without them nothing happens by a slip, or by a voice that is written down.
              </span>
            </span>
          </label>
          <div className="mt-4 flex gap-2">
            <Dialog.Close className="btn">Close</Dialog.Close>
            <button className="btn" onClick={usual}>
              The usual keys
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Row({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="contents">
      <dt className="font-bold">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

/** A command's key, given by pressing it here. */
function Shortcut({ command, value }: { command: KeyCommand; value: string }) {
  const [asking, setAsking] = useState(false);
  return (
    <input
      className="field w-28 px-2 py-0.5 text-center font-bold"
      aria-label={`Key: ${told(command)}`}
      readOnly
      value={asking ? 'press …' : value === '' ? 'no key' : value}
      onFocus={() => setAsking(true)}
      onBlur={() => setAsking(false)}
      onKeyDown={(e) => {
        // to leave the field and the list is what these are for
        if (e.key === 'Tab' || e.key === 'Escape' || ['Shift', 'Alt', 'Control', 'Meta'].includes(e.key))
          return;
        e.preventDefault();
        e.stopPropagation();
        const key = e.key === 'Backspace' || e.key === 'Delete' ? '' : keyOf(e.nativeEvent);
        // those are the browser's own, or fixed
        if (!key.startsWith('Ctrl+')) useKeymap.getState().give(command, key);
        e.currentTarget.blur();
      }}
    />
  );
}
