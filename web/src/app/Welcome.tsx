import { FileDown, FilePlus2 } from 'lucide-react';
import { useDesk } from '../state/desk';
import { useDrop } from './drop';
import { FinishedHeads } from './FinishedHeads';

/** Shown while there is no character at all. */
export function Welcome() {
  const { chooseArt, problem } = useDrop();
  return (
    <main className="grid h-full place-items-center p-8">
      <div className="max-w-lg rounded-xl border border-line bg-card p-8">
        <h1 className="text-3xl font-bold">Leeward</h1>
        <p className="mt-3">
          Drop a layered SVG, an OpenRaster file or a ZIP of PNG layers of a character anywhere on this page:
          one named group a piece — head, face, eye left, pupil left, mouth … It is hung together and ready to
          turn, blink and talk.
        </p>
        <div className="mt-5 flex gap-2">
          <button className="btn-do" onClick={chooseArt}>
            <FilePlus2 size={16} aria-hidden /> Choose layered art …
          </button>
          <a className="btn" href="/api/v1/blank-face.svg" download>
            <FileDown size={16} aria-hidden /> A blank to draw over
          </a>
        </div>
        <h2 className="mt-5 text-[15px] font-semibold">Or begin with a head that is finished</h2>
        <FinishedHeads begun={(id) => useDesk.getState().open(id)} />
        {problem && (
          <p role="alert" className="mt-4 rounded-md bg-wrong-soft p-3 text-wrong">
            {problem.message}
          </p>
        )}
      </div>
    </main>
  );
}
