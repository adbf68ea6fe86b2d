import { type ReactNode } from 'react';

export function DropZone({ lit, children }: { lit: boolean; children: ReactNode }) {
  return (
    <p
      className={`grid flex-1 place-items-center rounded-2xl border-4 border-dashed bg-paper/85 p-6 ${
        lit ? 'border-doing' : 'border-line text-faint'
      }`}
    >
      {children}
    </p>
  );
}
