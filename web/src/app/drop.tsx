import { useQueryClient } from '@tanstack/react-query';
import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { api, Refusal, type VersionView } from '../api/client';
import { useDesk } from '../state/desk';
import { NameDialog, type Naming } from './NameDialog';
import { isTimed, textOf } from './script';
import { TimedDialog } from './TimedDialog';
import { WordsDialog } from './WordsDialog';
import { DropZone } from './DropZone';

/** Bytes of the largest file the server reads, of any kind. */
const LARGEST_FILE = 64 * 2 ** 20;
/** The same of a recording of many lines. */
const LARGEST_RECORDING = 1100 * 2 ** 20;

/** A recording that waits for its words. */
interface Heard {
  /** When it came: the same file may come again. */
  at: number;
  file: File;
  words: string;
  timed: boolean;
}

/** What became of the last file that could not be used. */
export interface FileProblem {
  file: string;
  code: string;
  place: string;
  message: string;
}

interface Drop {
  chooseArt: () => void;
  chooseSound: () => void;
  /** Asks which words a recording holds. */
  takeSound: (file: File) => void;
  chooseVersion: () => void;
  /** A newer file of the open character's art, held against it. */
  version: { file: File; character: string; view: VersionView } | null;
  leaveVersion: () => void;
  problem: FileProblem | null;
  busy: string | null;
  dismiss: () => void;
}

const Context = createContext<Drop | null>(null);

export function useDrop(): Drop {
  const drop = useContext(Context);
  if (!drop) throw new Error('used outside the drop zone');
  return drop;
}

function asProblem(file: string, e: unknown): FileProblem {
  return e instanceof Refusal
    ? { file, code: e.code, place: e.place, message: e.message }
    : { file, code: 'unknown', place: '', message: e instanceof Error ? e.message : String(e) };
}

