import { Dialog } from 'radix-ui';
import { useState } from 'react';

/** A character from a bundle whose name is taken here. */
export interface Naming {
  file: string;
  taken: string;
  /** Called once: with another name, to put it in place of the one that is here, or null to leave it. */
  answer: (choice: { name: string } | 'over' | null) => void;
}

/** The next name of its kind: a number behind it, or a higher one. */
export function nextName(taken: string): string {
  const numbered = /^(.*) (\d+)$/.exec(taken);
  return numbered ? `${numbered[1]} ${Number(numbered[2]) + 1}` : `${taken} 2`;
}

/** Asks what a character from a bundle is to be called. */
export function NameDialog({ file, taken, answer }: Naming) {
  const [name, setName] = useState(() => nextName(taken));
  return (
    <Dialog.Root open onOpenChange={(open) => !open && answer(null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 w-[30rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 rounded-xl border border-line bg-paper p-6 shadow-2xl">
          <Dialog.Title className="font-display text-xl font-bold">
            A character called {taken} is here already
          </Dialog.Title>
          <Dialog.Description className="mt-1 text-faint">
            Keep both: what is the one in {file} to be called?
          </Dialog.Description>
          <form
            className="mt-4"
            onSubmit={(e) => {
              e.preventDefault();
              if (name.trim()) answer({ name: name.trim() });
            }}
          >
            <input
              aria-label="Name of the character"
              className="field w-full text-[15px]"
              value={name}
              autoFocus
              onFocus={(e) => e.target.select()}
              onChange={(e) => setName(e.target.value)}
            />
            <div className="mt-4 flex justify-end gap-2">
              <button type="button" className="btn" onClick={() => answer(null)}>
                Cancel
              </button>
              <button className="btn-do" disabled={!name.trim()}>
                Import it
              </button>
            </div>
          </form>
          <div className="mt-5 flex items-center gap-3 border-t border-line pt-4 text-[13px]">
            <p className="flex-1 text-faint">
              Or let {taken} become what is in the file, with its shots of the same names. Undo brings back
              what is here now.
            </p>
            <button type="button" className="btn" onClick={() => answer('over')}>
              Put it in its place
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
