import type { ShotEdit } from '../api/client';
import { useStudio } from '../state/studio';
import { NumberField } from '../ui/NumberField';
import { ComesOver } from './ComesOver';
import type { Item } from './item';

/** What can be typed about the one thing that was clicked. */
export function AboutItem({ item, edit }: { item: Item; edit: (e: ShotEdit) => void }) {
  const { view } = useStudio();
  const { of } = item;
  if (of.kind === 'key') {
    const dial = view.character.controls.dials.find((d) => d.id === item.track.of);
    const set = (over: Partial<typeof of.key>) =>
      edit({
        kind: 'set-keys',
        keys: { [item.track.of!]: [{ ...of.key, laid: undefined, ...over }] },
      });
    return (
      <Fields>
        <Small
          key={item.id}
          label={dial?.name ?? item.track.of!}
          value={of.key.value}
          keep={(v) => set({ value: dial ? Math.max(dial.from, Math.min(dial.to, v)) : v })}
        />
        {of.key.way.kind !== 'hold' && (
          <Small
            key={`bow ${item.id}`}
            label="bent by"
            hint="How far it is off its way in the middle, on to the next key. On a pad the way is bent by its ring."
            value={of.key.bow}
            keep={(v) => set({ bow: v })}
          />
        )}
      </Fields>
    );
  }
  if (of.kind === 'look') {
    const set = (over: Partial<typeof of.span>) =>
      edit({ kind: 'set-look', was: of.span.from, span: { ...of.span, laid: undefined, ...over } });
    const most = of.span.to - of.span.from;
    return (
      <Fields>
        <b>{item.label}</b>
        <Small label="in" value={of.span.in} keep={(v) => set({ in: held(v, 0, most) })} />
        <Small label="out" value={of.span.out} keep={(v) => set({ out: held(v, 0, most) })} />
        <Small
          label="%"
          value={Math.round(of.span.strength * 100)}
          keep={(v) => set({ strength: Math.max(-2, Math.min(2, v / 100)) })}
        />
      </Fields>
    );
  }
  if (of.kind === 'cue') {
    const set = (over: Partial<typeof of.cue>) =>
      edit({ kind: 'set-placement', was: of.cue.frame, cue: { ...of.cue, ...over } });
    return (
      <Fields>
        <b>{item.label}</b>
        <Small
          label="%"
          value={Math.round(of.cue.strength * 100)}
          keep={(v) => set({ strength: Math.max(-4, Math.min(4, v / 100)) })}
        />
        <Small label="times" value={of.cue.times} keep={(v) => set({ times: held(v, 1, 500) })} />
        <button
          className="btn"
          aria-pressed={of.cue.reversed}
          onClick={() => set({ reversed: !of.cue.reversed })}
        >
          reversed
        </button>
      </Fields>
    );
  }
  if (of.kind === 'blink') {
    const set = (over: Partial<typeof of.blink>) =>
      edit({ kind: 'set-blink', was: of.blink.frame, blink: { ...of.blink, laid: undefined, ...over } });
    return (
      <Fields>
        <b>Blink</b>
        <Small label="down" value={of.blink.down} keep={(v) => set({ down: held(v, 1, 48) })} />
        <Small label="hold" value={of.blink.hold} keep={(v) => set({ hold: held(v, 0, 48) })} />
        <Small label="up" value={of.blink.up} keep={(v) => set({ up: held(v, 1, 48) })} />
      </Fields>
    );
  }
  if (of.kind === 'drawing') {
    const part = view.character.rig.parts.find((p) => p.id === item.track.of);
    const set = (over: Partial<typeof of.held>) =>
      edit({ kind: 'hold-drawing', part: item.track.of!, held: { ...of.held, ...over } });
    return (
      <Fields>
        <select
          className="field py-0.5"
          aria-label="Drawing"
          value={of.held.drawing}
          onChange={(e) => set({ drawing: e.target.value })}
        >
          {item.gone && <option value={of.held.drawing}>{of.held.drawing} (not there any more)</option>}
          {part?.drawings.map((d) => (
            <option key={d.id} value={d.id}>
              {d.name}
            </option>
          ))}
          <option value="nothing">nothing</option>
        </select>
        <ComesOver
          key={item.id}
          part={item.track.of!}
          drawing={of.held.drawing}
          frame={of.held.from}
          most={of.held.to - of.held.from}
          value={of.held.in}
          keep={(v) => set({ in: v })}
        />
      </Fields>
    );
  }
  if (of.kind === 'note')
    return (
      <input
        key={item.id}
        className="field min-w-[180px] flex-1 py-0.5"
        aria-label="Note"
        defaultValue={of.note.text}
        maxLength={1000}
        onBlur={(e) => {
          const text = e.target.value.trim();
          if (text && text !== of.note.text)
            edit({ kind: 'write-note', was: of.note.from, note: { ...of.note, text } });
        }}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
      />
    );
  return <b>{item.label}</b>;
}

const held = (v: number, least: number, most: number) => Math.max(least, Math.min(most, Math.round(v)));

/** A number with its name, as narrow as numbers are. */
function Small({ hint, ...props }: React.ComponentProps<typeof NumberField> & { hint?: string }) {
  return (
    <div className="w-[118px]" title={hint}>
      <NumberField {...props} />
    </div>
  );
}

function Fields({ children }: { children: React.ReactNode }) {
  return <div className="flex items-center gap-0.5 whitespace-nowrap">{children}</div>;
}
