import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { LiveTake } from 'page-core';

/** What somebody did by hand while a shot ran, kept in this browser until it is thrown away. */
export interface KeptTake {
  id: string;
  /** The shot it was played over. */
  line: string;
  /** When it was begun. */
  at: string;
  take: LiveTake;
  /** The voice that was spoken, among the takes of sound. */
  voice?: string;
  /** False for one that broke off with the page. */
  ended: boolean;
}

interface Shelf extends DBSchema {
  takes: { key: string; value: KeptTake; indexes: { line: string } };
}

let shelf: Promise<IDBPDatabase<Shelf>> | null = null;

function opened(): Promise<IDBPDatabase<Shelf>> {
  shelf ??= openDB<Shelf>('leeward-live', 1, {
    upgrade: (db) => void db.createObjectStore('takes', { keyPath: 'id' }).createIndex('line', 'line'),
  });
  return shelf;
}

export async function keepTake(take: KeptTake): Promise<void> {
  await (await opened()).put('takes', take);
}

/** In the order they were played. */
export async function takesOver(line: string): Promise<KeptTake[]> {
  const all = await (await opened()).getAllFromIndex('takes', 'line', line);
  return all.sort((a, b) => a.at.localeCompare(b.at));
}

export async function dropTake(id: string): Promise<void> {
  await (await opened()).delete('takes', id);
}
