import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Dial } from '../api/client';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { DialCard } from './turn/DialCard';
import { HeadTurn } from './turn/HeadTurn';
import { NewDial } from './turn/NewDial';

/** The turn of the head as a whole, and every dial stop by stop. */
export function TurnBench() {
  const { character } = useStudio().view;
  const open = useDesk((s) => s.dial);
  const [making, setMaking] = useState(false);
  const [withUnits, setWithUnits] = useState(false);
  const dial = character.controls.dials.find((d) => d.id === open);
  const units = character.controls.dials.filter((d) => d.purpose === 'ACTION_UNIT');
  const listed = character.controls.dials.filter(
    (d) => withUnits || d.purpose !== 'ACTION_UNIT' || d.id === open,
  );
  const tab = (d: Dial | null, words: string) => (
    <button
      key={d?.id ?? ''}
      role="tab"
      aria-selected={(dial ?? null) === d && !making}
      className={`rounded-full border px-2.5 py-0.5 text-[12.5px] transition-colors ${
        (dial ?? null) === d && !making
          ? 'border-ink bg-ink text-paper'
          : 'border-line bg-card hover:border-faint'
      }`}
      onClick={() => {
        setMaking(false);
        useDesk.getState().openDial(d?.id ?? null);
      }}
    >
      {words}
    </button>
  );
  return (
    <>
      <h1 className="text-2xl font-bold">Turn</h1>
      <div className="mt-2 flex flex-wrap gap-1">
        <div role="tablist" aria-label="Dials" className="contents">
          {tab(null, 'The whole head')}
          {listed.map((d) => tab(d, d.name))}
        </div>
        {units.length > 0 && (
          <button
            className="px-1 text-[12px] text-faint underline decoration-dotted"
            aria-expanded={withUnits}
            onClick={() => setWithUnits(!withUnits)}
          >
            {withUnits ? 'without' : 'and'} {units.length} action units
          </button>
        )}
        <button
          className="inline-flex items-center gap-1 rounded-full border border-dashed border-faint px-2.5 py-0.5 text-[12.5px] hover:border-ink"
          aria-expanded={making}
          onClick={() => setMaking(!making)}
        >
          <Plus size={13} aria-hidden /> New dial
        </button>
      </div>
      {making ? (
        <NewDial done={() => setMaking(false)} />
      ) : dial ? (
        <DialCard key={dial.id} dial={dial} />
      ) : (
        <HeadTurn />
      )}
    </>
  );
}
