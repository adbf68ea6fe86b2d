import { ContextMenu } from 'radix-ui';
import { type ReactElement, useState } from 'react';
import { type CommandId, wordsOf } from '../app/commands';
import { useKeyOf } from '../app/keymap';
import { useCommands } from '../app/useCommands';
import { useRoom } from '../room/room';
import { useDesk } from '../state/desk';
import { copyPlacement, useClipboard } from '../state/clipboard';
import { recorded } from '../state/recording';
import { useStudio } from '../state/studio';
import { useSight } from './sight';

const BOX = 'z-50 min-w-48 rounded-lg border border-line bg-card p-1 text-[13px] shadow-xl';
const ITEM =
  'flex min-h-7 cursor-pointer items-center gap-4 rounded px-2.5 outline-none data-[highlighted]:bg-tide data-[disabled]:cursor-default data-[disabled]:text-faint';

/** What can be done with the part under the pointer, or with the stage where there is none; also by the menu key. */
export function PartMenu({
  partAt,
  children,
}: {
  /** The part at a place of the screen; null where there is none. */
  partAt: (x: number, y: number) => string | null;
  children: ReactElement;
}) {
  const { view, edit } = useStudio();
  const [at, setAt] = useState<string | null>(null);
  const part = view.character.rig.parts.find((p) => p.id === at);
  return (
    <ContextMenu.Root modal={false}>
      <ContextMenu.Trigger
        asChild
        onContextMenu={(e) => {
          // the menu key opens it in the middle of nothing: then it is about what is chosen
          const under = partAt(e.clientX, e.clientY);
          const hit = e.button === 2 ? under : (under ?? useDesk.getState().part);
          setAt(hit);
          if (hit) useDesk.getState().select(hit);
        }}
      >
        {children}
      </ContextMenu.Trigger>
      <ContextMenu.Portal container={document.getElementById('menus')}>
        <ContextMenu.Content className={BOX} aria-label={part ? part.name : 'The stage'}>
          {part ? <OfPart part={part} edit={edit} /> : <OfStage />}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}

function Item({
  does,
  keys,
  disabled = false,
  children,
}: {
  does: () => void;
  keys?: string;
  disabled?: boolean;
  children: React.ReactNode;
}) {
  return (
    <ContextMenu.Item className={ITEM} disabled={disabled} onSelect={does}>
      {children}
      {keys && <span className="ml-auto text-[12px] text-faint">{keys}</span>}
    </ContextMenu.Item>
  );
}

const Line = () => <ContextMenu.Separator className="my-1 h-px bg-line" />;

function OfPart({
  part,
  edit,
}: {
  part: ReturnType<typeof useStudio>['view']['character']['rig']['parts'][number];
  edit: ReturnType<typeof useStudio>['edit'];
}) {
  const hidden = useDesk((s) => s.hidden.includes(part.id));
  const locked = useDesk((s) => s.locked.includes(part.id));
  const solo = useDesk((s) => s.solo.includes(part.id));
  const picked = useDesk((s) => s.picks[part.id]);
  const { dials } = useStudio().view.character.controls;
  const copied = useClipboard((s) => (s.copied?.kind === 'placement' ? s.copied : null));
  const why = useKeyOf('why');
  const desk = useDesk.getState;
  return (
    <>
      <ContextMenu.Label className="px-2.5 py-1 font-display text-[14px] font-semibold">
        {part.name}
      </ContextMenu.Label>
      <Item does={() => desk().ask(true)} keys={why}>
        Why does it look so?
      </Item>
      <Item
        does={() => {
          desk().go('parts');
          desk().select(part.id);
        }}
      >
        Place it
      </Item>
      {part.drawings.length > 1 && (
        <ContextMenu.Sub>
          <ContextMenu.SubTrigger className={ITEM}>
            Drawing <span className="ml-auto text-faint">{part.drawings.length} ▸</span>
          </ContextMenu.SubTrigger>
          <ContextMenu.Portal container={document.getElementById('menus')}>
            <ContextMenu.SubContent className={`${BOX} max-h-72 overflow-y-auto`}>
              <Item does={() => desk().pick(part.id, null)}>
                {picked ? 'As it would be' : '✓ As it would be'}
              </Item>
              {part.drawings.map((d) => (
                <Item key={d.id} does={() => desk().pick(part.id, d.id)}>
                  {picked === d.id ? '✓ ' : ''}
                  {d.name}
                </Item>
              ))}
            </ContextMenu.SubContent>
          </ContextMenu.Portal>
        </ContextMenu.Sub>
      )}
      <Line />
      <Item does={() => desk().toggle('hidden', [part.id])}>
        {hidden ? 'Show it again' : 'Hide it while working'}
      </Item>
      <Item does={() => desk().toggle('solo', [part.id])}>
        {solo ? 'Show the others again' : 'Show it alone'}
      </Item>
      <Item does={() => desk().toggle('locked', [part.id])}>
        {locked ? 'Unlock it' : 'Lock it against clicks'}
      </Item>
      <Line />
      <Item does={() => copyPlacement(part)} keys="Ctrl+C">
        Copy its placement
      </Item>
      <Item
        disabled={!copied}
        does={() => copied && void edit(recorded({ kind: 'place', part: part.id, rest: copied.rest }, dials))}
        keys="Ctrl+V"
      >
        {copied ? `Put on the placement of ${copied.of}` : 'Put on a placement'}
      </Item>
    </>
  );
}

/** A command of the whole page, with its key as it is now. */
function Does({ command, children }: { command: CommandId; children?: React.ReactNode }) {
  const { run, off } = useCommands()[command];
  const key = useKeyOf(command);
  return (
    <Item does={run} disabled={off ?? false} keys={key}>
      {children ?? wordsOf(command).name}
    </Item>
  );
}

function OfStage() {
  const alone = useRoom((s) => s.alone);
  const corner = useSight((s) => s.corner);
  return (
    <>
      <Does command="head" />
      <Does command="figure" />
      <Does command="actual" />
      <Does command="corner">{corner ? 'No figure in the corner' : undefined}</Does>
      <Does command="alone">{alone ? 'Everything round the stage again' : undefined}</Does>
      <Line />
      <Does command="rest" />
      <Does command="reveal" />
    </>
  );
}
