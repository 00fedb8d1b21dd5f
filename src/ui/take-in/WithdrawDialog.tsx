'use client';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { Modal } from '@/ui/kit/Modal';
import { Problems } from '@/ui/kit/Problems';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

const WHY = [{ name: 'why', label: 'Why', kind: 'text', hint: 'for the record; may stay empty' }] as const;
export interface Withdrawn {
  id: string;
  name: string;
  version: number;
}

/** A quilt goes back unfinished: asked once, for it leaves Rack, calendar and frame. */
export function WithdrawDialog({ quilt, onClose }: { quilt: Withdrawn; onClose: () => void }) {
  const { form } = useSpecForm(WHY, { why: '' });
  const { send, pending, problems } = useActionForm(doors.withdrawQuilt, () => {
    toast(`${quilt.name} is withdrawn. It stays in the record.`);
    onClose();
  });
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Withdraw ${quilt.name}?`}
      about="It leaves the Rack, the calendar and the frame. Its map, set-ups, tests and log stay in the studio record, and it can be taken in again."
    >
      <form
        className="mt-3"
        onSubmit={form.handleSubmit((v) => {
          if (!pending) send({ quiltId: quilt.id, version: quilt.version, withdrawn: true, why: v.why });
        })}
      >
        <SpecFields specs={WHY} form={form} className="grid gap-3" />
        <div className="mt-2">
          <Problems problems={problems} fields={[]} />
        </div>
        <Button look="act" type="submit" disabled={pending} className="mt-3 w-full">
          Withdraw it
        </Button>
      </form>
    </Modal>
  );
}

/** Takes a withdrawn quilt in again. */
export function TakeInAgain({ quilt }: { quilt: Withdrawn }) {
  const { send, pending, problems } = useActionForm(doors.withdrawQuilt, () =>
    toast(`${quilt.name} is on the Rack again.`),
  );
  return (
    <>
      <Button
        disabled={pending}
        onClick={() => send({ quiltId: quilt.id, version: quilt.version, withdrawn: false, why: '' })}
      >
        Take it in again
      </Button>
      <Problems problems={problems} fields={[]} />
    </>
  );
}
