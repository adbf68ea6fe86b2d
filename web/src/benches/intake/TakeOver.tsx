import { useQuery } from '@tanstack/react-query';
import { ArrowRight, X } from 'lucide-react';
import { useState } from 'react';
import { api, type Item, type TransferItem, type TransferView } from '../../api/client';
import { FinishedHeads } from '../../app/FinishedHeads';
import { useStudio } from '../../state/studio';
import { FITTINGS, fits, inKinds } from './transfer';

interface Offered {
  /** The character that has it. */
  other: string;
  close: () => void;
  /** Kinds of things that stand first in the list. */
  first?: TransferItem['kind'][];
}

/** Another character beside this one: what it has that this could have, seen on both, to be taken or left. */
export function TakeOver({ close, first }: { close: () => void; first?: TransferItem['kind'][] }) {
  const { view } = useStudio();
  const characters = useQuery({ queryKey: ['characters'], queryFn: api.characters });
  const others = characters.data?.items.filter((c) => c.id !== view.id) ?? [];
  const [picked, setPicked] = useState('');
  const other = others.find((c) => c.id === picked) ?? others[0];
  return (
    <section
      aria-label="From another character"
      className="mt-3 rounded-xl border border-doing bg-card p-3"
      onKeyDown={(e) => e.key === 'Escape' && close()}
    >
      <div className="flex items-center gap-2">
        <h2 className="text-[15px] font-semibold">From</h2>
        <Others others={others} chosen={other?.id ?? ''} choose={setPicked} />
        <button className="ml-auto btn px-1.5" aria-label="Close" onClick={close}>
          <X size={15} aria-hidden />
        </button>
      </div>
      {other ? (
        <Offer key={other.id} other={other.id} close={close} first={first} />
      ) : (
        <p className="mt-2 text-[13px] text-faint">There is no other character yet.</p>
      )}
      <details className="mt-2 text-[13px]" open={!other}>
        <summary className="cursor-pointer text-faint">A head that comes finished with Leeward …</summary>
        <FinishedHeads begun={setPicked} />
      </details>
    </section>
  );
}

function Others({
  others,
  chosen,
  choose,
}: {
  others: Item[];
  chosen: string;
  choose: (id: string) => void;
}) {
  return (
    <select
      aria-label="The character that has it"
      className="field min-w-0 flex-1"
      value={chosen}
      onChange={(e) => choose(e.target.value)}
    >
      {others.map((c) => (
        <option key={c.id} value={c.id}>
          {c.name}
        </option>
      ))}
    </select>
  );
}

function Offer({ other, close, first }: Offered) {
  const { view } = useStudio();
  const offer = useQuery({
    queryKey: ['transfer', view.id, view.revision, other],
    queryFn: () => api.transfer(view.id, other),
    placeholderData: (before) => before,
  });
  if (offer.error) return <p className="mt-2 text-[13px] text-wrong">{offer.error.message}</p>;
  if (!offer.data) return <p className="mt-2 text-[13px] text-faint">Holding one against the other …</p>;
  return offer.data.items.length === 0 ? (
    <p className="mt-2 text-[13px] text-faint">{offer.data.name} has nothing that could be taken.</p>
  ) : (
    <List other={other} offer={offer.data} close={close} first={first} />
  );
}

