import type { Character, Edit, Finding, PoseBody, ShotEdit, ShotFinding } from '../../api/client';
import type { Bench } from '../../state/benches';

export type Harm = Finding['harm'];

/** What may be done about an entry; exactly one of the two edits is there. */
export interface EntryMend {
  label: string;
  leaves: number;
  edit?: Edit;
  shot?: ShotEdit;
}

/** One thing that is wrong, with the rig or along the shot: a row of the check page. */
export interface Entry {
  key: string;
  harm: Harm;
  title: string;
  message: string;
  /** Where it is worked at, and what that is called. */
  bench: Bench;
  place: string;
  measure: Finding['measure'];
  mends: EntryMend[];
  accepted: string | null;
  /** The pose that shows it at its worst. */
  pose: PoseBody;
  /** The frame of the shot that shows it; null for what the rig itself has. */
  frame: number | null;
  part: string;
  drawing: string;
  /** Faulty places on the canvas in that pose, as outlines. */
  where: number[][][];
  /** What a picture shows of it; nothing where there is nothing to be seen. */
  seen: 'place' | 'canvas' | 'nothing';
  accept: (reason: string) => { edit?: Edit; shot?: ShotEdit };
  reopen: () => { edit?: Edit; shot?: ShotEdit };
}

/** The heads of the page, worst first, with who notices. */
export const HARMS: { harm: Harm; title: string; who: string }[] = [
  { harm: 'BREAKS', title: 'Breaks the picture', who: 'anyone would see it' },
  { harm: 'MOVES', title: 'Shows in motion', who: 'an audience sees it when it moves' },
  { harm: 'UNTIDY', title: 'Untidy', who: 'nobody sees it yet' },
];

/** What is wrong, in a few words, by the code of the finding. */
const TITLES: Record<string, string> = {
  'white-shows': 'A shut eye shows white',
  'pupil-lost': 'A pupil leaves its white',
  'lid-short': 'A lid is too short',
  'bad-outline': 'The white is no clean window',
  'no-fill': 'The white has no fill',
  'no-pupil': 'No pupil to be seen',
  'not-mirrored': 'The eyes are not alike',
  'comes-off': 'A piece comes off',
  'leaves-canvas': 'Leaves the canvas',
  'wrist-opens': 'A wrist opens',
  opens: 'A wrist opens',
  'off-the-wrist': 'A hand is off its wrist',
  'no-wrist': 'A hand without a wrist',
  'bald-one-way': 'Skull without hair',
  'bald-other-way': 'Skull without hair',
  uneven: 'The two halves differ',
  jumps: 'A view jumps',
  'off-canvas': 'Off the canvas',
  unnamed: 'Left and right mixed up',
  near: 'Colours nearly alike',
  unseen: 'Shapes nobody sees',
  kinked: 'Bends with kinks',
  'never-shown': 'Drawn, never shown',
  hairline: 'Thinner than a pixel',
  'teeth-moved': 'The upper teeth have moved',
  'teeth-size': 'Teeth of another size',
  'lower-teeth-off': 'Lower teeth off the lip',
  'outline-length': 'Lips longer or shorter than theirs',
  'line-weight': 'A line of another weight',
  colour: 'Another colour than the others',
  points: 'Other points than the others',
  'window-off': 'The mouth’s window is off',
  'mouth-hidden': 'Speaks without a mouth',
  'closure-open': 'The lips do not meet',
  'view-jumps': 'The view jumps',
  pops: 'Pops',
  'wrist-open': 'A wrist opens',
  'no-teeth-on-lip': 'No teeth on the lip',
  'blink-never-shuts': 'A blink that never shuts',
  'shorter-than-hold': 'Too short to be read',
  'mouths-flicker': 'The mouth flickers',
  'belongs-to-nothing': 'Belongs to nothing',
};

function titleOf(check: string, code: string): string {
  if (check === 'standing') return 'Does not stand on its canvas';
  if (code.startsWith('not-shut')) return '“p b m” is not shut';
  if (code.endsWith('-alike')) return 'Two of one name';
  const words = code.replaceAll('-', ' ');
  return TITLES[code] ?? words.charAt(0).toUpperCase() + words.slice(1);
}

const PLACES: Record<string, string> = {
  intake: 'Intake',
  parts: 'Parts',
  eyes: 'Eyes',
  mouths: 'Mouths',
  hands: 'Hands',
  turn: 'Turn',
  brows: 'Brows',
  shot: 'Shot',
};

