import { useStudio } from '../state/studio';
import { KeyField } from './KeyField';

/** The key that shows a drawing: press it here to give it, Backspace to take it away. */
export function DrawingKeyField({
  part,
  drawing,
  name,
  className,
}: {
  part: string;
  /** Of one of its drawings, or nothing. */
  drawing: string;
  name: string;
  className?: string;
}) {
  const { view, edit } = useStudio();
  return (
    <KeyField
      label={`Key for ${name}`}
      title="Click, then press a letter or a digit: from then on that key shows this drawing"
      value={view.character.library.keys.find((k) => k.part === part && k.drawing === drawing)?.key ?? ''}
      give={(key) => edit({ kind: 'set-key', part, drawing, key })}
      {...(className === undefined ? {} : { className })}
    />
  );
}
