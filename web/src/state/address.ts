import { BENCHES, type Bench } from './benches';
import type { Desk } from './desk';

/** The desk as a part of the address, and back. Unknown or broken pieces are dropped. */
export function toHash(d: Desk): string {
  const q = new URLSearchParams();
  if (d.home) q.set('home', '');
  if (d.character) q.set('c', d.character);
  q.set('b', d.bench);
  for (const [k, v] of Object.entries(d.dials)) q.set(`d.${k}`, String(Math.round(v * 1000) / 1000));
  for (const [k, v] of Object.entries(d.picks)) q.set(`k.${k}`, v);
  for (const [k, v] of Object.entries(d.pins)) q.set(`p.${k}`, v);
  for (const [k, v] of Object.entries(d.looks)) q.set(`x.${k}`, String(Math.round(v * 1000) / 1000));
  if (d.line) q.set('l', d.line);
  if (d.frame > 0) q.set('f', String(d.frame));
  if (d.part) q.set('part', d.part);
  if (d.dial) q.set('dial', d.dial);
  if (d.also.length) q.set('also', d.also.join(' '));
  for (const what of ['hidden', 'locked', 'solo'] as const)
    if (d[what].length) q.set(what, d[what].join(' '));
  return `#${q.toString()}`;
}

export function fromHash(hash: string): Partial<Desk> {
  const q = new URLSearchParams(hash.replace(/^#/, ''));
  const dials: Record<string, number> = {};
  const picks: Record<string, string> = {};
  const pins: Record<string, string> = {};
  const looks: Record<string, number> = {};
  for (const [k, v] of q) {
    const value = Number(v);
    if (k.startsWith('d.') && Number.isFinite(value)) dials[k.slice(2)] = value;
    if (k.startsWith('x.') && Number.isFinite(value)) looks[k.slice(2)] = value;
    if (k.startsWith('k.')) picks[k.slice(2)] = v;
    if (k.startsWith('p.')) pins[k.slice(2)] = v;
  }
  const list = (key: string) => (q.get(key) ?? '').split(' ').filter((s) => s !== '');
  const bench = q.get('b') as Bench;
  const frame = Number(q.get('f') ?? 0);
  return {
    character: q.get('c') || null,
    // an address that names nothing is that of the whole house
    home: q.has('home') || [...q].length === 0,
    bench: BENCHES.includes(bench) ? bench : 'lines',
    dials,
    picks,
    pins,
    looks,
    line: q.get('l'),
    frame: Number.isInteger(frame) && frame > 0 ? frame : 0,
    part: q.get('part'),
    dial: q.get('dial'),
    also: list('also'),
    hidden: list('hidden'),
    locked: list('locked'),
    solo: list('solo'),
  };
}

export type Place = Pick<Desk, 'home' | 'character' | 'bench' | 'line'>;

/**
 * Whether somebody went somewhere that the browser's own Back leads away from again: to another character, bench or line, or to all
 * characters. A first line that comes by itself, or a character when none was named, is not gone to.
 */
export function wentOn(from: Place, to: Place): boolean {
  if (from.home !== to.home) return true;
  if (to.home) return false;
  const character = from.character !== to.character && from.character !== null;
  return (
    character || from.bench !== to.bench || (from.line !== to.line && from.line !== null && to.line !== null)
  );
}
