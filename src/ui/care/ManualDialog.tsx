import { doors } from '@/actions/doors';
import { CARE } from '@/core/care/items';
import type { CareLine } from '@/actions/care';
import type { FieldSpec } from '@/ui/kit/field-spec';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { toast } from '@/ui/kit/toast';

/** What the manual says of one item, in place of the usual figures. */
export function ManualDialog({
  machine,
  item,
  onClose,
}: {
  machine: { id: string; name: string };
  item: CareLine;
  onClose: () => void;
}) {
  const { limits } = CARE.get(item.id);
  const usual = (n: number | undefined) => (n === undefined ? 'empty: does not count' : `empty: ${n}`);
  const specs: FieldSpec[] = [
    { name: 'sealed', label: 'The manual says there is nothing to do', kind: 'yes', wide: true },
    { name: 'hours', label: 'Every so many hours sewn', kind: 'number', hint: usual(limits.hours) },
    { name: 'bobbins', label: 'bobbins', kind: 'number', hint: usual(limits.bobbins) },
    { name: 'days', label: 'days', kind: 'number', hint: usual(limits.days) },
    { name: 'stitches', label: 'stitches', kind: 'number', hint: usual(limits.stitches) },
  ];
  return (
    <RecordDialog
      title={`${item.label}: what the manual says`}
      about={machine.name}
      onClose={onClose}
      specs={specs}
      initial={{ sealed: item.manual?.sealed ?? false, ...item.manual?.limits }}
      fixed={{ machineId: machine.id, item: item.id }}
      act={doors.keepManual}
      onDone={() => {
        toast('The manual’s figures hold now.');
        onClose();
      }}
      submit="Save"
    />
  );
}