function List({ other, offer, close, first }: Offered & { offer: TransferView }) {
  const { takeFrom, tell } = useStudio();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [open, setOpen] = useState(
    () =>
      inKinds(offer.items, first)
        .flatMap((k) => k.items)
        .find((i) => i.fitting !== 'NOTHING')?.key ?? '',
  );
  const toggle = (key: string) => {
    const now = new Set(chosen);
    if (!now.delete(key)) now.add(key);
    setChosen(now);
  };
  const free = offer.items.filter((i) => fits(i)).map((i) => i.key);
  const take = async () => {
    if (await takeFrom(other, [...chosen])) {
      close();
      tell({
        message: `Took ${chosen.size === 1 ? 'one thing' : `${chosen.size} things`} from ${offer.name}.`,
        bad: false,
      });
    }
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button className="btn-do" disabled={chosen.size === 0} onClick={() => void take()}>
          {chosen.size === 0
            ? 'Choose what to take'
            : `Take ${chosen.size === 1 ? 'one thing' : `${chosen.size} things`}`}
        </button>
        <button className="btn" disabled={free.length === 0} onClick={() => setChosen(new Set(free))}>
          All that is missing here ({free.length})
        </button>
        {chosen.size > 0 && (
          <button className="btn" onClick={() => setChosen(new Set())}>
            None
          </button>
        )}
      </div>
      {inKinds(offer.items, first).map(({ title, items }) => (
        <section key={title} className="mt-2.5">
          <h3 className="text-[13px] font-semibold text-faint">{title}</h3>
          <ul className="mt-1 space-y-1">
            {items.map((i) => (
              <Thing
                key={i.key}
                item={i}
                other={other}
                offer={offer}
                chosen={chosen.has(i.key)}
                toggle={() => {
                  toggle(i.key);
                  setOpen(i.key);
                }}
                open={open === i.key}
                show={() => setOpen(i.key)}
              />
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}

function Thing({
  item,
  other,
  offer,
  chosen,
  toggle,
  open,
  show,
}: {
  item: TransferItem;
  other: string;
  offer: TransferView;
  chosen: boolean;
  toggle: () => void;
  open: boolean;
  show: () => void;
}) {
  const possible = item.fitting !== 'NOTHING';
  return (
    <li
      className={`rounded-lg border px-2 py-1 ${chosen ? 'border-doing bg-doing-soft' : 'border-line'}`}
      // the pointer opens a row by its button alone: rows that move under it while it is down would swallow the click
      onFocus={(e) => e.target.matches(':focus-visible') && show()}
    >
      <div className="flex min-h-6 items-center gap-2 text-[13px]">
        <label className="flex min-w-0 flex-1 items-center gap-2">
          <input
            type="checkbox"
            className="accent-(--color-doing)"
            checked={chosen}
            disabled={!possible}
            onChange={toggle}
            aria-label={`Take ${item.what}`}
          />
          <b className={`truncate ${possible ? '' : 'font-normal text-faint'}`}>{item.what}</b>
        </label>
        <span className={item.fitting === 'PARTLY' ? 'text-recording' : 'text-faint'}>
          {FITTINGS[item.fitting]}
        </span>
        <button className="btn min-h-6 px-1.5 py-0 text-[12px]" aria-expanded={open} onClick={show}>
          See
        </button>
      </div>
      {open && (
        <div className="mt-1 pb-1 text-[12.5px] text-faint">
          {item.facts.map((f) => (
            <p key={f}>{f}</p>
          ))}
          {possible && <Sheet item={item} other={other} offer={offer} />}
        </div>
      )}
    </li>
  );
}

/** The same thing on both: above as it is there, below as it would be here. */
function Sheet({ item, other, offer }: { item: TransferItem; other: string; offer: TransferView }) {
  const { view } = useStudio();
  const sheet = useQuery({
    queryKey: ['transfer-sheet', view.id, offer.revision, other, offer.otherRevision, item.key],
    queryFn: () => api.transferSheet(view.id, other, item.key),
  });
  const large = (sheet.data?.captions.length ?? 0) < 2;
  const picture = (cell: number, here: boolean) =>
    `/api/v1/characters/${view.id}/from/${other}/picture.svg?${new URLSearchParams({
      key: item.key,
      revision: String(offer.revision),
      otherRevision: String(offer.otherRevision),
      cell: String(cell),
      here: String(here),
    })}`;
  return (
    <ul className="mt-1.5 flex flex-wrap gap-2">
      {sheet.data?.captions.map((caption, i) => (
        <li key={i} className="text-center">
          <span className="flex items-center gap-1">
            <Picture
              src={picture(i, false)}
              alt={`${item.what}, ${caption}, on ${offer.name}`}
              large={large}
            />
            <ArrowRight size={13} className="shrink-0" aria-hidden />
            <Picture
              src={picture(i, true)}
              alt={`${item.what}, ${caption}, on ${view.character.name}`}
              large={large}
            />
          </span>
          {caption}
        </li>
      ))}
    </ul>
  );
}

function Picture({ src, alt, large }: { src: string; alt: string; large: boolean }) {
  return (
    <img src={src} alt={alt} className={`${large ? 'size-44' : 'size-24'} rounded bg-drawn object-contain`} />
  );
}
