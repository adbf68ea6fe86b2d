import { CircleCheck, Crosshair, Eraser, Palette as Paints, Shapes, Signpost } from 'lucide-react';
import type { ReactNode } from 'react';
import type { IntakeReport } from '../../api/client';
import { openCount } from '../../state/report';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { offStand } from './offStand';
import { roleWords, sidePrefix } from '../roles';

const tenth = (v: number) => String(Math.round(v * 10) / 10);
const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

/** What the art still needs before it is a clean rig, each with its reason and the one click that settles it. */
export function Settling({ report }: { report: IntakeReport }) {
  const { view, edit } = useStudio();
  const { character } = view;
  const name = (id: string) => character.rig.parts.find((p) => p.id === id)?.name ?? id;
  const { axis, standing, sides, guesses, nearColours, strays } = report;
  const turned = Object.entries(sides.right);

  if (openCount(report) === 0)
    return (
      <p className="mt-3 flex items-center gap-2 rounded-lg border border-line bg-paper px-3 py-2">
        <CircleCheck size={17} className="shrink-0 text-doing" aria-hidden />
        <span>
          No issues. {axis && <Found axis={axis} />} The model lines and the axis can be dragged on the stage.
        </span>
      </p>
    );

  return (
    <section className="mt-3 space-y-1.5" aria-label="To fix">
      {standing?.needed && (
        <Item
          icon={<Crosshair size={17} aria-hidden />}
          message={
            <>
              {offStand(standing)}{' '}
              {axis ? <Found axis={axis} /> : 'No axis of symmetry was found; the middle is taken.'}
            </>
          }
          act="Fit, stand and centre"
          onClick={() =>
            edit({
              kind: 'fit',
              scale: standing.scale,
              dx: standing.dx,
              dy: standing.dy,
              canvas: standing.canvas,
            })
          }
        />
      )}
      {turned.length > 0 && (
        <Item
          icon={<Signpost size={17} aria-hidden />}
          message={
            <>
              Whose left is meant? {count(turned.length, 'part')} {turned.length === 1 ? 'lies' : 'lie'}{' '}
              elsewhere than the name says:{' '}
              {turned
                .slice(0, 4)
                .map(([id, side]) => `${name(id)} → ${sidePrefix(side).trim()}`)
                .join(', ')}
              {turned.length > 4 && ' …'}
            </>
          }
          act="Sides as it faces us"
          onClick={() => edit({ kind: 'set-sides', sides: sides.right })}
        />
      )}
      {guesses.length > 0 && (
        <Item
          icon={<Shapes size={17} aria-hidden />}
          message={
            <>
              {guesses.length === 1
                ? '1 layer whose name says nothing looks familiar:'
                : `${guesses.length} layers whose names say nothing look familiar:`}
              <ul className="mt-1 space-y-0.5">
                {guesses.map((g) => (
                  <li key={g.part} className="flex items-center gap-2">
                    <button
                      className="min-w-0 truncate text-left underline decoration-dotted"
                      onClick={() => useDesk.getState().select(g.part)}
                    >
                      {name(g.part)}
                    </button>
                    <span className="shrink-0">
                      → <b>{sidePrefix(g.side) + roleWords(g.role)}</b>
                    </span>
                    <span className="min-w-0 flex-1 truncate text-[12px] text-faint" title={g.why}>
                      {Math.round(g.sure * 100)} %, {g.why}
                    </span>
                    <button
                      className="btn px-1.5 py-0"
                      onClick={() =>
                        void edit({
                          kind: 'read-as',
                          offers: [{ part: g.part, role: g.role, side: g.side }],
                        })
                      }
                    >
                      Take it
                    </button>
                  </li>
                ))}
              </ul>
            </>
          }
          act="Take all"
          onClick={() =>
            edit({
              kind: 'read-as',
              offers: guesses.map((g) => ({ part: g.part, role: g.role, side: g.side })),
            })
          }
        />
      )}
      {nearColours.length > 0 && (
        <Item
          icon={<Paints size={17} aria-hidden />}
          message={
            <>
              {count(nearColours.length, 'pair')} of colours can hardly be told apart:
              <span className="ml-1.5 inline-flex flex-wrap gap-1.5 align-middle">
                {nearColours.slice(0, 5).map((n) => (
                  <span
                    key={n.keep.colour + n.merge.colour}
                    className="inline-flex h-4 w-8 overflow-hidden rounded border border-line"
                    title={`${n.merge.name} into ${n.keep.name}, ${tenth(n.difference)} apart`}
                  >
                    <span className="flex-1" style={{ background: n.keep.colour }} />
                    <span className="flex-1" style={{ background: n.merge.colour }} />
                  </span>
                ))}
              </span>
            </>
          }
          act="Merge them"
          onClick={() =>
            edit({
              kind: 'merge-colours',
              // the closest pair of each colour comes last, and stays
              into: Object.fromEntries(
                [...nearColours].reverse().map((n) => [n.merge.colour, n.keep.colour]),
              ),
            })
          }
        />
      )}
      {strays.length > 0 && (
        <Item
          icon={<Eraser size={17} aria-hidden />}
          message={
            <>
              {count(strays.length, 'stray shape')} nobody can see:{' '}
              <span className="text-faint">
                {strays
                  .slice(0, 3)
                  .map((s) => `${s.name || 'one'} in ${name(s.part)} – ${s.message}`)
                  .join('; ')}
                {strays.length > 3 && ' …'}
              </span>
            </>
          }
          act="Delete them"
          onClick={() => edit({ kind: 'tidy' })}
        />
      )}
    </section>
  );
}

function Found({ axis }: { axis: NonNullable<IntakeReport['axis']> }) {
  return (
    <span>
      Axis of symmetry at {tenth(axis.x)}, from {axis.pairs} mirrored pairs, {tenth(axis.residual)} off on
      average.
    </span>
  );
}

function Item({
  icon,
  message,
  act,
  onClick,
}: {
  icon: ReactNode;
  message: ReactNode;
  act: string;
  onClick: () => Promise<boolean>;
}) {
  return (
    <div className="flex items-start gap-2.5 rounded-lg border border-line bg-paper px-3 py-2 text-[13px]">
      <span className="mt-0.5 shrink-0 text-doing">{icon}</span>
      <div className="min-w-0 flex-1">{message}</div>
      <button className="btn-do shrink-0" onClick={() => void onClick()}>
        {act}
      </button>
    </div>
  );
}
