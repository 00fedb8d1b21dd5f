'use client';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { FieldSpec } from '@/ui/kit/field-spec';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { CONE } from '@/core/fields/cone';
import { formFields } from '@/ui/kit/form-fields';

/** What may be changed for many at once, each with the choice to leave it as it is. */
const SPECS: FieldSpec[] = [
  ...formFields(
    CONE.filter((f) => f.id === 'role' || f.id === 'sheen').map((f) => ({ ...f, optional: true })),
  ).map((s) => ({
    ...s,
    options: s.options?.map((o) => (o.value === '-' ? { ...o, label: 'leave as it is' } : o)),
  })),
  { name: 'place', label: 'Where they stand', kind: 'text', hint: 'empty: leave', wide: true },
];

/** The same change to every cone picked. */
export function ManyDialog({ ids, onClose }: { ids: string[]; onClose: () => void }) {
  return (
    <RecordDialog
      title={`Change ${ids.length} cones`}
      about="What is left as it is stays different from cone to cone."
      onClose={onClose}
      specs={SPECS}
      initial={{}}
      fixed={{ ids }}
      act={(input) => {
        const { place, ...rest } = input as { place: string };
        return doors.editMany(place.trim() ? input : rest);
      }}
      onDone={({ count }) => {
        toast(`${count} cones are changed.`);
        onClose();
      }}
      submit="Change them"
    />
  );
}
