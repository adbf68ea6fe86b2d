import {
  Eye,
  EyeOff,
  FlipHorizontal2,
  Link2,
  Lock,
  LockOpen,
  Spotlight,
  Trash2,
  Unlink2,
} from 'lucide-react';
import type { Part, Placement } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';
import { Choice } from '../../ui/Choice';
import { EditableName } from '../../ui/EditableName';
import { NumberField } from '../../ui/NumberField';
import { ROLES, type Role, type Side, SIDES } from '../roles';
import { Drawings } from './Drawings';

/** Everything about one part: what it is, what it follows, where it stands, what masks it, what it shows. */
export function PartCard({ part }: { part: Part }) {
  const { view, edit } = useStudio();
  const { character } = view;
  const hidden = useDesk((s) => s.hidden.includes(part.id));
  const locked = useDesk((s) => s.locked.includes(part.id));
  const solo = useDesk((s) => s.solo.includes(part.id));
  const toggle = useDesk((s) => s.toggle);
  const name = (id: string) => character.rig.parts.find((p) => p.id === id)?.name ?? id;
  const link = character.rig.links.find((l) => l.left === part.id || l.right === part.id);
  const masks = character.rig.windows.filter((w) => w.masked.includes(part.id)).map((w) => w.by);
  const masked = character.rig.windows.find((w) => w.by === part.id)?.masked ?? [];
  const past = part.pastEdges[0] ?? '';
  const place = (change: Partial<Placement>) =>
    void edit({ kind: 'place', part: part.id, rest: { ...part.rest, ...change } });
  const pivot = (x: number, y: number) => void edit({ kind: 'move-pivot', part: part.id, to: [x, y] });
  const number = (label: string, value: number, unit: string, keep: (v: number) => void, step = 1) => (
    <NumberField label={label} value={value} unit={unit} step={step} keep={keep} disabled={locked} />
  );
  const beneath = new Set([part.id]);
  for (let grew = true; grew;) {
    grew = false;
    for (const p of character.rig.parts)
      if (p.parent && beneath.has(p.parent) && !beneath.has(p.id)) {
        beneath.add(p.id);
        grew = true;
      }
  }
  const tool = (on: boolean, words: string, icon: React.ReactNode, act: () => void) => (
    <button className="btn px-1.5" aria-pressed={on} aria-label={words} title={words} onClick={act}>
      {icon}
    </button>
  );
  return (
    <section className="mt-3 rounded-xl border border-line bg-paper p-3" aria-label="The chosen part">
      <div className="flex items-center gap-1">
        <div className="min-w-0 flex-1">
          <EditableName
            label="Name of the part"
            name={part.name}
            rename={(to) => edit({ kind: 'rename-part', part: part.id, name: to })}
            className="text-lg"
          />
        </div>
        {tool(
          hidden,
          hidden ? 'Show it again' : 'Hide it while working',
          hidden ? <EyeOff size={15} /> : <Eye size={15} />,
          () => toggle('hidden', [part.id]),
        )}
        {tool(
          locked,
          locked ? 'Unlock it' : 'Lock it against clicks',
          locked ? <Lock size={15} /> : <LockOpen size={15} />,
          () => toggle('locked', [part.id]),
        )}
        {tool(solo, solo ? 'Show the others again' : 'Show it alone', <Spotlight size={15} />, () =>
          toggle('solo', [part.id]),
        )}
        {tool(false, 'Delete the part', <Trash2 size={15} />, () => {
          useDesk.getState().select(null);
          void edit({ kind: 'discard', parts: [part.id] });
        })}
      </div>
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-1.5">
        <Choice
          label="Role"
          value={part.role}
          options={ROLES}
          choose={(role) =>
            void edit({ kind: 'read-as', offers: [{ part: part.id, role: role as Role, side: part.side }] })
          }
        />
        <Choice
          label="Side"
          value={part.side}
          options={SIDES}
          choose={(side) => void edit({ kind: 'set-sides', sides: { [part.id]: side as Side } })}
        />
        <Choice
          label="Parent"
          value={part.parent ?? ''}
          options={[
            ['', 'nothing'],
            ...character.rig.parts
              .filter((p) => !beneath.has(p.id))
              .map((p): [string, string] => [p.id, p.name]),
          ]}
          choose={(to) => void edit({ kind: 'hang', parts: [part.id], ...(to ? { parent: to } : {}) })}
        />
        <Choice
          label="Masked by"
          value={masks[0] ?? ''}
          options={[
            ['', 'no window'],
            ...character.rig.parts
              .filter((p) => p.id !== part.id && p.drawings.length > 0 && !masked.includes(p.id))
              .map((p): [string, string] => [p.id, p.name]),
          ]}
          choose={(by) => {
            const close = masks[0];
            void (async () => {
              if (close && !(await edit({ kind: 'mask', by: close, part: part.id, on: false }))) return;
              if (by) await edit({ kind: 'mask', by, part: part.id, on: true });
            })();
          }}
        />
        <Choice
          label="Shows past the edge of"
          value={past}
          options={[
            ['', 'no edge'],
            ...character.rig.parts
              .filter((p) => p.id !== part.id && p.drawings.length > 0)
              .map((p): [string, string] => [p.id, `the edge of ${p.name}`]),
          ]}
          choose={(by) => void edit({ kind: 'show-past', part: part.id, ...(by ? { by } : {}) })}
        />
      </div>
      <div className="mt-2.5 grid grid-cols-3 gap-x-2 gap-y-1.5">
        {number('X', part.rest.x, '', (x) => place({ x }))}
        {number('Y', part.rest.y, '', (y) => place({ y }))}
        {number('Rotation', part.rest.rotation, '°', (rotation) => place({ rotation }))}
        {number('Scale X', part.rest.scaleX * 100, ' %', (v) => place({ scaleX: v / 100 }))}
        {number('Scale Y', part.rest.scaleY * 100, ' %', (v) => place({ scaleY: v / 100 }))}
        {number('Skew', part.rest.skewX, '°', (skewX) => place({ skewX }))}
        {number('Pivot X', part.pivot[0]!, '', (x) => pivot(x, part.pivot[1]!))}
        {number('Pivot Y', part.pivot[1]!, '', (y) => pivot(part.pivot[0]!, y))}
        {number('Opacity', part.rest.opacity * 100, ' %', (v) => place({ opacity: v / 100 }))}
      </div>
      {part.side !== 'NONE' && (
        <div className="mt-2.5 flex flex-wrap items-center gap-1.5 text-[12.5px]">
          <button
            className="btn"
            onClick={() => void edit({ kind: 'mirror-side', part: part.id })}
            title="Reflect this part, with all that follows it, exactly about the axis"
          >
            <FlipHorizontal2 size={14} aria-hidden />
            {link ? 'Mirror again' : `Make the ${part.side === 'LEFT' ? 'right' : 'left'} one from it`}
          </button>
          {link ? (
            <>
              <span className="flex items-center gap-1 text-faint">
                <Link2 size={14} aria-hidden /> linked to{' '}
                {name(link.left === part.id ? link.right : link.left)}
              </span>
              <button className="btn" onClick={() => void edit({ kind: 'break-link', part: part.id })}>
                <Unlink2 size={14} aria-hidden /> Break the link
              </button>
            </>
          ) : (
            <span className="text-faint">not linked to its other side</span>
          )}
        </div>
      )}
      {masked.length > 0 && (
        <p className="mt-2 text-[12.5px] text-faint">Window for {masked.map(name).join(', ')}.</p>
      )}
      <Drawings part={part} />
    </section>
  );
}
