import { heardOf } from '../rules/rules';
import { isAway, useConnection } from './connection';
import { Refusal } from './refusal';
import type { components } from './schema';

export { Refusal };

type Schemas = components['schemas'];
export type CharacterView = Schemas['CharacterView'];
export type Character = Schemas['Character'];
export type Part = Schemas['Part'];
export type Kit = Schemas['Kit'];
export type DrawnRun = Schemas['DrawnRun'];
export type RunSheet = Schemas['RunSheet'];
export type RunsView = Schemas['RunsView'];
export type Drawing = Schemas['Drawing'];
export type Dial = Schemas['Dial'];
export type Edit = Schemas['Edit'];
export type ShotEdit = Schemas['ShotEdit'];
export type Frame = Schemas['Frame'];
export type Placed = Schemas['Placed'];
export type BentView = Schemas['BentView'];
export type Gesture = Schemas['Gesture'];
export type Shot = Schemas['Shot'];
export type Tracks = Schemas['Tracks'];
export type Track = Schemas['Track'];
export type Strip = Schemas['Strip'];
export type DialKey = Schemas['DialKey'];
export type Way = Schemas['Way'];
export type HeldDrawing = Schemas['HeldDrawing'];
export type LookSpan = Schemas['LookSpan'];
export type Mood = Schemas['Mood'];
export type MoodSpan = Schemas['MoodSpan'];
export type KitSpan = Schemas['KitSpan'];
export type TimingSpan = Schemas['TimingSpan'];
export type CuePlacement = Schemas['CuePlacement'];
export type ShotNote = Schemas['ShotNote'];
export type DialogueLine = Schemas['DialogueLine'];
export type WordSounds = Schemas['WordSounds'];
export type PlacedLine = Schemas['PlacedLine'];
export type LineView = Schemas['LineView'];
export type ReadingView = Schemas['ReadingView'];
export type TierView = Schemas['TierView'];
export type LineOfScript = Schemas['LineOfScript'];
export type PoseBody = Schemas['PoseBody'];
export type Reason = Schemas['Reason'];
export type Shape = Schemas['Shape'];
export type Item = Schemas['Item'];
export type Template = Schemas['TemplateView'];
export type Step = Schemas['Step'];
export type WhyView = Schemas['WhyView'];
export type Joint = Schemas['Joint'];
export type Redrawn = Schemas['Redrawn'];
export type Placement = Schemas['Placement'];
export type IntakeReport = Schemas['IntakeReport'];
export type Recognition = Schemas['Recognition'];
export type Slot = Schemas['Slot'];
export type EyesView = Schemas['EyesView'];
export type ExporterView = Schemas['ExporterView'];
export type ExportView = Schemas['ExportView'];
export type Finding = Schemas['Finding'];
export type TransferItem = Schemas['TransferItem'];
export type TransferView = Schemas['TransferView'];
export type SafeMend = Schemas['SafeMend'];
export type FindingsView = Schemas['FindingsView'];
export type ShotFinding = Schemas['ShotFinding'];
export type BrowsView = Schemas['BrowsView'];
export type LooksView = Schemas['LooksView'];
export type Look = Schemas['Look'];
export type Cue = Schemas['Cue'];
export type Blink = Schemas['Blink'];
export type WorstView = Schemas['WorstView'];
export type WallView = Schemas['WallView'];
export type MouthRulers = Schemas['MouthRulers'];
export type PreviewView = Schemas['PreviewView'];
export type SaidView = Schemas['SaidView'];
export type VersionView = Schemas['VersionView'];
export type ChangeView = Schemas['ChangeView'];
export type Swatch = Schemas['Swatch'];
export type ViewSet = Schemas['ViewSet'];
export type HandsView = Schemas['HandsView'];
export type Wrist = Schemas['Wrist'];
export type TurnView = Schemas['TurnView'];
export type DialView = Schemas['DialView'];
export type Ease = Schemas['Ease'];
export type Stop = Schemas['Stop'];
export type HeadShape = Schemas['HeadShape'];
export type SolidPiece = Schemas['SolidPiece'];
export type Solid = Schemas['Solid'];
export type ExactView = Schemas['ExactView'];
export type Artwork = Record<string, Shape[]>;

async function refusal(response: Response): Promise<Refusal> {
  try {
    const p = await response.json();
    return new Refusal(
      response.status,
      p.code ?? 'unknown',
      p.place ?? '',
      p.detail ?? response.statusText,
      told(p.since ?? [], p.sinceAll ?? 0),
    );
  } catch {
    return new Refusal(response.status, 'unknown', '', `The server answered ${response.status}.`);
  }
}

