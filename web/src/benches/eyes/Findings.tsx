import { CircleCheck, TriangleAlert } from 'lucide-react';
import type { Edit, EyeFinding } from '../../api/client';
import { useDesk } from '../../state/desk';
import { useStudio } from '../../state/studio';

/** What puts a finding right, each with one click; of two unlike eyes only the rigger knows the good one. */
function mendsOf(f: EyeFinding, other: string | undefined): { words: string; edit: Edit }[] {
  switch (f.kind) {
    case 'UNCOVERED':
    case 'HAIRLINE':
      return [{ words: 'Enlarge the lid', edit: { kind: 'mend-lid', part: f.part } }];
    case 'LID_SHORT':
      return f.says.startsWith('There is no')
        ? [{ words: 'Make the lids', edit: { kind: 'build-eyes' } }]
        : [{ words: 'Enlarge the lid', edit: { kind: 'mend-lid', part: f.part } }];
    case 'NOT_MIRRORED':
      return [
        { words: 'Right from left', edit: { kind: 'mirror-side', part: f.part } },
        ...(other ? [{ words: 'Left from right', edit: { kind: 'mirror-side' as const, part: other } }] : []),
      ];
    default:
      return [];
  }
}

/** Everything measured to be wrong: shown on the eye in the pose where it is worst, and mended. */
export function Findings({
  findings,
  marked,
  mark,
}: {
  findings: EyeFinding[];
  marked: EyeFinding | null;
  mark: (f: EyeFinding | null) => void;
}) {
  const { view, edit } = useStudio();
  const other = view.character.rig.parts.find((p) => p.role === 'EYE' && p.side === 'RIGHT')?.id;
  const show = (f: EyeFinding) => {
    const desk = useDesk.getState();
    desk.rest();
    for (const [dial, value] of Object.entries(f.at)) desk.turn(dial, value);
    desk.select(f.part);
    mark(f);
  };
  return (
    <section className="mt-3" aria-label="Findings">
      <h2 className="text-[15px] font-semibold">Findings</h2>
      {findings.length === 0 ? (
        <p className="mt-1 flex items-center gap-2 text-[13px]">
          <CircleCheck size={16} className="shrink-0 text-doing" aria-hidden />
          Shut is shut at every look and turn, no pupil is lost, and the eyes are alike.
        </p>
      ) : (
        <ul className="mt-1 space-y-1.5">
          {findings.map((f) => {
            const mends = mendsOf(f, other);
            const on = marked?.kind === f.kind && marked.eye === f.eye;
            return (
              <li
                key={f.kind + f.eye + f.part}
                className={`flex items-start gap-2.5 rounded-lg border px-3 py-2 text-[13px] ${
                  on ? 'border-wrong bg-wrong-soft' : 'border-line bg-paper'
                }`}
              >
                <TriangleAlert size={16} className="mt-0.5 shrink-0 text-wrong" aria-hidden />
                <span className="min-w-0 flex-1">{f.says}</span>
                <button className="btn shrink-0" onClick={() => show(f)}>
                  Show
                </button>
                {mends.map((mend) => (
                  <button
                    key={mend.words}
                    className="btn-do shrink-0"
                    onClick={() => {
                      mark(null);
                      void edit(mend.edit);
                    }}
                  >
                    {mend.words}
                  </button>
                ))}
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
