import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { fit, type Group } from './entries';
import { usePalette } from './paletteState';

/** Stands between a name and what tells it from others of that name. */
const APART = '\u2003';
/** Most of one kind that are shown before anything is typed; the rest waits for letters. */
const FEW = 6;

/** Everything by its name: typed, chosen by arrows, done by Enter. */
export function Palette({ groups }: { groups: Group[] }) {
  const open = usePalette((s) => s.open);
  const [typed, setTyped] = useState('');
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if ((e.ctrlKey || e.metaKey) && !e.altKey && !e.shiftKey && e.key.toLowerCase() === 'k') {
        e.preventDefault();
        setTyped('');
        usePalette.setState((s) => ({ open: !s.open }));
      }
    };
    // before any field, which keeps its letters to itself
    window.addEventListener('keydown', press, true);
    return () => window.removeEventListener('keydown', press, true);
  }, []);
  const bare = typed.trim() === '';
  return (
    <Dialog.Root
      open={open}
      onOpenChange={(now) => {
        setTyped('');
        usePalette.setState({ open: now });
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[12vh] left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 overflow-hidden rounded-xl border border-line bg-paper shadow-2xl"
        >
          <Dialog.Title className="sr-only">Find anything</Dialog.Title>
          <Command
            label="Find anything"
            filter={(value, search, keywords) =>
              fit(value.split(APART)[0]!, keywords?.join(' ') ?? '', search)
            }
          >
            <Command.Input
              aria-label="Find anything"
              placeholder="A bench, a part, a dial, a drawing, a look, a shot, a character …"
              className="w-full border-b border-line bg-card px-4 py-3 text-[15px] outline-none placeholder:text-faint"
              value={typed}
              onValueChange={setTyped}
            />
            <Command.List
              aria-label="What was found"
              tabIndex={0}
              className="max-h-[min(56vh,460px)] overflow-y-auto p-2 outline-none"
            >
              <Command.Empty className="px-2 py-3 text-faint">Nothing is called that.</Command.Empty>
              {groups.map((g) => (
                <Command.Group
                  key={g.name}
                  heading={g.name}
                  className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-[12px] [&_[cmdk-group-heading]]:text-faint"
                >
                  {(bare ? g.entries.slice(0, g.name === 'Benches' ? undefined : FEW) : g.entries).map(
                    (e) => (
                      <Command.Item
                        key={e.id}
                        // names alone are not told apart: two parts may share one
                        value={`${e.name}${APART}${e.id}`}
                        keywords={[e.also ?? '', e.of ?? '', g.name]}
                        className="flex min-h-7 cursor-pointer items-center gap-2 rounded-md px-2 py-1 data-[selected=true]:bg-chosen-soft data-[selected=true]:shadow-[inset_0_0_0_1px_var(--chosen)]"
                        onSelect={() => {
                          usePalette.setState({ open: false });
                          setTyped('');
                          e.run();
                        }}
                      >
                        <span className="min-w-0 truncate">{e.name}</span>
                        {e.of && <span className="truncate text-[12.5px] text-faint">{e.of}</span>}
                        {e.key && (
                          <kbd className="ml-auto rounded border border-line bg-card px-1.5 text-[12px]">
                            {e.key}
                          </kbd>
                        )}
                      </Command.Item>
                    ),
                  )}
                </Command.Group>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