function benchOf(f: Finding, character: Character): Bench {
  switch (f.check) {
    case 'eyes':
      return 'eyes';
    case 'mouths':
    case 'lips':
      return 'mouths';
    case 'hands':
      return 'hands';
    case 'halves':
    case 'skull':
    case 'views':
      return 'turn';
    case 'bends':
      return 'brows';
    case 'sweep':
      if (f.code === 'wrist-opens') return 'hands';
      return f.code === 'white-shows' || f.code === 'pupil-lost' ? 'eyes' : 'turn';
    case 'unused':
      return f.subject.part === character.voice.mouths.part ? 'mouths' : 'parts';
    case 'names':
    case 'hairlines':
      return 'parts';
    default:
      return 'intake';
  }
}

/** The pose that shows a finding: its dials, and the drawing it is about where that belongs to a part. */
function poseOf(f: Finding): PoseBody {
  return {
    dials: f.at,
    picks: f.subject.part && f.subject.drawing ? { [f.subject.part]: f.subject.drawing } : {},
  };
}

function ofRig(f: Finding, character: Character): Entry {
  const { part, drawing, dial } = f.subject;
  const bench = benchOf(f, character);
  const drawn = character.rig.parts.find((p) => p.id === part)?.drawings.find((d) => d.id === drawing);
  const said = (reason: string) => ({
    check: f.check,
    code: f.code,
    part,
    drawing,
    dial,
    measure: f.measure.value,
    reason,
  });
  return {
    key: ['rig', f.check, f.code, part, drawing, dial].join('/'),
    harm: f.harm,
    title: titleOf(f.check, f.code),
    message: f.message,
    bench,
    place: drawn ? `${PLACES[bench] ?? bench}, “${drawn.name}”` : (PLACES[bench] ?? bench),
    measure: f.measure,
    mends: f.mends,
    accepted: f.accepted ?? null,
    pose: poseOf(f),
    frame: null,
    part,
    drawing,
    where: f.where,
    seen: f.check === 'standing' ? 'canvas' : f.check === 'names' ? 'nothing' : 'place',
    accept: (reason) => ({ edit: { kind: 'accept-finding', finding: said(reason) } }),
    reopen: () => ({ edit: { kind: 'reopen-finding', finding: said('') } }),
  };
}

function ofShot(f: ShotFinding, shot: string): Entry {
  const { part, drawing, dial } = f.subject;
  const said = (reason: string) => ({
    check: 'shot',
    code: f.code,
    part,
    drawing,
    dial,
    measure: f.measure.value,
    reason,
  });
  const frames = f.to - f.from <= 1 ? `frame ${f.from + 1}` : `frames ${f.from + 1} to ${f.to}`;
  return {
    key: ['shot', f.code, part, drawing, dial, f.from].join('/'),
    harm: f.harm,
    title: titleOf('shot', f.code),
    message: f.message,
    bench: 'shot',
    place: `${shot}, ${frames}`,
    measure: f.measure,
    mends: f.mends.map(({ label, leaves, shot: edit, character }) => ({
      label,
      leaves,
      ...(edit ? { shot: edit } : {}),
      ...(character ? { edit: character } : {}),
    })),
    accepted: f.accepted ?? null,
    pose: {},
    frame: f.frame,
    part,
    drawing,
    where: [],
    seen: 'place',
    accept: (reason) => ({ shot: { kind: 'accept-shot-finding', finding: said(reason) } }),
    reopen: () => ({ shot: { kind: 'reopen-shot-finding', finding: said('') } }),
  };
}

/** Everything that was found, worst first; within one harm the rig before the shot, as each was ordered by what found it. */
export function entriesOf(
  rig: Finding[],
  shot: ShotFinding[],
  character: Character,
  shotName: string,
): Entry[] {
  const rank = (e: Entry) => HARMS.findIndex((h) => h.harm === e.harm);
  return [...rig.map((f) => ofRig(f, character)), ...shot.map((f) => ofShot(f, shotName))].sort(
    (a, b) => rank(a) - rank(b),
  );
}

export interface Crop {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** About what a picture of an entry is cropped, with air; null where it says no place. */
export function around(where: Entry['where'], least: number): { crop: Crop; ring: Crop } | null {
  const all = where.flat();
  if (all.length === 0) return null;
  const across = all.map((p) => p[0]!);
  const down = all.map((p) => p[1]!);
  const x = Math.min(...across);
  const y = Math.min(...down);
  const w = Math.max(...across) - x;
  const h = Math.max(...down) - y;
  const side = Math.max(least, 2.2 * Math.max(w, h));
  return {
    crop: { x: x + w / 2 - side / 2, y: y + h / 2 - side / 2, w: side, h: side },
    ring: { x, y, w, h },
  };
}
