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
import { MENU_BOX, MENU_ITEM, MenuItem, MenuLine } from '../ui/RightMenu';
import { useSight } from './sight';

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
        <ContextMenu.Content className={MENU_BOX} aria-label={part ? part.name : 'The stage'}>
          {part ? <OfPart part={part} edit={edit} /> : <OfStage />}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}

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
      <MenuItem does={() => desk().ask(true)} keys={why}>
        Why does it look so?
      </MenuItem>
      <MenuItem
        does={() => {
          desk().go('parts');
          desk().select(part.id);
        }}
      >
        Place it
      </MenuItem>
      {part.drawings.length > 1 && (
        <ContextMenu.Sub>
          <ContextMenu.SubTrigger className={MENU_ITEM}>
            Drawing <span className="ml-auto text-faint">{part.drawings.length} ▸</span>
          </ContextMenu.SubTrigger>
          <ContextMenu.Portal container={document.getElementById('menus')}>
            <ContextMenu.SubContent className={`${MENU_BOX} max-h-72 overflow-y-auto`}>
              <MenuItem does={() => desk().pick(part.id, null)}>
                {picked ? 'As it would be' : '✓ As it would be'}
              </MenuItem>
              {part.drawings.map((d) => (
                <MenuItem key={d.id} does={() => desk().pick(part.id, d.id)}>
                  {picked === d.id ? '✓ ' : ''}
                  {d.name}
                </MenuItem>
              ))}
            </ContextMenu.SubContent>
          </ContextMenu.Portal>
        </ContextMenu.Sub>
      )}
      <MenuLine />
      <MenuItem does={() => desk().toggle('hidden', [part.id])}>
        {hidden ? 'Show it again' : 'Hide it while working'}
      </MenuItem>
      <MenuItem does={() => desk().toggle('solo', [part.id])}>
        {solo ? 'Show the others again' : 'Show it alone'}
      </MenuItem>
      <MenuItem does={() => desk().toggle('locked', [part.id])}>
        {locked ? 'Unlock it' : 'Lock it against clicks'}
      </MenuItem>
      <MenuLine />
      <MenuItem does={() => copyPlacement(part)} keys="Ctrl+C">
        Copy its placement
      </MenuItem>
      <MenuItem
        disabled={!copied}
        does={() => copied && void edit(recorded({ kind: 'place', part: part.id, rest: copied.rest }, dials))}
        keys="Ctrl+V"
      >
        {copied ? `Put on the placement of ${copied.of}` : 'Put on a placement'}
      </MenuItem>
    </>
  );
}

/** A command of the whole page, with its key as it is now. */
function Does({ command, children }: { command: CommandId; children?: React.ReactNode }) {
  const { run, off } = useCommands()[command];
  const key = useKeyOf(command);
  return (
    <MenuItem does={run} disabled={off ?? false} keys={key}>
      {children ?? wordsOf(command).name}
    </MenuItem>
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
      <MenuLine />
      <Does command="rest" />
      <Does command="reveal" />
    </>
  );
}
