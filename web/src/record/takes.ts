import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { later, wavOf } from './wav';

/** A take with nothing louder in it holds no speech. */
export const SPOKEN = 0.02;

/** One take of somebody speaking, kept in this browser until it is thrown away. */
export interface Take {
  id: string;
  character: string;
  /** The line it is another take of; empty for a new one. */
  line: string;
  /** When it was begun. */
  at: string;
  rate: number;
  /** How many samples of it are kept. */
  samples: number;
  /** The loudest sample, 0 to 1. */
  peak: number;
}

interface Shelf extends DBSchema {
  takes: { key: string; value: Take; indexes: { line: [string, string] } };
  pieces: { key: [string, number]; value: Int16Array };
}

let shelf: Promise<IDBPDatabase<Shelf>> | null = null;

function opened(): Promise<IDBPDatabase<Shelf>> {
  shelf ??= openDB<Shelf>('leeward-takes', 1, {
    upgrade(db) {
      db.createObjectStore('takes', { keyPath: 'id' }).createIndex('line', ['character', 'line']);
      db.createObjectStore('pieces');
    },
  });
  return shelf;
}

/** Keeps a piece of a take as soon as it was heard: what ends the page in the middle of it leaves what was said until then. */
export async function keepPiece(take: Take, number: number, piece: Int16Array): Promise<void> {
  const db = await opened();
  const work = db.transaction(['takes', 'pieces'], 'readwrite');
  await Promise.all([
    work.objectStore('pieces').put(piece, [take.id, number]),
    work.objectStore('takes').put(take),
    work.done,
  ]);
}

/** The takes of a line, the latest first. */
export async function takesOf(character: string, line: string): Promise<Take[]> {
  const db = await opened();
  const all = await db.getAllFromIndex('takes', 'line', [character, line]);
  return all.sort((a, b) => b.at.localeCompare(a.at));
}

/** A take by its id; undefined when it was thrown away. */
export async function takeBy(id: string): Promise<Take | undefined> {
  return (await opened()).get('takes', id);
}

const everything = (id: string) => IDBKeyRange.bound([id, 0], [id, Number.MAX_SAFE_INTEGER]);

/** @param lead seconds of silence before it; below 0, seconds of it that are left out */
export async function fileOf(take: Take, name: string, lead = 0): Promise<File> {
  const db = await opened();
  const pieces = later(await db.getAll('pieces', everything(take.id)), Math.round(lead * take.rate));
  return new File([wavOf(pieces, take.rate)], name, { type: 'audio/wav' });
}

export async function throwAway(id: string): Promise<void> {
  const db = await opened();
  const work = db.transaction(['takes', 'pieces'], 'readwrite');
  await Promise.all([
    work.objectStore('pieces').delete(everything(id)),
    work.objectStore('takes').delete(id),
    work.done,
  ]);
}
