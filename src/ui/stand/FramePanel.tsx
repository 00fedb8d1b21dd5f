'use client';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import { Big } from './Big';
import { StandPanel } from './StandPanel';

/** Another quilt is on this frame: it is asked before this one is begun. */
export function FramePanel({
  quiltId,
  framed,
  onClose,
  onPut,
}: {
  quiltId: string;
  framed: { id: string; name: string };
  onClose: () => void;
  /** It is on the frame now: the step that was asked for begins. */
  onPut: () => void;
}) {
  const router = useRouter();
  const { send, pending, problems } = useActionForm(doors.putOnFrame, () => {
    onPut();
    onClose();
    router.refresh();
  });
  return (
    <StandPanel title={`${framed.name} is on this frame`} onClose={onClose}>
      <p className="mt-2 text-24">Take {framed.name} off, and put this quilt on? Its log stays as it is.</p>
      <div className="mt-6 grid gap-2 sm:grid-cols-2">
        <Big
          look="act"
          label={`Take ${framed.name} off`}
          disabled={pending}
          onClick={() => send({ quiltId, where: 'on', insteadOf: framed.id })}
        />
        <Big label="Cancel" onClick={onClose} />
      </div>
      <Problems problems={problems} />
    </StandPanel>
  );
}
