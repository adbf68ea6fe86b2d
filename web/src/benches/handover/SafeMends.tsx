import { useQuery } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api, type SafeMend } from '../../api/client';
import { change } from '../../state/measures';
import { useStudio } from '../../state/studio';
import { entriesOf } from './entries';
import { Evidence } from './Evidence';

/**
 * Mends everything that is safe to mend in one step, after a look at what that would do.
 *
 * @param any whether there is something that may be safe to mend
 */
export function SafeMends({ any }: { any: boolean }) {
  const { view, edit } = useStudio();
  const [open, setOpen] = useState(false);
  const tried = useQuery({
    queryKey: ['safe-mends', view.id, view.revision],
    queryFn: () => api.safeMends(view.id),
    enabled: any,
  });
  if (!any) return null;
  const mends = tried.data?.mends ?? [];
  if (tried.isFetching)
    return <span className="self-center text-[12.5px] text-faint">mends are being tried …</span>;
  if (mends.length === 0) return null;
  const mendAll = async () => {
    if (await edit({ kind: 'mend-all', mends: mends.map((m) => m.mend.edit) })) setOpen(false);
  };
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="btn-do">
        Mend the {mends.length === 1 ? 'safe one' : `${mends.length} safe ones`} …
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] w-[46rem] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col rounded-xl border border-line bg-paper p-5 shadow-2xl">
          <Dialog.Title className="font-display text-xl font-bold">
            {mends.length === 1 ? 'One mend is safe' : `${mends.length} mends are safe`}
          </Dialog.Title>
          <Dialog.Description className="mt-1 text-[13px] text-faint">
            Each is the only mend there is for its finding. All of them were tried together, and no check
            finds anything worse after them. One undo takes all of them back.
          </Dialog.Description>
          <ul className="mt-3 grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(20rem,1fr))] gap-2 overflow-y-auto">
            {mends.map((m, i) => (
              <Step key={i} mend={m} />
            ))}
          </ul>
          <div className="mt-4 flex justify-end gap-2">
            <Dialog.Close className="btn">Cancel</Dialog.Close>
            <button className="btn-do" onClick={() => void mendAll()}>
              {mends.length === 1 ? 'Mend it' : `Mend all ${mends.length}`}
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Step({ mend }: { mend: SafeMend }) {
  const { view } = useStudio();
  const [entry] = entriesOf([mend.finding], [], view.character, '');
  return (
    <li className="rounded-lg border border-line bg-card p-2 text-[13px]">
      <Evidence entry={entry!} mend={mend.mend.edit} large />
      <p className="mt-1">{mend.finding.message}</p>
      <p className="font-semibold">
        {mend.mend.label}{' '}
        <span className="font-normal text-faint">{change(mend.finding.measure, mend.mend.leaves)}</span>
      </p>
    </li>
  );
}