/** What was done in the meantime, and that there was more of it than is told. */
function told(since: string[], all: number): string[] {
  return all > since.length ? [`… and ${all - since.length} earlier changes`, ...since] : since;
}

/** The value that shows a write to come from this page. The server gave it in a cookie, which other pages cannot read. */
function token(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '';
}

async function ask(path: string, init?: RequestInit): Promise<Response> {
  const writes = init?.method !== undefined && init.method !== 'GET';
  try {
    return await fetch(
      `/api/v1${path}`,
      writes ? { ...init, headers: { ...init.headers, 'X-XSRF-TOKEN': token() } } : init,
    );
  } catch (e) {
    if (e instanceof DOMException && e.name === 'AbortError') throw e;
    throw new Refusal(0, 'offline', '', 'The server does not answer. Nothing accepted is lost.');
  }
}

async function call(path: string, init?: RequestInit): Promise<Response> {
  try {
    let response = await ask(path, init);
    if (response.status === 403 && token() === '') {
      // cookies were cleared while the page was open: any answer brings a new one
      await ask('/characters?size=1');
      response = await ask(path, init);
    }
    heardOf(response.headers.get('Leeward-Rules'));
    if (!response.ok) throw await refusal(response);
    useConnection.getState().answered();
    return response;
  } catch (e) {
    if (e instanceof Refusal) useConnection.getState().refused(e);
    throw e;
  }
}

async function get<T>(path: string, signal?: AbortSignal): Promise<T> {
  return (await call(path, { signal })).json();
}

async function post<T>(path: string, body: unknown, signal?: AbortSignal, more?: RequestInit): Promise<T> {
  const init = {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'Content-Type': 'application/json' },
    signal,
    ...more,
  };
  return (await call(path, init)).json();
}

/** Longest body, in letters, that a browser goes on sending when the page is left. */
const KEPT_ALIVE = 30_000;

/** A step is seen before it is answered, so it goes on its way even when the page is reloaded in that moment. */
async function step<T>(path: string, body: object): Promise<T> {
  const count = (by: number) => useConnection.setState((s) => ({ sending: s.sending + by }));
  count(1);
  try {
    return await post<T>(path, body, undefined, { keepalive: JSON.stringify(body).length < KEPT_ALIVE });
  } finally {
    count(-1);
  }
}

async function send<T>(path: string, parts: Record<string, string | File>): Promise<T> {
  const form = new FormData();
  for (const [name, value] of Object.entries(parts)) form.append(name, value);
  return (await call(path, { method: 'POST', body: form })).json();
}

/** Whoever waits for a recording to be read: told how far it is, and can end it. */
export interface Waiting {
  heard: (reading: ReadingView) => void;
  signal: AbortSignal;
}

const LOOK_AGAIN = 300;

/**
 * Waits until a recording has been read. When the waiting is given up the reading is ended with it.
 *
 * @returns the line
 */
async function read(asked: Promise<ReadingView>, { heard, signal }: Waiting): Promise<LineView> {
  let reading = await asked;
  for (;;) {
    heard(reading);
    if (reading.state === 'DONE') return get<LineView>(`/lines/${reading.line}`);
    if (reading.state === 'REFUSED')
      throw new Refusal(
        422,
        reading.problem?.code ?? 'unknown',
        reading.problem?.place ?? '',
        reading.problem?.detail ?? 'The recording could not be read.',
      );
    if (reading.state === 'CANCELLED') throw new DOMException('cancelled', 'AbortError');
    if (signal.aborted) {
      reading = await post<ReadingView>(`/readings/${reading.id}/cancel`, {});
      continue;
    }
    await new Promise((r) => setTimeout(r, LOOK_AGAIN));
    try {
      reading = await get<ReadingView>(`/readings/${reading.id}`);
    } catch (e) {
      // it is in the queue whether the server answers now or not
      if (!(e instanceof Refusal) || !isAway(e)) throw e;
    }
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
  /** @param name what a bundle's character is to be called; one that is taken is refused (`name-taken`, with the name as its place) */
  readCharacter: (file: File, name?: string) =>
    send<CharacterView>('/characters', { file, ask: 'true', ...(name === undefined ? {} : { name }) }),
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
  keepRecording: async (id: string, sound: File, signal: AbortSignal) =>
    (
      await call(`/characters/${id}/recordings?name=${encodeURIComponent(sound.name)}`, {
        method: 'POST',
        body: sound,
        headers: { 'Content-Type': 'application/octet-stream' },
        signal,
      })
    ).json() as Promise<Schemas['Kept']>,
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
  undoLine: (id: string, base: number) => step<LineView>(`/lines/${id}/undo`, { base }),
  redoLine: (id: string, base: number) => step<LineView>(`/lines/${id}/redo`, { base }),
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
