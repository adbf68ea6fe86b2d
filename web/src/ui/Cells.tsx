import { type HTMLAttributes, type Ref, useCallback } from 'react';
import { useCells } from './useCells';

interface Props extends HTMLAttributes<HTMLElement> {
  as?: 'div' | 'ul' | 'ol';
  /** False where the cells themselves know what an arrow does. */
  arrows?: boolean;
  ref?: Ref<HTMLElement>;
}

/** Things that stand in rows, and are one stop of the Tab key with arrows inside. */
export function Cells({ as: As = 'div', arrows = true, ref, ...rest }: Props) {
  const cells = useCells(arrows);
  const both = useCallback(
    (e: HTMLElement | null) => {
      cells(e);
      if (typeof ref === 'function') ref(e);
      else if (ref) ref.current = e;
    },
    [cells, ref],
  );
  return <As ref={both} {...rest} />;
}
