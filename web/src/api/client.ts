import { isAway } from './connection';
import { Refusal } from './refusal';
import type {
  CharacterView,
  RunsView,
  Edit,
  ShotEdit,
  Frame,
  BentView,
  WordSounds,
  LineView,
  LineMade,
  ReadingView,
  LineOfScript,
  PoseBody,
  Item,
  Template,
  Step,
  WhyView,
  Joint,
  Redrawn,
  IntakeReport,
  EyesView,
  ExporterView,
  ExportView,
  TransferView,
  FindingsView,
  BrowsView,
  LooksView,
  WorstView,
  WallView,
  MouthRulers,
  PreviewView,
  SaidView,
  VersionView,
  HandsView,
  TurnView,
  DialView,
  ExactView,
  Artwork,
  Schemas,
} from './model';
import { ask, call, get, post, step, send } from './http';

export { Refusal };
export type * from './model';

/** Whoever waits for a recording to be read: told how far it is, and can end it. */
export interface Waiting {
  heard: (reading: ReadingView) => void;
  signal: AbortSignal;
}

const LOOK_AGAIN = 300;

const pause = () => new Promise((r) => setTimeout(r, LOOK_AGAIN));

/** Asks until somebody answers, or nobody waits any more. */
async function whenAnswered<T>(ask: () => Promise<T>, signal: AbortSignal): Promise<T> {
  for (;;) {
    try {
      return await ask();
    } catch (e) {
      if (!(e instanceof Refusal) || !isAway(e) || signal.aborted) throw e;
    }
    await pause();
  }
}

/**
 * Waits until a recording has been read: it is in the queue whether the server answers now or not. When the waiting is given up
 * the reading is ended with it.
 *
 * @returns the line
 */
export async function read(asked: Promise<ReadingView>, { heard, signal }: Waiting): Promise<LineView> {
  let reading = await asked;
  for (;;) {
    heard(reading);
    const { id, state, line, problem } = reading;
    if (state === 'DONE') return whenAnswered(() => get<LineView>(`/lines/${line}`), signal);
    if (state === 'REFUSED')
      throw new Refusal(
        422,
        problem?.code ?? 'unknown',
        problem?.place ?? '',
        problem?.detail ?? 'The recording could not be read.',
      );
    if (state === 'CANCELLED') throw new DOMException('cancelled', 'AbortError');
    if (signal.aborted) {
      reading = await post<ReadingView>(`/readings/${id}/cancel`, {});
      continue;
    }
    await pause();
    reading = await whenAnswered(() => get<ReadingView>(`/readings/${id}`), signal);
  }
}

/** A moment: a pose held by hand, alone or over a frame of a line. */
export interface Moment {
  pose: PoseBody;
  line?: string;
  frame?: number;
  /** Of the character; the newest when left out. */
  revision?: number;
  /** An edit a hand is in the middle of: shown, not made. */
  draft?: Edit;
  joints?: boolean;
}

/** What is preferred by who knows the document after a change (RFC 7240). */
const MINIMAL = { Prefer: 'return=minimal' };