/** Takes files dropped anywhere on the page, or chosen from a button: art becomes a character, sound a line. */
export function DropProvider({ children }: { children: ReactNode }) {
  const queries = useQueryClient();
  const [over, setOver] = useState<'new' | 'version' | null>(null);
  const [version, setVersion] = useState<Drop['version']>(null);
  const open = useDesk((s) => s.character);
  const newer = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const [problem, setProblem] = useState<FileProblem | null>(null);
  const [sound, setSound] = useState<Heard | null>(null);
  const [naming, setNaming] = useState<Naming | null>(null);
  const art = useRef<HTMLInputElement>(null);
  const wav = useRef<HTMLInputElement>(null);

  /** Reads one file; a bundle whose name is taken is asked about, and may be left. */
  const readOne = useCallback(async (file: File): Promise<void> => {
    let as: { name: string } | 'over' | undefined;
    for (;;) {
      setBusy(`Reading ${file.name} …`);
      try {
        const view = await api.readCharacter(file, as);
        // at once: whoever goes on to another bench meanwhile is not brought back
        useDesk.getState().open(view.id, 'intake');
        return;
      } catch (e) {
        if (!(e instanceof Refusal && e.code === 'name-taken')) throw e;
        setBusy(null);
        const choice = await new Promise<{ name: string } | 'over' | null>((answer) =>
          setNaming({ file: file.name, taken: e.place, answer }),
        );
        setNaming(null);
        if (choice === null) return;
        as = choice;
      }
    }
  }, []);

  /** One after the other; what cannot be read does not keep the others from it. */
  const readArt = useCallback(
    async (files: File[]) => {
      const problems: FileProblem[] = [];
      setProblem(null);
      for (const file of files) {
        try {
          await readOne(file);
          await queries.invalidateQueries({ queryKey: ['characters'] });
        } catch (e) {
          problems.push(asProblem(file.name, e));
        }
      }
      setBusy(null);
      const [first, ...more] = problems;
      if (first) {
        useDesk.getState().go('intake');
        const others = more.map((p) => `${p.file}: ${p.message}`).join(' ');
        setProblem({ ...first, message: others ? `${first.message} ${others}` : first.message });
      }
    },
    [queries, readOne],
  );

  const holdAgainst = useCallback(async (file: File) => {
    const character = useDesk.getState().character;
    if (!character) return;
    setBusy(`Holding ${file.name} against what is here …`);
    setProblem(null);
    try {
      setVersion({ file, character, view: await api.compareVersion(character, file) });
    } catch (e) {
      setProblem(asProblem(file.name, e));
    } finally {
      useDesk.getState().go('intake');
      setBusy(null);
    }
  }, []);

  const take = useCallback(
    async (files: File[], asVersion = false) => {
      const text = files.find((f) => /\.(txt|srt|vtt|csv|tsv|textgrid)$/i.test(f.name));
      const recording = files.find(
        (f) => /\.(wav|wave|mp3|m4a|ogg|opus|flac|caf|aiff?)$/i.test(f.name) || f.type.startsWith('audio/'),
      );
      const drawings = files.filter((f) => f !== text && f !== recording);
      const drawing = drawings[0];
      const most = (f: File) => (f === recording ? LARGEST_RECORDING : LARGEST_FILE);
      const large = [...drawings, recording].find((f) => f && f.size > most(f));
      if (large) {
        // the server says so too, but may hang up before all of it was sent
        setProblem({
          file: large.name,
          code: 'file-large',
          place: '',
          message: `The file is larger than ${most(large) / 2 ** 20} MB.`,
        });
        useDesk.getState().go('intake');
        return;
      }
      if (drawing) await (asVersion ? holdAgainst(drawing) : readArt(drawings));
      if (recording) {
        const words = text ? await textOf(text) : '';
        setSound({
          at: Date.now(),
          file: recording,
          words,
          timed: !!text && (await isTimed(text.name, words)),
        });
      }
    },
    [readArt, holdAgainst],
  );

  useEffect(() => {
    let depth = 0;
    const hasFiles = (e: DragEvent) => e.dataTransfer?.types.includes('Files') ?? false;
    const half = (e: DragEvent) =>
      useDesk.getState().character && e.clientX > window.innerWidth / 2 ? 'version' : 'new';
    const enter = (e: DragEvent) => {
      if (hasFiles(e)) setOver(++depth > 0 ? half(e) : null);
    };
    const leave = (e: DragEvent) => {
      if (hasFiles(e) && --depth <= 0) setOver(null);
    };
    const hover = (e: DragEvent) => {
      if (!hasFiles(e)) return;
      e.preventDefault();
      setOver(half(e));
    };
    const drop = (e: DragEvent) => {
      depth = 0;
      setOver(null);
      if (hasFiles(e)) {
        e.preventDefault();
        void take([...(e.dataTransfer?.files ?? [])], half(e) === 'version');
      }
    };
    const listeners: [string, (e: DragEvent) => void][] = [
      ['dragenter', enter],
      ['dragleave', leave],
      ['dragover', hover],
      ['drop', drop],
    ];
    for (const [name, f] of listeners) window.addEventListener(name, f as EventListener);
    return () => {
      for (const [name, f] of listeners) window.removeEventListener(name, f as EventListener);
    };
  }, [take]);

  const value = useMemo<Drop>(
    () => ({
      chooseArt: () => art.current?.click(),
      chooseSound: () => wav.current?.click(),
      takeSound: (file) => setSound({ at: Date.now(), file, words: '', timed: false }),
      chooseVersion: () => newer.current?.click(),
      version: version?.character === open ? version : null,
      leaveVersion: () => setVersion(null),
      problem,
      busy,
      dismiss: () => setProblem(null),
    }),
    [problem, busy, version, open],
  );

  const chosen = (e: React.ChangeEvent<HTMLInputElement>) => {
    void take([...(e.target.files ?? [])]);
    e.target.value = '';
  };
  return (
    <Context.Provider value={value}>
      {children}
      <input
        ref={art}
        type="file"
        accept=".svg,.psd,.psb,.ora,.zip,image/svg+xml,image/openraster,application/zip"
        multiple
        className="hidden"
        onChange={chosen}
        data-testid="art-file"
      />
      <input
        ref={newer}
        type="file"
        accept=".svg,.psd,.psb,.ora,.zip,image/svg+xml,image/openraster,application/zip"
        className="hidden"
        onChange={(e) => {
          void take([...(e.target.files ?? [])], true);
          e.target.value = '';
        }}
        data-testid="version-file"
      />
      <input
        ref={wav}
        type="file"
        accept=".wav,.flac,.mp3,.ogg,.opus,.m4a,.aif,.aiff,.caf,audio/*,.txt,.srt,.vtt,.csv,.tsv,.textgrid"
        multiple
        className="hidden"
        onChange={chosen}
        data-testid="sound-file"
      />
      {sound?.timed && (
        <TimedDialog
          key={sound.at}
          file={sound.file}
          grid={sound.words}
          close={() => setSound((now) => (now === sound ? null : now))}
        />
      )}
      {sound && !sound.timed && (
        <WordsDialog
          key={sound.at}
          file={sound.file}
          words={sound.words}
          close={() => setSound((now) => (now === sound ? null : now))}
        />
      )}
      {naming && <NameDialog key={naming.file + naming.taken} {...naming} />}
      {(over || busy) && (
        <div
          className="pointer-events-none fixed inset-3 z-50 flex gap-3 text-center font-display text-2xl font-bold"
          role="status"
        >
          <DropZone lit={busy !== null || over === 'new'}>
            {busy ?? 'Layered art for a new character, or a recording for a line'}
          </DropZone>
          {!busy && open && (
            <DropZone lit={over === 'version'}>A new version of the art of the open character</DropZone>
          )}
        </div>
      )}
    </Context.Provider>
  );
}
