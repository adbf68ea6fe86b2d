import { useActed } from '../state/acted';
import { useStudio } from '../state/studio';
import { NumberField } from '../ui/NumberField';

/**
 * In how many frames a drawing comes over from the one shown before it, and how much of it does: outlines go over where both have
 * the same points, and they can be given the same.
 */
export function ComesOver({
  part,
  drawing,
  frame,
  most,
  value,
  keep,
}: {
  part: string;
  drawing: string;
  frame: number;
  most: number;
  value: number;
  keep: (frames: number) => void;
}) {
  const { view, edit } = useStudio();
  const open = useActed((s) => s.open);
  const crossing = value > 0 ? (open?.crossing(part, drawing, frame) ?? null) : null;
  const name = (id: string) =>
    view.character.rig.parts.find((p) => p.id === part)?.drawings.find((d) => d.id === id)?.name ?? id;
  return (
    <>
      <div
        className="w-[118px]"
        title="Frames in which its outlines come over from the drawing before; 0 exchanges them at once."
      >
        <NumberField
          label="over in"
          value={value}
          keep={(v) => keep(Math.max(0, Math.min(most, Math.round(v))))}
        />
      </div>
      {crossing && (
        <span className="text-[12.5px] text-faint" role="status">
          {crossing.over === 0 && crossing.could === 0
            ? `Nothing of ${name(crossing.from)} goes with it: exchanged at once.`
            : `${crossing.over} of ${crossing.pieces} pieces come over from ${name(crossing.from)}.`}
        </span>
      )}
      {crossing && crossing.could > 0 && (
        <button
          className="btn"
          title="Gives both drawings the same points where a piece of one goes with a piece of the other. Neither looks any different."
          onClick={() => void edit({ kind: 'match-points', part, from: crossing.from, to: drawing })}
        >
          Match points
        </button>
      )}
    </>
  );
}
