import type { Artwork, Character, Shot } from '../api/client';

/** What is written in a `.face` file. */
export interface FaceFile {
  format: 'leeward-face';
  version: 1;
  name: string;
  /** Where the head and the whole figure lie at rest: x, y, width, height. */
  views: { head: number[]; whole: number[] };
  character: Character;
  artwork: Artwork;
  /** Pictures made of pixels as `data:` addresses, by their hash. */
  images: Record<string, string>;
  /** What it can say and act, by the name it is asked for by. */
  lines: Record<string, FaceLine>;
}

export interface FaceLine {
  title: string;
  words: string;
  /** File of what is heard, beside this one; empty for a shot without sound. */
  sound: string;
  shot: Shot;
}

/**
 * A file as it was fetched.
 *
 * @throws Error that says in a sentence what is wrong with it
 */
export function readFace(text: string, name: string): FaceFile {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new Error(`${name} is not whole: it is no JSON.`);
  }
  const file = json as Partial<FaceFile> | null;
  if (file?.format !== 'leeward-face') throw new Error(`${name} is no face.`);
  if (file.version !== 1)
    throw new Error(`${name} is of version ${String(file.version)}; this element reads version 1.`);
  for (const key of ['character', 'artwork', 'images', 'lines', 'views'] as const)
    if (typeof file[key] !== 'object' || file[key] === null)
      throw new Error(`${name} is not whole: ${key} is missing.`);
  return file as FaceFile;
}
