'use client';
import { doors } from '@/actions/doors';
import { CLIENT } from '@/core/fields/quilt';
import type { Client } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { type FieldSpec, fromForm } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Modal } from '@/ui/kit/Modal';
import { Problems } from '@/ui/kit/Problems';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

const SPECS: readonly FieldSpec[] = [{ name: 'name', label: 'Name', kind: 'text' }, ...formFields(CLIENT)];

/** How a client is called and reached: the same for all her quilts. */
export function ClientDialog({ client, onClose }: { client: Client; onClose: () => void }) {
  const { form } = useSpecForm(SPECS, client);
  const { send, pending, problems, problemAt } = useActionForm(doors.keepClient, () => {
    toast('Saved.');
    onClose();
  });
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={client.name}
      about="The same for all quilts of this client. To say that the quilt is somebody else’s, correct the quilt."
    >
      <form
        className="mt-3"
        onSubmit={form.handleSubmit((values) => {
          if (!pending) send({ ...fromForm(SPECS, values), clientId: client.id });
        })}
      >
        <SpecFields specs={SPECS} form={form} problemAt={problemAt} />
        <div className="mt-2">
          <Problems problems={problems} fields={SPECS.map((s) => s.name)} />
        </div>
        <Button look="act" type="submit" disabled={pending} className="mt-3 w-full">
          Save
        </Button>
      </form>
    </Modal>
  );
}
