import { Download, X } from 'lucide-react';
import type { ExportView } from '../../api/client';
import { exportFact, exportFile, isUnfinished, useExports } from '../../state/exports';

const SHOWN = 8;

/** Files that are being made, and those that were made lately. */
export function Files() {
  const { all, cancel, remove } = useExports();
  if (all.length === 0) return null;
  return (
    <section aria-label="Files" className="mt-3 rounded-xl border border-line bg-paper px-3 py-2">
      <h2 className="text-[15px] font-semibold">Files</h2>
      <ul className="mt-1 max-h-44 space-y-1 overflow-y-auto text-[13px]">
        {all.slice(0, SHOWN).map((e) => (
          <File key={e.id} file={e} end={() => (isUnfinished(e) ? cancel(e.id) : remove(e.id))} />
        ))}
      </ul>
      {all.length > SHOWN && (
        <p className="text-[12.5px] text-faint">and {all.length - SHOWN} more of today</p>
      )}
    </section>
  );
}

function File({ file, end }: { file: ExportView; end: () => void }) {
  const going = isUnfinished(file);
  const fact = exportFact(file);
  const share = Math.round(file.share * 100);
  return (
    <li className="flex min-h-7 items-center gap-2">
      <span className="w-32 shrink-0 truncate font-semibold" title={file.label}>
        {file.label}
      </span>
      {file.state === 'REFUSED' ? (
        <span className="min-w-0 flex-1 text-wrong">{fact}</span>
      ) : (
        <span className="min-w-0 flex-1 truncate text-faint" title={file.fileName}>
          {file.fileName}
        </span>
      )}
      {going && (
        <span
          role="progressbar"
          aria-label={`Making ${file.label}`}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={share}
          className="h-2 w-16 shrink-0 overflow-hidden rounded-full bg-line"
        >
          <span className="block h-full rounded-full bg-doing" style={{ width: `${share}%` }} />
        </span>
      )}
      {file.state !== 'REFUSED' && (
        <span className="min-w-14 shrink-0 text-right text-faint tabular-nums">{fact}</span>
      )}
      {file.state === 'DONE' && (
        <a
          className="btn min-h-6 shrink-0 px-1.5 py-0.5"
          href={exportFile(file)}
          download={file.fileName}
          aria-label={`Save ${file.fileName} again`}
        >
          <Download size={13} aria-hidden />
        </a>
      )}
      <button
        className="btn min-h-6 shrink-0 px-1.5 py-0.5"
        aria-label={going ? `Cancel ${file.label}` : `Remove ${file.fileName} from the list`}
        onClick={end}
      >
        <X size={13} aria-hidden />
      </button>
    </li>
  );
}
