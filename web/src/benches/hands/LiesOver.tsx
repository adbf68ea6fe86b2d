import { useState } from 'react';
import type { HandsView, Part } from '../../api/client';
import { useStudio } from '../../state/studio';

/** Which part one drawing lies directly over while it is shown. The list of all parts is made once somebody comes near. */
export function LiesOver({
  part,
  drawing,
  over,
  frontFirst,
}: {
  part: Part;
  drawing: HandsView['hands'][number]['drawings'][number];
  over: string | undefined;
  frontFirst: string[];
}) {
  const { view, edit } = useStudio();
  const [near, setNear] = useState(false);
  const offered = near ? frontFirst : over ? [over] : [];
  return (
    <select
      className="field mb-1 w-full px-1 py-0 text-[11.5px]"
      aria-label={`Where ${drawing.name} lies`}
      title="Which part this drawing lies directly over while it is shown"
      value={over ?? ''}
      onPointerEnter={() => setNear(true)}
      onFocus={() => setNear(true)}
      onChange={(e) =>
        void edit({
          kind: 'stack-drawing',
          part: part.id,
          drawing: drawing.drawing,
          ...(e.target.value ? { over: e.target.value } : {}),
        })
      }
    >
      <option value="">Layer: same as the hand</option>
      {offered.map((id) => (
        <option key={id} value={id}>
          over {view.character.rig.parts.find((p) => p.id === id)?.name}
        </option>
      ))}
    </select>
  );
}
