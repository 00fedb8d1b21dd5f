'use client';
import { useMemo } from 'react';
import { doors } from '@/actions/doors';
import { AGREED, QUILT } from '@/core/fields/quilt';
import { Button } from '@/ui/kit/Button';
import { type FieldSpec, fromForm } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Modal } from '@/ui/kit/Modal';
import { Problems } from '@/ui/kit/Problems';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';

type Option = { value: string; label: string };

export interface CorrectedQuilt {
  id: string;
  name: string;
  version: number;
  /** What may be corrected, as it stands. */
  values: Record<string, unknown>;
}

/** Whatever was said of a quilt, said anew; what each change undoes is told, and the change itself can be undone. */
export function CorrectDialog({
  quilt,
  pick,
  clients,
  currency,
  onClose,
}: {
  quilt: CorrectedQuilt;
  pick: Readonly<Record<string, readonly Option[]>>;
  clients: string[];
  currency: string;
  onClose: () => void;
}) {
  const specs = useMemo(
    (): FieldSpec[] => [
      { name: 'client', label: 'Client', kind: 'text', suggest: clients },
      ...formFields([...QUILT, ...AGREED], { pick, currency }),
    ],
    [pick, clients, currency],
  );
  const { form } = useSpecForm(specs, quilt.values);
  const { send, pending, problems, problemAt } = useActionForm(
    doors.correctQuilt,
    ({ said, correctionId }) => {
      if (correctionId)
        toast(['Saved.', ...said].join(' '), {
          action: {
            label: 'Undo',
            onClick: () => void doors.undoCorrection({ key: newKey(), correctionId, way: 'undo' }),
          },
        });
      onClose();
    },
  );
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Correct ${quilt.name}`}
      about="Change whatever was said wrong or is known by now. You are told what a change undoes, and can undo the change."
      wide
    >
      <form
        className="mt-3"
        onSubmit={form.handleSubmit((values) => {
          if (!pending) send({ ...fromForm(specs, values), quiltId: quilt.id, version: quilt.version });
        })}
      >
        <SpecFields
          specs={specs}
          form={form}
          problemAt={problemAt}
          className="grid items-end gap-3 sm:grid-cols-2 lg:grid-cols-3"
        />
        <div className="mt-2">
          <Problems problems={problems} fields={specs.map((s) => s.name)} />
        </div>
        <Button look="act" type="submit" disabled={pending} className="mt-3 w-full">
          Save
        </Button>
      </form>
    </Modal>
  );
}
