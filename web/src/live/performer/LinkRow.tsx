import { SlidersHorizontal } from 'lucide-react';
import type { Signal } from 'page-live';
import { Popover } from 'radix-ui';
import { memo } from 'react';
import type { Character, Edit } from '../../api/client';
import { useStudio } from '../../state/studio';
import { NumberField } from '../../ui/NumberField';
import { arm, trackOf, useLive } from '../liveState';
import { Limits } from './Limits';
import { usePerformerState } from './performerState';
import { idOf } from './usePerformer';

type Link = Character['controls']['links'][number];
type Driven = Link['drives'];

const word = (d: Driven) => `${d.kind} ${idOf(d)}`;

/** One signal, how far it is from neutral, and what it drives. */
export const LinkRow = memo(function LinkRow({
  signal,
  link,
  first,
  character,
  disabled,
}: {
  signal: Signal;
  link: Link | null;
  /** Whether it is the first row of its signal. */
  first: boolean;
  character: Character;
  disabled: boolean;
}) {
  const { edit } = useStudio();
  const { dials } = character.controls;
  const { looks } = character.library;
  const track = link ? trackOf(link.drives.kind, idOf(link.drives)) : '';
  const armed = useLive((s) => !s.disarmed.includes(track));
  const target = (value: string): Driven => {
    const [kind, ...id] = value.split(' ');
    return kind === 'look' ? { kind: 'look', look: id.join(' ') } : { kind: 'dial', dial: id.join(' ') };
  };
  const limits = (d: Driven): [number, number] => {
    const dial = d.kind === 'dial' ? dials.find((x) => x.id === d.dial) : undefined;
    return dial ? [dial.from, dial.to] : [0, 1];
  };
  const drive = (value: string) => {
    if (value === '') {
      if (link) void edit({ kind: 'unlink-signal', signal: signal.id, drives: link.drives });
      return;
    }
    const drives = target(value);
    const [least, most] = limits(drives);
    const made = { signal: signal.id, drives, by: link?.by ?? 1, least, most };
    void edit({ kind: 'link-signal', link: made, instead: link?.drives } as Edit);
  };
  const keep = (changed: Partial<Link>) =>
    void edit({ kind: 'link-signal', link: { ...link!, ...changed } } as Edit);
  const dial = link?.drives.kind === 'dial' ? dials.find((d) => d.id === idOf(link.drives)) : undefined;
  const gone = link !== null && !dial && !looks.some((l) => l.id === idOf(link.drives));
  return (
    <tr className="group/row border-t border-line">
      <td className={`truncate py-[3px] pr-2 ${link ? '' : 'text-faint'}`}>
        {first && (
          <>
            <b>{signal.title}</b> <span className="text-faint">{signal.says}</span>
          </>
        )}
      </td>
      <td className="pr-2">
        {first && <Bar signal={signal} on={link !== null && armed} />}
        {link && dial?.purpose !== 'BLINK' && (
          <span className="block pr-[42px]">
            <Limits
              name={`${signal.title} to ${dial?.name ?? idOf(link.drives)}`}
              range={limits(link.drives)}
              link={link}
              disabled={disabled}
              keep={keep}
            />
          </span>
        )}
      </td>
      <td>
        <span className="flex min-w-0 items-center gap-1.5">
          <select
            className={`field w-full min-w-0 py-0 ${link ? '' : 'border-dashed text-faint'} ${gone ? 'border-wrong text-wrong' : ''}`}
            aria-label={`${signal.title} drives`}
            value={link ? word(link.drives) : ''}
            disabled={disabled}
            onChange={(e) => drive(e.target.value)}
          >
            <option value="">nothing</option>
            {gone && <option value={word(link.drives)}>{idOf(link.drives)}, gone</option>}
            <optgroup label="Dials">
              {dials.map((d) => (
                <option key={d.id} value={`dial ${d.id}`}>
                  {d.name}
                </option>
              ))}
            </optgroup>
            {looks.length > 0 && (
              <optgroup label="Looks">
                {looks.map((l) => (
                  <option key={l.id} value={`look ${l.id}`}>
                    Look: {l.name}
                  </option>
                ))}
              </optgroup>
            )}
          </select>
          {link && (
            <button
              role="switch"
              aria-checked={armed}
              aria-label={`${signal.title} is written`}
              title={
                armed ? 'Driven and written; a click leaves it as it is' : 'Left as it is; a click arms it'
              }
              className="grid h-6 w-5 shrink-0 place-items-center"
              disabled={disabled}
              onClick={() => arm(track, !armed)}
            >
              <span
                className={`block h-[11px] w-[11px] rounded-full border-2 border-recording ${armed ? 'bg-recording' : ''}`}
              />
            </button>
          )}
        </span>
      </td>
      <td>
        {link && (
          <span className="flex items-center justify-end gap-0.5">
            {dial?.purpose === 'BLINK' ? (
              <b
                className="pr-1"
                title="A blink is a blink: lids fall when it is half way, and rise by themselves"
              >
                switch
              </b>
            ) : (
              <span className="w-[58px]">
                <NumberField
                  bare
                  label={`${signal.title} by`}
                  unit=" %"
                  step={10}
                  value={Math.round(link.by * 100)}
                  disabled={disabled}
                  keep={(v) => {
                    const by = Math.max(-4, Math.min(4, v / 100));
                    if (by !== 0) keep({ by });
                  }}
                />
              </span>
            )}
            <Popover.Root>
              <Popover.Trigger
                className="grid h-7 w-6 place-items-center rounded hover:bg-tide"
                aria-label={`Limits of ${signal.title}`}
                title="Limits, and what else it drives"
              >
                <SlidersHorizontal size={14} aria-hidden />
              </Popover.Trigger>
              <Popover.Portal>
                <Popover.Content
                  align="end"
                  collisionPadding={12}
                  aria-label={`Limits of ${signal.title}`}
                  className="z-40 grid w-[230px] gap-2 rounded-xl border border-line bg-paper p-3 text-[13px] shadow-xl"
                >
                  <NumberField
                    label="no lower"
                    value={link.least}
                    keep={(least) => least < link.most && keep({ least })}
                  />
                  <NumberField
                    label="no higher"
                    value={link.most}
                    keep={(most) => most > link.least && keep({ most })}
                  />
                  <label className="grid gap-1">
                    <span className="text-faint">drives as well</span>
                    <select
                      className="field py-0"
                      aria-label={`${signal.title} drives as well`}
                      value=""
                      onChange={(e) => {
                        const drives = target(e.target.value);
                        const [least, most] = limits(drives);
                        void edit({
                          kind: 'link-signal',
                          link: { signal: signal.id, drives, by: 1, least, most },
                        } as Edit);
                      }}
                    >
                      <option value="">…</option>
                      {dials.map((d) => (
                        <option key={d.id} value={`dial ${d.id}`}>
                          {d.name}
                        </option>
                      ))}
                    </select>
                  </label>
                </Popover.Content>
              </Popover.Portal>
            </Popover.Root>
          </span>
        )}
      </td>
    </tr>
  );
});

