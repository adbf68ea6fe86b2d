import type { IntakeReport } from '../../api/client';

type Standing = NonNullable<IntakeReport['standing']>;

/** Below this, canvas units, nobody sees that something stands elsewhere. */
const SEEN = 0.05;

const tenth = (v: number) => String(Math.round(Math.abs(v) * 10) / 10);

/** Says how far a figure is from where it should stand, and which way; the fit moves it back by just that. */
export function offStand({ dx, dy, scale }: Standing): string {
  if (scale !== 1)
    return `Too ${scale < 1 ? 'large' : 'small'} for the canvas: ${Math.round(scale * 1000) / 10} % fits.`;
  const off = [
    ...(Math.abs(dx) >= SEEN ? [`${tenth(dx)} to the ${dx < 0 ? 'right' : 'left'} of the middle`] : []),
    ...(Math.abs(dy) >= SEEN ? [`${tenth(dy)} ${dy > 0 ? 'above' : 'below'} the ground line`] : []),
  ];
  return off.length === 0 ? 'It stands elsewhere on another canvas.' : `It stands ${off.join(' and ')}.`;
}
