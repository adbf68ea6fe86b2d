import type { Character, Part } from '../api/client';

type Role = Part['role'];

/** A place a talking head has for a piece. */
export interface Slot {
  role: Role;
  name: string;
  /** What its absence costs; empty for a piece nobody misses. */
  cost: string;
  sided: boolean;
}

export interface SlotGroup {
  name: string;
  slots: Slot[];
}

const slot = (role: Role, name: string, cost = '', sided = false): Slot => ({ role, name, cost, sided });

export const GROUPS: SlotGroup[] = [
  {
    name: 'Face',
    slots: [
      slot('FACE', 'face skin', 'features are not cut off at the edge of the face, and the head cannot turn'),
      slot('NOSE', 'nose', 'the turn has no nose to lead it'),
      slot('MOUTH', 'mouth', 'the character cannot talk'),
      slot('EAR', 'ear', '', true),
      slot('CHEEK', 'cheek', '', true),
      slot('FRECKLES', 'freckles', '', true),
    ],
  },
  {
    name: 'Eyes and brows',
    slots: [
      slot('WHITE', 'white', 'pupils and lids are not masked', true),
      slot('IRIS', 'iris', '', true),
      slot('PUPIL', 'pupil', 'the eyes cannot look anywhere', true),
      slot('HIGHLIGHT', 'highlight', '', true),
      slot('UPPER_LID', 'upper lid', 'the blink squashes the eye', true),
      slot('LOWER_LID', 'lower lid', 'the blink uses the upper lid alone', true),
      slot('EYE_OUTLINE', 'outline', '', true),
      slot('BROW', 'brow', 'no frown and no surprise', true),
    ],
  },
  {
    name: 'Hair and hat',
    slots: [
      slot('FRINGE', 'fringe'),
      slot('BACK_HAIR', 'back hair'),
      slot('EXTRA_HAIR', 'extra hair', 'the turned head may look bald on the near side', true),
      slot('CAP', 'cap'),
    ],
  },
  {
    name: 'Body',
    slots: [
      slot('NECK', 'neck'),
      slot('TORSO', 'torso'),
      slot('COLLAR', 'collar'),
      slot('UPPER_ARM', 'upper arm', '', true),
      slot('FOREARM', 'forearm', '', true),
      slot('HAND', 'hand', '', true),
    ],
  },
];

/** The parts that fill a slot, the character's right first as it stands on the left of the screen. */
export function filling(character: Character, s: Slot): Part[] {
  return character.parts
    .filter((p) => p.role === s.role && p.drawings.length > 0)
    .sort((a, b) => rank(a) - rank(b));
}

const rank = (p: Part) => ({ RIGHT: 0, NONE: 1, LEFT: 2 })[p.side];

/** What is missing from a slot: null when nothing is, or when nobody misses it. */
export function missing(character: Character, s: Slot): string | null {
  const parts = filling(character, s);
  const wanted = s.sided ? 2 : 1;
  if (parts.length >= wanted || s.cost === '') return null;
  return parts.length === 0 ? s.cost : `on one side only: ${s.cost} there`;
}
