import type { Character, KitSpan, LookSpan, MoodSpan, ShotEdit, ShotNote, TimingSpan } from '../api/client';
import { MOODS, TIMINGS } from './tracks';
import { type Item } from './item';
import { overlaid } from './item';

export function lookItems(looks: LookSpan[], character: Character): Item[] {
  return looks.map((span) => {
    const look = character.library.looks.find((l) => l.id === span.look);
    return {
      id: `look ${span.look} ${span.from}`,
      track: { sort: 'LOOKS' as const, of: '' },
      from: span.from,
      to: span.to,
      label: look?.name ?? span.look,
      more: `${Math.round(span.strength * 100)} %`,
      gone: !look,
      laid: span.laid?.why ?? '',
      of: { kind: 'look' as const, span },
      over: (from: number, to: number): ShotEdit => ({
        kind: 'set-look',
        was: span.from,
        span: { ...span, laid: undefined, from, to: Math.max(from + 1, to) },
      }),
      ends: true,
    };
  });
}

export function kitItems(kits: KitSpan[], character: Character): Item[] {
  return kits.map((span) => {
    const kit = character.library.kits.find((k) => k.id === span.kit);
    return {
      id: `kit ${span.kit} ${span.from}`,
      track: { sort: 'KITS' as const, of: '' },
      from: span.from,
      to: span.to,
      label: kit?.name ?? span.kit,
      more: kit?.set ?? '',
      gone: !kit,
      laid: '',
      of: { kind: 'kit' as const, span },
      over: (from: number, to: number): ShotEdit => ({
        kind: 'wear-kit',
        was: span.from,
        span: { ...span, from, to: Math.max(from + 1, to) },
      }),
      ends: true,
    };
  });
}

export function noteItems(notes: ShotNote[]): Item[] {
  return notes.map((note) => ({
    id: `note ${note.from} ${note.text}`,
    track: { sort: 'NOTES' as const, of: '' },
    from: note.from,
    to: note.to,
    label: note.author || 'note',
    more: note.text,
    gone: false,
    laid: '',
    of: { kind: 'note' as const, note },
    over: (from: number, to: number): ShotEdit => ({
      kind: 'write-note',
      was: note.from,
      note: { ...note, from, to: Math.max(from + 1, to) },
    }),
    ends: true,
  }));
}

export function moodItems(moods: MoodSpan[], character: Character): Item[] {
  return moods.map((span) => {
    const mood = character.voice.mouths.moods.find((m) => m.id === span.mood);
    return {
      id: `mood ${span.from}`,
      track: MOODS,
      from: span.from,
      to: span.to,
      label: span.mood === '' ? 'neutral' : (mood?.name ?? span.mood),
      more: '',
      gone: span.mood !== '' && !mood,
      laid: '',
      of: { kind: 'mood' as const, span },
      over: overlaid(MOODS, span, (from, to) => ({
        kind: 'feel-along',
        span: { from, to, mood: span.mood },
      })),
      ends: true,
    };
  });
}

export function timingItems(timings: TimingSpan[]): Item[] {
  return timings.map((span) => ({
    id: `timing ${span.from}`,
    track: TIMINGS,
    from: span.from,
    to: span.to,
    label: `lead ${span.lead}`,
    more: `held ${span.minimumHold}`,
    gone: false,
    laid: '',
    of: { kind: 'timing' as const, span },
    over: overlaid(TIMINGS, span, (from, to) => ({ kind: 'time-along', span: { ...span, from, to } })),
    ends: true,
  }));
}
