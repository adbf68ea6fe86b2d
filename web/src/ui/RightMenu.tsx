import { ContextMenu } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

export const MENU_BOX = 'z-50 min-w-48 rounded-lg border border-line bg-card p-1 text-[13px] shadow-xl';
export const MENU_ITEM =
  'flex min-h-7 cursor-pointer items-center gap-4 rounded px-2.5 outline-none data-[highlighted]:bg-tide data-[disabled]:cursor-default data-[disabled]:text-faint';

/** Something that can be done, as a menu says it. */
export interface Doing {
  name: string;
  does: () => unknown;
  /** The key that does it too. */
  keys?: string;
  off?: boolean;
}

/** One line of a menu under the right button. */
export function MenuItem({
  does,
  keys,
  disabled = false,
  children,
}: {
  does: () => unknown;
  keys?: string;
  disabled?: boolean;
  children: ReactNode;
}) {
  return (
    <ContextMenu.Item className={MENU_ITEM} disabled={disabled} onSelect={() => void does()}>
      {children}
      {keys && <span className="ml-auto text-[12px] text-faint">{keys}</span>}
    </ContextMenu.Item>
  );
}

export const MenuLine = () => <ContextMenu.Separator className="my-1 h-px bg-line" />;

/** What can be done with a thing, under the right button or the menu key; its one child is what is pressed. */
export function RightMenu({
  label,
  groups,
  asked,
  children,
}: {
  label: string;
  /** Things that can be done, a line between one group and the next. */
  groups: Doing[][];
  /** Before it opens: whether it is for what is under the pointer. */
  asked?: (e: React.MouseEvent) => void;
  children: ReactElement;
}) {
  return (
    <ContextMenu.Root modal={false}>
      <ContextMenu.Trigger asChild onContextMenu={asked}>
        {children}
      </ContextMenu.Trigger>
      <ContextMenu.Portal container={document.getElementById('menus')}>
        <ContextMenu.Content className={MENU_BOX} aria-label={label}>
          {groups
            .filter((g) => g.length > 0)
            .map((g, i) => (
              <div key={g[0]!.name}>
                {i > 0 && <MenuLine />}
                {g.map((d) => (
                  <MenuItem key={d.name} does={d.does} keys={d.keys} disabled={d.off}>
                    {d.name}
                  </MenuItem>
                ))}
              </div>
            ))}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}