export const api = {
  templates: () => get<Template[]>('/templates'),
  beginTemplate: (id: string) => post<CharacterView>(`/templates/${id}`, {}),
  characters: () => get<{ items: Item[]; total: number }>('/characters?size=1000'),
  character: (id: string) => get<CharacterView>(`/characters/${id}`),
  characterAt: (id: string, revision: number) => get<CharacterView>(`/characters/${id}?revision=${revision}`),
  artwork: (id: string, revision: number) => get<Artwork>(`/characters/${id}/artwork?revision=${revision}`),
  intake: (id: string) => get<IntakeReport>(`/characters/${id}/intake`),
  returnTo: (id: string, base: number, to: number) =>
    post<CharacterView>(`/characters/${id}/return`, { base, to }),
  milestone: async (id: string, number: number, name: string): Promise<void> => {
    await call(`/characters/${id}/milestones`, {
      method: 'POST',
      body: JSON.stringify({ number, name }),
      headers: { 'Content-Type': 'application/json' },
    });
  },
  charactersAway: () => get<{ items: Item[]; total: number }>('/characters?size=1000&away=true'),
  putAway: (id: string) => call(`/characters/${id}/put-away`, { method: 'POST' }),
  card: (id: string) => get<Schemas['CardView']>(`/characters/${id}/card`),
  duplicateCharacter: (id: string) => post<CharacterView>(`/characters/${id}/duplicate`, {}),
  latestShots: (size: number) => get<Schemas['RecentShot'][]>(`/shots/latest?size=${size}`),
  faceUrl: (id: string, revision: number) => `/api/v1/characters/${id}/face.png?revision=${revision}`,
  momentsUrl: (shot: { id: string; revision: number; of: number }) =>
    `/api/v1/lines/${shot.id}/moments.png?revision=${shot.revision}&of=${shot.of}`,
  bringBack: (id: string) => call(`/characters/${id}/bring-back`, { method: 'POST' }),
  /**
   * @param as what a bundle's character is to be called, or that it comes in place of the one of its name; a name that is taken is
   *   refused (`name-taken`, with the name as its place)
   */
  readCharacter: (file: File, as?: { name: string } | 'over') =>
    send<CharacterView>('/characters', {
      file,
      ask: 'true',
      ...(as === 'over' ? { over: 'true' } : as ? { name: as.name } : {}),
    }),
  compareVersion: (id: string, file: File) => send<VersionView>(`/characters/${id}/versions`, { file }),
  takeVersion: (id: string, base: number, file: File, keys: string[]) =>
    send<CharacterView>(`/characters/${id}/versions/taken`, {
      file,
      base: String(base),
      keys: keys.join(','),
    }),
  transfer: (id: string, other: string) => get<TransferView>(`/characters/${id}/from/${other}`),
  transferSheet: (id: string, other: string, key: string) =>
    get<{ captions: string[] }>(`/characters/${id}/from/${other}/sheet?${new URLSearchParams({ key })}`),
  takeFrom: (id: string, base: number, other: string, keys: string[]) =>
    step<CharacterView>(`/characters/${id}/from/${other}`, { base, keys }),
  edit: (id: string, base: number, edit: Edit) =>
    step<CharacterView>(`/characters/${id}/edits`, { base, edit }),
  undo: (id: string, base: number) => step<CharacterView>(`/characters/${id}/undo`, { base }),
  redo: (id: string, base: number) => step<CharacterView>(`/characters/${id}/redo`, { base }),
  pose: (id: string, moment: Moment, signal?: AbortSignal) =>
    post<{ revision: number; frame: Frame; joints: Joint[]; redrawn: Redrawn[] }>(
      `/characters/${id}/pose`,
      moment,
      signal,
    ),
  findings: (id: string, checks: string[]) =>
    get<FindingsView>(`/characters/${id}/findings?${checks.map((c) => `check=${c}`).join('&')}`),
  safeMends: (id: string) => get<Schemas['SafeMendsView']>(`/characters/${id}/safe-mends`),
  shotFindings: (line: string) => get<Schemas['ShotFindingsView']>(`/lines/${line}/findings`),
  eyes: (id: string, moment: Moment) => post<EyesView>(`/characters/${id}/eyes`, moment),
  brows: (id: string, pose: PoseBody) => post<BrowsView>(`/characters/${id}/brows`, { pose }),
  looks: (id: string) => get<LooksView>(`/characters/${id}/looks`),
  mouths: (id: string) => post<WallView>(`/characters/${id}/mouths`, {}),
  previewMouths: (id: string, rulers: MouthRulers, own: Record<string, MouthRulers>) =>
    post<PreviewView>(`/characters/${id}/mouths/preview`, { rulers, own }),
  sayWords: (id: string, text: string, pace: number, mood: string, aloud = false) =>
    post<SaidView>(`/characters/${id}/mouths/say`, { text, pace, mood, aloud }),
  chartUrl: (id: string, mood: string, kind: 'svg' | 'pdf') =>
    `/api/v1/characters/${id}/mouths/chart.${kind}${mood ? `?mood=${encodeURIComponent(mood)}` : ''}`,
  runs: (id: string) => get<RunsView>(`/characters/${id}/runs`),
  bent: (id: string, part: string, by: number) =>
    get<BentView>(`/characters/${id}/hands/${encodeURIComponent(part)}/bent?by=${by}`),
  hands: (id: string) => get<HandsView>(`/characters/${id}/hands`),
  turn: (id: string) => get<TurnView>(`/characters/${id}/turn`),
  exactTurn: (id: string, pose: PoseBody, pictures: number) =>
    post<ExactView>(`/characters/${id}/turn/exact`, { pose, pictures }),
  dial: (id: string, dial: string) =>
    post<DialView>(`/characters/${id}/dials/${encodeURIComponent(dial)}`, {}),
  worst: (id: string) => post<WorstView>(`/characters/${id}/worst`, {}),
  why: (id: string, moment: Moment, part: string) =>
    post<WhyView>(`/characters/${id}/why`, { ...moment, part }),
  lines: (id: string) => get<{ items: Item[] }>(`/characters/${id}/lines?size=1000`),
  linesAway: (id: string) => get<{ items: Item[] }>(`/characters/${id}/lines?size=1000&away=true`),
  duplicateLine: (id: string) => post<LineView>(`/lines/${id}/duplicate`, {}),
  putLineAway: async (id: string): Promise<void> => {
    await call(`/lines/${id}/put-away`, { method: 'POST' });
  },
  bringLineBack: async (id: string): Promise<void> => {
    await call(`/lines/${id}/bring-back`, { method: 'POST' });
  },
  script: (text: string, signal?: AbortSignal) => post<LineOfScript[]>('/scripts', { text }, signal),
  keepRecording: (id: string, sound: File, signal: AbortSignal) =>
    ask<Schemas['Kept']>(`/characters/${id}/recordings?name=${encodeURIComponent(sound.name)}`, {
      method: 'POST',
      body: sound,
      headers: { 'Content-Type': 'application/octet-stream' },
      signal,
    }),
  cutRecording: (recording: string, asked: Schemas['CutBody']) =>
    post<ReadingView>(`/recordings/${recording}/cut`, asked),
  timingGrid: (text: string) => post<Schemas['GridView']>('/timing-grids', { text }),
  timedLine: (
    id: string,
    sound: File,
    grid: string,
    as: { sounds: number; words: number; meant: Record<string, string | undefined> },
  ) =>
    send<LineView>(`/characters/${id}/timed-lines`, {
      sound,
      grid: new File([grid], 'line.TextGrid'),
      sounds: String(as.sounds),
      words: String(as.words),
      meant: JSON.stringify(as.meant),
    }),
  dismissReading: async (id: string): Promise<void> => {
    await call(`/readings/${id}/dismiss`, { method: 'POST' });
  },
  line: (id: string) => get<LineView>(`/lines/${id}`),
  lineAt: (id: string, revision: number) => get<LineView>(`/lines/${id}?revision=${revision}`),
  returnLine: (id: string, base: number, to: number) => step<LineView>(`/lines/${id}/return`, { base, to }),
  recordLine: (id: string, sound: File, words: string, waiting: Waiting) =>
    read(send<ReadingView>(`/characters/${id}/lines`, { sound, words }), waiting),
  readings: (id: string) => get<ReadingView[]>(`/characters/${id}/readings`),
  cancelReading: (id: string) => post<ReadingView>(`/readings/${id}/cancel`, {}),
  editLine: (id: string, base: number, edit: ShotEdit) =>
    step<LineView>(`/lines/${id}/edits`, { base, edit }),
  /** The same where the shot after the edit is known here: it comes back only where others edited too or it is said otherwise. */
  madeLine: (id: string, base: number, edit: ShotEdit) =>
    step<LineView | LineMade>(`/lines/${id}/edits`, { base, edit }, MINIMAL),
  /** Says which revision the shot is again; the shot itself is asked for where that is not known here. */
  stepLine: (id: string, base: number, back: boolean) =>
    step<LineMade>(`/lines/${id}/${back ? 'undo' : 'redo'}`, { base }, MINIMAL),
  /** @param at the frame the line begins at that is read with other words */
  words: (id: string, base: number, at: number, words: string, waiting: Waiting) =>
    read(post<ReadingView>(`/lines/${id}/words`, { base, at, words }), waiting),
  pronounce: (id: string, base: number, at: number, word: string, soundsLike: string, waiting: Waiting) =>
    read(post<ReadingView>(`/lines/${id}/pronounce`, { base, at, word, soundsLike }), waiting),
  retake: (id: string, base: number, at: number, sound: File, waiting: Waiting) =>
    read(send<ReadingView>(`/lines/${id}/takes`, { sound, base: String(base), at: String(at) }), waiting),
  wordSounds: (id: string, word: string) =>
    get<WordSounds>(`/characters/${id}/word-sounds?word=${encodeURIComponent(word)}`),
  takeLexicon: (id: string, base: number, file: File) =>
    send<CharacterView>(`/characters/${id}/lexicon`, { file, base: String(base) }),
  lexiconUrl: (id: string) => `/api/v1/characters/${id}/lexicon.dict`,
  boothUrl: (phones: string[]) => `/api/v1/booth.wav?sounds=${encodeURIComponent(phones.join(' '))}`,
  again: (id: string, base: number, at: number, from: number, to: number) =>
    post<LineView>(`/lines/${id}/again`, { base, at, from, to }),
  peaks: (id: string, count: number) => get<number[]>(`/lines/${id}/peaks?count=${count}`),
  history: (kind: 'characters' | 'lines', id: string) =>
    get<{ steps: Step[]; total: number }>(`/${kind}/${id}/history?size=40`),
  /** @param of tells states of the shot that sound otherwise apart */
  soundUrl: (id: string, of: string) => `/api/v1/lines/${id}/sound.wav?of=${of}`,
  beginShot: (id: string, name: string, line?: string, frames?: number) =>
    post<LineView>(`/characters/${id}/shots`, { name, line, frames }),
  firstPass: (id: string, asked: Schemas['FirstPassBody']) =>
    post<LineView>(`/lines/${id}/first-pass`, asked),
  placeLine: (id: string, base: number, at: number, from: string) =>
    post<LineView>(`/lines/${id}/place`, { base, at, from }),
  exporters: () => get<ExporterView[]>('/exporters'),
  losses: (id: string, line?: string) =>
    get<Record<string, string[]>>(`/characters/${id}/losses${line ? `?line=${line}` : ''}`),
  exports: (id: string) => get<ExportView[]>(`/characters/${id}/exports`),
  askExport: (
    id: string,
    exporters: string[],
    together: boolean,
    moment: HandedMoment,
    options: Record<string, number>,
  ) => {
    const { pose, line, frame } = moment;
    return post<ExportView>(`/characters/${id}/exports`, { exporters, together, pose, line, frame, options });
  },
  cancelExport: (id: string) => post<ExportView>(`/exports/${id}/cancel`, {}),
  removeExport: (id: string) => call(`/exports/${id}`, { method: 'DELETE' }),
};

/** What is handed over: a pose, or a frame of a shot; and the shot, for what is made of one. */
export interface HandedMoment {
  pose?: PoseBody;
  line?: string;
  frame?: number;
}