/** How far a signal is from neutral: from the middle for what goes both ways, from the left for what only rises. */
function Bar({ signal, on }: { signal: Signal; on: boolean }) {
  const value = usePerformerState((s) => {
    const v = s.signals[signal.id];
    return v === undefined ? null : Math.round(v * 100) / 100;
  });
  const lost = usePerformerState((s) => s.presence === 'lost' || s.presence === 'away');
  const both = signal.from < 0;
  const share = Math.max(-1, Math.min(1, (value ?? 0) / signal.to));
  const zero = both ? 50 : 28;
  const width = Math.abs(share) * (share < 0 ? zero : 100 - zero);
  const said =
    value === null
      ? ''
      : signal.unit
        ? `${value > 0 ? '+' : ''}${Math.round(value)}${signal.unit}`
        : value.toFixed(2).replace('0.', '.').replace('-.00', '.00');
  return (
    <span className="flex items-center gap-1.5">
      <span className="relative h-2.5 min-w-0 flex-1 rounded-[3px] border border-line bg-card">
        <span
          className={`absolute inset-y-0 ${lost ? 'border border-recording' : on ? 'bg-recording' : 'bg-faint'}`}
          style={{ left: `${share < 0 ? zero - width : zero}%`, width: `${width}%` }}
        />
        <span className="absolute -inset-y-[3px] w-[2px] bg-ink" style={{ left: `calc(${zero}% - 1px)` }} />
      </span>
      <span className="w-9 shrink-0 text-right text-[12px] tabular-nums">{said}</span>
    </span>
  );
}
