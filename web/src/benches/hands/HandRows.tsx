/** Swings the forearm, so that what opens at the wrist is seen; nothing is kept. */
export function SwingRow({ swing, set }: { swing: number; set: (degrees: number) => void }) {
  return (
    <label className="mt-2 flex items-center gap-2 rounded-xl border border-line bg-paper px-3 py-2 text-[13px]">
      <span className="font-display font-semibold">Swing</span>
      <input
        type="range"
        className="min-w-0 flex-1 accent-(--doing)"
        min={-60}
        max={60}
        step={1}
        value={swing}
        aria-valuetext={`${swing}°`}
        onChange={(e) => set(Number(e.target.value))}
        onDoubleClick={() => set(0)}
      />
      <span className="w-10 text-right text-faint tabular-nums">{swing}°</span>
    </label>
  );
}

/** How far a hand's drawings bend at the wrist, in widths of it. */
export function BendRow({
  now,
  kept,
  set,
  keep,
}: {
  /** What a hand is setting; null while none is. */
  now: number | null;
  kept: number;
  set: (reach: number) => void;
  keep: () => void;
}) {
  const at = now ?? kept;
  return (
    <label
      className="mt-1.5 flex items-center gap-2 rounded-xl border border-line bg-paper px-3 py-2 text-[13px]"
      title="How far past the wrist the drawing stays with the arm while the hand turns, in widths of the wrist"
    >
      <span className="font-display font-semibold">Wrist bends</span>
      <input
        type="range"
        className="min-w-0 flex-1 accent-(--doing)"
        aria-label="Wrist bends over"
        min={0}
        max={150}
        step={5}
        value={Math.round(at * 100)}
        aria-valuetext={kept > 0 ? `over ${Math.round(kept * 100)} % of its width` : 'not at all'}
        onChange={(e) => set(Number(e.target.value) / 100)}
        onPointerUp={() => keep()}
        onKeyUp={() => keep()}
        onBlur={() => keep()}
      />
      <span className="w-16 text-right text-faint tabular-nums">
        {at > 0 ? `${Math.round(at * 100)} % wide` : 'not'}
      </span>
    </label>
  );
}
