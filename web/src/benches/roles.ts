import type { Part } from '../api/client';

export type Role = Part['role'];
export type Side = Part['side'];

/** Roles in a rigger's words, in the order a head is thought of. */
export const ROLES: [Role, string][] = [
  ['OTHER', 'no role'],
  ['HEAD', 'head'],
  ['VIEW', 'view of the head'],
  ['FACE', 'face skin'],
  ['FACE_LINE', 'head line'],
  ['MUZZLE', 'muzzle'],
  ['NOSE', 'nose'],
  ['MOUTH', 'mouth'],
  ['EYE', 'eye'],
  ['WHITE', 'eye white'],
  ['IRIS', 'iris'],
  ['PUPIL', 'pupil'],
  ['HIGHLIGHT', 'highlight'],
  ['UPPER_LID', 'upper lid'],
  ['LOWER_LID', 'lower lid'],
  ['LASHES', 'lashes'],
  ['BLINK', 'blink drawings'],
  ['EYE_OUTLINE', 'eye outline'],
  ['BROW', 'brow'],
  ['EAR', 'ear'],
  ['INNER_EAR', 'inner ear'],
  ['CHEEK', 'cheek'],
  ['FRECKLES', 'freckles'],
  ['WHISKERS', 'whiskers'],
  ['BEARD', 'beard'],
  ['MOUSTACHE', 'moustache'],
  ['FRINGE', 'fringe'],
  ['SIDE_HAIR', 'side hair'],
  ['BACK_HAIR', 'back hair'],
  ['EXTRA_HAIR', 'extra hair'],
  ['HORN', 'horn'],
  ['ANTENNA', 'antenna'],
  ['CAP', 'cap'],
  ['CAP_BAND', 'cap band'],
  ['CAP_PEAK', 'cap peak'],
  ['CAP_BADGE', 'cap badge'],
  ['GLASSES', 'glasses'],
  ['LENS', 'lens'],
  ['NECK', 'neck'],
  ['COLLAR', 'collar'],
  ['TORSO', 'torso'],
  ['UPPER_ARM', 'upper arm'],
  ['FOREARM', 'forearm'],
  ['HAND', 'hand'],
  ['HIPS', 'hips'],
  ['THIGH', 'thigh'],
  ['SHIN', 'shin'],
  ['FOOT', 'foot'],
  ['TAIL', 'tail'],
  ['PROP', 'prop'],
];

export const SIDES: [Side, string][] = [
  ['LEFT', 'its left (screen right)'],
  ['RIGHT', 'its right (screen left)'],
  ['NONE', 'neither'],
];

export const roleWords = (role: Role) => ROLES.find(([r]) => r === role)?.[1] ?? role;

export const sidePrefix = (side: Side) => (side === 'NONE' ? '' : side === 'LEFT' ? 'left ' : 'right ');
