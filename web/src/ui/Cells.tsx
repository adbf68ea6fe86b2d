import type { HTMLAttributes } from 'react';
import { useCells } from './useCells';

interface Props extends HTMLAttributes<HTMLElement> {
  as?: 'div' | 'ul' | 'ol';
  /** False where the cells themselves know what an arrow does. */
  arrows?: boolean;
}

/** Things that stand in rows, and are one stop of the Tab key with arrows inside. */
export function Cells({ as: As = 'div', arrows = true, ...rest }: Props) {
  const cells = useCells(arrows);
  return <As ref={cells} {...rest} />;
}
