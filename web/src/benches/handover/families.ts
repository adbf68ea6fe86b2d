import type { ExporterView } from '../../api/client';

export type Family = ExporterView['family'];

/** What formats are looked for under, in the order they are asked for most. */
export const FAMILIES: { family: Family; title: string; about: string }[] = [
  { family: 'FILM', title: 'Film', about: 'The shot as it is photographed' },
  { family: 'ANIMATION', title: 'Animation', about: 'The shot, drawn and not filmed' },
  { family: 'LIVE', title: 'Live face', about: 'The rig, alive in any web page' },
  { family: 'PICTURES', title: 'Pictures', about: 'The stage as it stands, or every frame' },
  { family: 'TIMING', title: 'Timing', about: 'What is said and acted, and when' },
  { family: 'ARTWORK', title: 'Artwork', about: 'The drawings themselves' },
  { family: 'PAGES', title: 'Pages', about: 'To print, or to draw over' },
  { family: 'BUNDLE', title: 'Bundle', about: 'All of it, to go on with elsewhere' },
];

const KEY = 'leeward.hand-over';

/** What everything is, where nobody has said: one of each kind, and no two films. */
export const USUAL = [
  'film-mp4',
  'lottie',
  'animated-svg',
  'picture-png',
  'exposure-pdf',
  'exposure-csv',
  'textgrid',
  'bundle',
];

/** The formats that go into everything, as they were chosen last. */
export function chosenSet(offered: ExporterView[]): string[] {
  const ids = offered.map((e) => e.id);
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    if (Array.isArray(kept)) return ids.filter((id) => kept.includes(id));
  } catch {
    // what is kept there is not ours
  }
  return ids.filter((id) => USUAL.includes(id));
}

export function keepSet(ids: string[]) {
  localStorage.setItem(KEY, JSON.stringify(ids));
}

/** Whether it cannot be made because there is no shot. */
export const needsShot = (e: ExporterView, hasShot: boolean) => e.scope === 'SHOT' && !hasShot;
