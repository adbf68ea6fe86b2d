import { RotateCcw } from 'lucide-react';
import type { SolidPiece, TurnView } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { NumberField } from '../../ui/NumberField';
import { saying } from './saying';

/** Every piece that goes by itself: what it is taken for and how far forward it stands, changed in place. */
export function Pieces({ turn }: { turn: TurnView }) {
  const { view, edit } = useStudio();
  const chosen = useDesk((s) => s.part);
  const part = (id: string) => view.character.rig.parts.find((p) => p.id === id);
  const name = (id: string) => part(id)?.name ?? id;
  const rows = turn.pieces.filter((p) => !p.alongWith);
  const words = (kind: string) => turn.kinds.find((k) => k.kind === kind)?.words ?? kind;
  const byHand = rows.filter((p) => part(p.part)?.solid).length;
  const flat = rows.filter((p) => p.kind === 'FLAT').length;
  return (
    <details className="mt-2" open={rows.some((p) => p.part === chosen)}>
      <summary className="cursor-pointer text-[13px] font-medium">
        {rows.length} pieces{' '}
        <span className="font-normal text-faint">
          {byHand === 0 ? 'as they look' : `${byHand} set by hand`}
          {flat > 0 && `, ${flat} left flat`}
        </span>
      </summary>
      <ul className="mt-1.5 flex flex-col gap-1" aria-label="Pieces of the head">
        {rows.map((p) => {
          const said = part(p.part)?.solid;
          return (
            <li
              key={p.part}
              className={`rounded-md px-1.5 py-0.5 text-[13px] ${p.part === chosen ? 'bg-doing-soft' : ''}`}
            >
              <div className="flex items-center gap-2">
                <button
                  className="min-w-0 flex-1 truncate text-left"
                  title={name(p.part)}
                  aria-expanded={p.part === chosen}
                  onClick={() => useDesk.setState({ part: p.part })}
                >
                  {name(p.part)}
                </button>
                <select
                  aria-label={`${name(p.part)} turns as`}
                  className="field w-56 text-[12.5px]"
                  value={said?.kind ?? ''}
                  onChange={(e) =>
                    void edit(saying(p, said, { kind: (e.target.value || undefined) as SolidPiece['kind'] }))
                  }
                >
                  <option value="">{words(p.guessed)} (guessed)</option>
                  {turn.kinds.map((k) => (
                    <option key={k.kind} value={k.kind}>
                      {k.words}
                    </option>
                  ))}
                </select>
                <div className="w-28">
                  <NumberField
                    label="forward"
                    unit=" %"
                    value={p.forward * 100}
                    step={2}
                    disabled={p.kind === 'FLAT'}
                    keep={(v) => void edit(saying(p, said, { forward: v / 100 }))}
                  />
                </div>
                <button
                  className="btn px-1.5"
                  aria-label={`${name(p.part)} as it looks`}
                  title="As it looks"
                  disabled={!said}
                  onClick={() =>
                    // without anything said of it, it is guessed again
                    void edit({ kind: 'set-solid', part: p.part, forward: 0 })
                  }
                >
                  <RotateCcw size={13} aria-hidden />
                </button>
              </div>
              {p.part === chosen && <Details piece={p} turn={turn} />}
            </li>
          );
        })}
      </ul>
    </details>
  );
}

/** What else can be said of the chosen piece: what it is welded to, or where it grows. */
function Details({ piece, turn }: { piece: SolidPiece; turn: TurnView }) {
  const { view, edit } = useStudio();
  const part = (id: string) => view.character.rig.parts.find((p) => p.id === id);
  const said = part(piece.part)?.solid;
  const others = turn.pieces.filter((p) => p.points && p.part !== piece.part);
  const now = !said?.weld ? 'found' : (said.weld.to ?? 'nothing');
  if (piece.root)
    return (
      <p className="flex items-center gap-2 pb-1 text-[12.5px] text-faint">
        <span className="flex-1">
          {said?.root ? 'Grows where you put its root.' : 'Grows where it meets the skin.'} With the head as
          it was drawn, drag the diamond on the face.
        </span>
        <button
          className="btn"
          disabled={!said?.root}
          onClick={() => void edit(saying(piece, said, { root: undefined }))}
        >
          Where it meets the skin
        </button>
      </p>
    );
  if (!piece.points) return null;
  const count = piece.welded.length;
  return (
    <label className="flex items-center gap-2 pb-1 text-[12.5px] text-faint">
      <span className="flex-1">
        {count === 0 ? 'Welded nowhere' : `${count} points welded, ringed on the face`}
      </span>
      <select
        aria-label={`${part(piece.part)?.name ?? piece.part} is welded to`}
        className="field w-56 text-[12.5px]"
        value={now}
        onChange={(e) => {
          const to = e.target.value;
          void edit(
            saying(piece, said, {
              weld: to === 'found' ? undefined : to === 'nothing' ? {} : { to },
            }),
          );
        }}
      >
        <option value="found">the face’s edge, as found</option>
        <option value="nothing">nothing</option>
        {others.map((o) => (
          <option key={o.part} value={o.part}>
            {part(o.part)?.name ?? o.part}
          </option>
        ))}
      </select>
    </label>
  );
}
