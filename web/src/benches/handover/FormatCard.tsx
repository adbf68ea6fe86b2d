import {
  Archive,
  Clapperboard,
  Clock,
  CodeXml,
  Download,
  FileText,
  Image,
  Layers,
  Package,
  TriangleAlert,
} from 'lucide-react';
import { useState } from 'react';
import type { ExporterView } from '../../api/client';
import type { Family } from './families';
import { needsShot, USUAL } from './families';

const ICONS: Record<Family, typeof Image> = {
  FILM: Clapperboard,
  ANIMATION: Layers,
  LIVE: CodeXml,
  PICTURES: Image,
  TIMING: Clock,
  ARTWORK: Package,
  PAGES: FileText,
  BUNDLE: Archive,
};

/** One family of formats: which of them, what it keeps, what can be chosen about it, and out with it. */
export function FormatCard({
  family,
  title,
  about,
  formats,
  hasShot,
  making,
  losses,
  ratio,
  hand,
}: {
  family: Family;
  title: string;
  about: string;
  /** At least one. */
  formats: ExporterView[];
  hasShot: boolean;
  /** Labels of what is being made. */
  making: ReadonlySet<string>;
  /** What each format cannot say, by its id. */
  losses: Record<string, string[]>;
  /** Height of the canvas for each unit of its width. */
  ratio: number;
  hand: (e: ExporterView, options: Record<string, number>) => void;
}) {
  const [picked, setPicked] = useState('');
  const [values, setValues] = useState<Record<string, number>>({});
  const chosen =
    formats.find((e) => e.id === picked) ?? formats.find((e) => USUAL.includes(e.id)) ?? formats[0];
  if (!chosen) return null;
  const Icon = ICONS[family];
  const without = needsShot(chosen, hasShot);
  const options = Object.fromEntries(chosen.options.map((o) => [o.id, values[o.id] ?? o.usual]));
  const own = making.has(chosen.label);
  return (
    <section aria-label={title} className="rounded-xl border border-line bg-paper p-3">
      <div className="flex items-start gap-2">
        <Icon size={17} aria-hidden className="mt-0.5 shrink-0" />
        <div className="min-w-0 flex-1">
          <h2 className="text-[15px] leading-5 font-semibold">{title}</h2>
          <p className="text-[12.5px] text-faint">{about}</p>
        </div>
        <button
          className="btn shrink-0"
          aria-label={`Export ${chosen.label}`}
          aria-busy={own}
          disabled={own || without}
          onClick={() => hand(chosen, options)}
        >
          <Download size={14} aria-hidden /> {own ? 'Making …' : 'Export'}
        </button>
      </div>
      {formats.length > 1 && (
        <div className="mt-2 flex flex-wrap gap-1.5" role="group" aria-label={`${title}: format`}>
          {formats.map((e) => (
            <button
              key={e.id}
              className="btn"
              aria-pressed={e.id === chosen.id}
              onClick={() => setPicked(e.id)}
            >
              {e.label}
            </button>
          ))}
        </div>
      )}
      {chosen.options.map((o) => (
        <label key={o.id} className="mt-2 flex flex-wrap items-center gap-1.5 text-[13px]">
          {o.label}
          <input
            type="number"
            className="field w-20"
            min={o.from}
            max={o.to}
            value={values[o.id] ?? o.usual}
            onChange={(e) => {
              const typed = Math.round(Number(e.target.value));
              setValues({ ...values, [o.id]: Math.max(o.from, Math.min(o.to, typed || o.from)) });
            }}
          />
          {o.unit}
          {o.id.endsWith('width') && (
            <span className="text-faint">{Math.round((values[o.id] ?? o.usual) * ratio)} high</span>
          )}
        </label>
      ))}
      <p className="mt-2 text-[12.5px] text-faint">
        {without ? 'Needs a shot: drop a recording, or begin one on the Shot bench.' : sentence(chosen.about)}
      </p>
      {!without && (
        <ul aria-label={`What ${chosen.label} cannot say`} className="mt-1 space-y-0.5 text-[12.5px]">
          {(losses[chosen.id] ?? []).map((l) => (
            <li key={l} className="flex gap-1.5">
              <TriangleAlert size={13} aria-hidden className="mt-0.5 shrink-0 text-faint" />
              {l}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const sentence = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
