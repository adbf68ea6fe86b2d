import type { Character, Item } from '../api/client';
import { useDesk } from '../state/desk';
import { BENCH_NAMES, BENCHES, posesParts } from '../state/benches';

/** Something that is found by its name. */
export interface Entry {
  /** Told apart from all others by it. */
  id: string;
  name: string;
  /** What it is called besides, in nobody's sight: what somebody may type instead. */
  also?: string | undefined;
  /** The key that does the same. */
  key?: string | undefined;
  /** What it belongs to or shows. */
  of?: string | undefined;
  run: () => void;
}

export interface Group {
  name: string;
  entries: Entry[];
}

/** The benches, in the order of the work. */
export function benches(): Group {
  return {
    name: 'Benches',
    entries: BENCHES.map((b) => ({
      id: `bench ${b}`,
      name: BENCH_NAMES[b],
      run: () => useDesk.setState({ home: false, ...goTo(b) }),
    })),
  };
}

const goTo = (bench: (typeof BENCHES)[number]) => ({
  bench,
  shaping: null,
  recording: false,
  together: null,
  solids: false,
});

/** What one character has, by name: its parts and drawings, its dials, what it wears and how it can look. */
export function ofCharacter(c: Character, playCue: (cue: string) => void): Group[] {
  const desk = useDesk.getState;
  const { keys, kits, looks, cues } = c.library;
  const keyOf = (part: string, drawing: string) =>
    keys.find((k) => k.part === part && k.drawing === drawing)?.key;
  return [
    {
      name: 'Dials',
      entries: c.controls.dials.map((d) => ({
        id: `dial ${d.id}`,
        name: d.name,
        also: 'ruler',
        run: () => {
          desk().go('turn');
          desk().openDial(d.id);
        },
      })),
    },
    {
      name: 'Looks',
      entries: looks.map((l) => ({
        id: `look ${l.id}`,
        name: l.name,
        of: l.collection,
        run: () => desk().look(l.id, (desk().looks[l.id] ?? 0) > 0 ? 0 : 1),
      })),
    },
    {
      name: 'Cues',
      entries: cues.map((q) => ({ id: `cue ${q.id}`, name: q.name, also: 'play', run: () => playCue(q.id) })),
    },
    {
      name: 'Kits',
      entries: kits.map((k) => ({
        id: `kit ${k.id}`,
        name: k.name,
        key: k.key || undefined,
        also: 'wear',
        run: () => desk().wear(k.choices as Record<string, string>),
      })),
    },
    {
      name: 'Parts',
      entries: c.rig.parts.map((p) => ({
        id: `part ${p.id}`,
        name: p.name,
        also: p.role.toLowerCase().replaceAll('_', ' '),
        run: () => {
          if (!posesParts(desk().bench)) desk().go('parts');
          desk().select(p.id);
        },
      })),
    },
    {
      name: 'Drawings',
      entries: c.rig.parts
        .filter((p) => p.drawings.length > 1)
        .flatMap((p) =>
          p.drawings.map((d) => ({
            id: `drawing ${p.id} ${d.id}`,
            name: d.name,
            of: p.name,
            key: keyOf(p.id, d.id),
            run: () => desk().pick(p.id, d.id),
          })),
        ),
    },
  ];
}

/** Shots of the open character. */
export function shots(lines: Item[]): Group {
  return {
    name: 'Shots',
    entries: lines.map((l) => ({
      id: `shot ${l.id}`,
      name: l.name || 'A shot',
      also: 'line',
      run: () => useDesk.getState().say(l.id),
    })),
  };
}

export function characters(all: Item[], open: string | null): Group {
  return {
    name: 'Characters',
    entries: all
      .filter((c) => c.id !== open)
      .map((c) => ({ id: `character ${c.id}`, name: c.name, run: () => useDesk.getState().open(c.id) })),
  };
}

const plain = (s: string) =>
  s
    .toLocaleLowerCase()
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '');

/**
 * How well an entry is what somebody types, 0 for not at all: its name from the start best, then the start of a word, then words in
 * any order, then letters within one. All that is typed must be found.
 */
export function fit(name: string, also: string, typed: string): number {
  const wanted = plain(typed).trim();
  if (wanted === '') return 1;
  const [n, more] = [plain(name), plain(also)];
  if (n === wanted) return 1;
  if (n.startsWith(wanted)) return 0.9;
  if (n.split(/[\s/–-]+/).some((w) => w.startsWith(wanted))) return 0.8;
  const words = wanted.split(/\s+/);
  const all = `${n} ${more}`;
  if (words.every((w) => all.split(/[\s/–-]+/).some((x) => x.startsWith(w)))) return 0.7;
  if (words.every((w) => all.includes(w))) return 0.5;
  return 0;
}
