'use client';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { WAIVED } from '@/core/fields/hand-back';
import { fromForm } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Problems } from '@/ui/kit/Problems';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

const WAIVER = formFields(WAIVED);

/** The last act: it goes home, or comes back to the Rack. With a fault open only by name. */
export function HomeForm({
  quiltId,
  version,
  home,
  open,
}: {
  quiltId: string;
  version: number;
  home: boolean;
  /** Faults still open. */
  open: number;
}) {
  const router = useRouter();
  const { form } = useSpecForm(WAIVER, {});
  const { send, pending, problems, problemAt } = useActionForm(doors.handBack, () => {
    toast(home ? 'It is back on the Rack.' : 'It is handed back. It stays found with Ctrl K.');
    router.refresh();
  });
  return (
    <form
      onSubmit={form.handleSubmit((v) => {
        if (!pending)
          send({ quiltId, version, home: !home, ...(open > 0 && !home ? fromForm(WAIVER, v) : {}) });
      })}
    >
      {open > 0 && !home && (
        <>
          <p className="mb-2 text-weld-text">
            {open === 1 ? 'One fault is' : `${open} faults are`} open on the mend list. Clear it; or say who
            lets it go so.
          </p>
          <SpecFields specs={WAIVER} form={form} problemAt={problemAt} />
        </>
      )}
      <Problems problems={problems} fields={open > 0 ? ['waivedBy', 'waivedWhy'] : []} />
      <Button look={home ? 'plain' : 'act'} type="submit" disabled={pending} className="mt-3">
        {home ? 'Bring it back to the Rack' : 'It is handed back'}
      </Button>
    </form>
  );
}
