import { keepPreviousData, replaceEqualDeep, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import {
  api,
  type Artwork,
  type CharacterView,
  type Edit,
  type LineView,
  Refusal,
  type ShotEdit,
} from '../api/client';
import { useAskEvery } from '../api/changes';
import { isAway, useConnection, whenThere } from '../api/connection';
import { opened, useRules } from '../rules/rules';
import { ActedShot, isComposed } from './acted';
import { Ahead } from './ahead';
import { useDesk } from './desk';
import { Director } from './director';
import { InTurn } from './inTurn';
import { asMessage, type Message, tell } from './messages';
import { newest } from './newest';
import { artworkQuery, characterQuery } from './openings';

export interface Studio {
  view: CharacterView;
  artwork: Artwork;
  line: LineView | null;
  director: Director;
  tell: (m: Message | null) => void;
  edit: (edit: Edit) => Promise<boolean>;
  editLine: (edit: ShotEdit) => Promise<boolean>;
  /** Shows what an edit of the shot would do, until it is made or let go of with null. */
  draftLine: (edit: ShotEdit | null) => void;
  changeLine: (change: (line: LineView) => Promise<LineView>) => Promise<boolean>;
  step: (back: boolean) => Promise<void>;
  takeVersion: (file: File, keys: string[]) => Promise<boolean>;
  /** Takes things another character has, by the keys they are listed under. */
  takeFrom: (other: string, keys: string[]) => Promise<boolean>;
  /** Takes in the words of a lexicon file. */
  takeLexicon: (file: File) => Promise<boolean>;
  returnTo: (revision: number) => Promise<boolean>;
}

/**
 * Whether the next step is one of the line's and not of the character's: both have one order, by when the edits were made. Back goes
 * what was made last, and on what was made first.
 */
export function stepsLine(back: boolean, view: CharacterView, line: LineView | null): boolean {
  const ofLine = back ? line?.undo : line?.redo;
  const ofCharacter = back ? view.undo : view.redo;
  if (!ofLine || !ofCharacter) return !!ofLine;
  return back === ofLine.at > ofCharacter.at;
}

/** An edit that was not made; why was told already. */
class NotMade extends Error {}

const Context = createContext<Studio | null>(null);

export function useStudio(): Studio {
  const studio = useContext(Context);
  if (!studio) throw new Error('used outside the studio');
  return studio;
}

/** Holds the open character and line, and everything that can be done to them. */
export function StudioProvider({
  id,
  children,
  waiting,
}: {
  id: string;
  children: ReactNode;
  waiting: ReactNode;
}) {
  const queries = useQueryClient();
  const lineId = useDesk((s) => s.line);
  // what was told of one character is not told over another
  useEffect(() => () => tell(null), [id]);
  // other windows may edit too; where nobody tells of it, asking now and then keeps this one honest
  const asked = useAskEvery(4000);
  const character = useQuery({ ...characterQuery(id), refetchInterval: asked });
  const artwork = useQuery({
    ...artworkQuery(id, character.data),
    enabled: character.data !== undefined,
    placeholderData: keepPreviousData,
  });
  const line = useQuery({
    queryKey: ['line', lineId],
    queryFn: () => api.line(lineId!),
    enabled: lineId !== null,
    structuralSharing: (old, fresh) =>
      isComposed(fresh) ? newest(old, fresh) : replaceEqualDeep(old, newest(old, fresh)),
  });
  // a character is shown together with its own art: while new art is on its way the last pair stays
  const fresh = character.data;
  const [pair, setPair] = useState<{ view: CharacterView; artwork: Artwork } | null>(null);
  if (
    fresh &&
    artwork.data &&
    !artwork.isPlaceholderData &&
    (pair?.view !== fresh || pair.artwork !== artwork.data)
  )
    setPair({ view: fresh, artwork: artwork.data });
  const view = pair?.view;
  const lineView = lineId !== null && line.data?.character === id ? line.data : null;

  const failed = useCallback((e: unknown) => {
    // a server that is away is told at the top of the page, once for all that was asked of it
    if (!(e instanceof Refusal && isAway(e))) tell(asMessage(e));
  }, []);
  const core = useRules((s) => s.core);
  const rules = useMemo(() => (core && pair ? opened(core, pair.view, pair.artwork) : null), [core, pair]);
  const director = useMemo(
    () => (view ? new Director(view.character.sheet.frameRate, view.id, view.revision, rules, failed) : null),
    [view, rules, failed],
  );
  const [ahead] = useState(() => new Ahead());
  const [acted] = useState(() => new ActedShot());
  useEffect(() => acted.stands(lineView, rules, director), [acted, lineView, rules, director]);
  useEffect(() => {
    if (!director) return;
    ahead.stands(director.revision, rules, director);
    director.refresh();
    const stop = useDesk.subscribe((now, before) => {
      if (
        now.dials !== before.dials ||
        now.picks !== before.picks ||
        now.pins !== before.pins ||
        now.looks !== before.looks ||
        now.frame !== before.frame ||
        now.bench !== before.bench ||
        now.playing !== before.playing
      )
        director.refresh();
    });
    return () => {
      stop();
      director.stop();
    };
  }, [director, ahead, rules]);

  // what waits for a server that is away would be gone with the page
  useEffect(() => {
    const ask = (e: BeforeUnloadEvent) => {
      if (useConnection.getState().waiting > 0) e.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, []);

  const settle = useCallback(
    async <T,>(key: unknown[], work: () => Promise<T>): Promise<boolean> => {
      try {
        const result = await whenThere(work, (e) => e instanceof Refusal);
        if (result === null) return false;
        queries.setQueryData(key, result.done);
        tell(null);
        return true;
      } catch (e) {
        if (e instanceof DOMException && e.name === 'AbortError') return false;
        tell(asMessage(e));
        if (e instanceof Refusal && e.code === 'stale') await queries.invalidateQueries({ queryKey: key });
        return false;
      }
    },
    [queries],
  );

  // one after the other, each on what the one before it made: a quick hand is not another window
  const [queue] = useState(() => new InTurn());
  const [lineQueue] = useState(() => new InTurn());
  const inTurn = useCallback(
    (work: (base: number) => Promise<CharacterView>): Promise<boolean> =>
      queue.run(() =>
        settle(['character', id], () =>
          work(queries.getQueryData<CharacterView>(['character', id])?.revision ?? 0),
        ),
      ),
    [queue, id, queries, settle],
  );

  const studio = useMemo<Studio | null>(() => {
    if (!view || !pair || !director) return null;
    const key = ['line', lineView?.id];
    const changeLine = (change: (l: LineView) => Promise<LineView>) =>
      lineView
        ? lineQueue.run(() => settle(key, () => change(queries.getQueryData<LineView>(key) ?? lineView)))
        : Promise.resolve(false);
    return {
      view,
      artwork: pair.artwork,
      line: lineView,
      director,
      tell,
      edit: async (edit) => {
        const done = await ahead.send({ edit }, (made) =>
          inTurn(async (base) => made(await api.edit(id, base, edit), base)),
        );
        if (done) void queries.invalidateQueries({ queryKey: ['line'] });
        return done;
      },
      editLine: (edit) =>
        lineView
          ? acted
              .send(edit, () => {
                let answer: LineView | null = null;
                const made = changeLine(async (l) => (answer = await editedLine(acted, l, edit)));
                return made.then((done) => {
                  if (!done || !answer) throw new NotMade();
                  return answer;
                });
              })
              .then(
                () => true,
                (e: unknown) => {
                  if (e instanceof NotMade) return false;
                  throw e;
                },
              )
          : Promise.resolve(false),
      draftLine: (edit) => acted.draft(edit),
      changeLine: async (change) => {
        const done = await changeLine(change);
        void queries.invalidateQueries({ queryKey: ['character', id] });
        void queries.invalidateQueries({ queryKey: ['lines', id] });
        return done;
      },
      takeVersion: async (file, keys) => {
        const done = await inTurn((base) => api.takeVersion(id, base, file, keys));
        if (done) void queries.invalidateQueries({ queryKey: ['line'] });
        return done;
      },
      takeFrom: (other, keys) => inTurn((base) => api.takeFrom(id, base, other, keys)),
      takeLexicon: (file) => inTurn((base) => api.takeLexicon(id, base, file)),
      returnTo: (to) => inTurn((base) => api.returnTo(id, base, to)),
      step: async (back) => {
        // as it was answered last, which may not be on the screen yet
        const ofLine = () =>
          stepsLine(
            back,
            queries.getQueryData<CharacterView>(['character', id]) ?? view,
            lineView && (queries.getQueryData<LineView>(key) ?? lineView),
          );
        // an edit of the other one that is on its way is the last of all once it is answered
        const other = ofLine() ? queue : lineQueue;
        if (other.busy) await other.idle();
        if (ofLine()) {
          await changeLine(async (l) => {
            const answer = await api.stepLine(l.id, l.revision, back);
            return acted.stepped(l, answer) ?? api.line(l.id);
          });
          void queries.invalidateQueries({ queryKey: ['lines', id] });
        } else if (back ? view.undo : view.redo) {
          const send = (made = (v: CharacterView) => v) =>
            inTurn(async (base) => {
              const stepped = await (back ? api.undo(id, base) : api.redo(id, base));
              ahead.stepped(back, base, stepped.revision);
              return made(stepped);
            });
          const state = ahead.target(back, view.revision);
          await (state ? ahead.send({ state }, (made) => send((v) => made(v, 0))) : send());
          void queries.invalidateQueries({ queryKey: ['line'] });
        }
        void queries.invalidateQueries({ queryKey: ['characters'] });
      },
    };
  }, [view, pair, lineView, director, id, queries, settle, inTurn, ahead, acted, queue, lineQueue]);

  if (character.error && !studio && !(character.error instanceof Refusal && isAway(character.error)))
    return <>{asMessage(character.error).message}</>;
  return studio ? <Context.Provider value={studio}>{children}</Context.Provider> : <>{waiting}</>;
}

/** An edit made and answered: the whole line comes back only where it is not known here what it is after the edit. */
async function editedLine(acted: ActedShot, line: LineView, edit: ShotEdit): Promise<LineView> {
  if (!acted.foresees(edit)) return api.editLine(line.id, line.revision, edit);
  const answer = await api.madeLine(line.id, line.revision, edit);
  if ('shot' in answer) return answer;
  return acted.foreseen(line, edit, answer) ?? api.line(line.id);
}

/** The drawing a part shows on the stage at this moment, 'nothing' for none. */
export function useShown(part: string): string {
  const { director } = useStudio();
  const [shown, setShown] = useState(() => director.shownOf(part) ?? 'nothing');
  useEffect(() => director.watch(() => setShown(director.shownOf(part) ?? 'nothing')), [director, part]);
  return shown;
}
