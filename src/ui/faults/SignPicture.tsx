import { Marks } from '@/ui/draw/Marks';
import { SIGN, signDrawing } from './sign-drawing';

/** A sign as it looks. */
export function SignPicture({ id, className }: { id: string; className?: string }) {
  const drawing = signDrawing(id);
  return (
    <svg
      viewBox={`0 0 ${SIGN.width} ${SIGN.height}`}
      className={className}
      style={{ background: drawing?.cloth ?? 'var(--sunk)' }}
      aria-hidden
    >
      {drawing && <Marks marks={drawing.marks} />}
    </svg>
  );
}
