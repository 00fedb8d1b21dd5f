import { doors } from '@/actions/doors';
import { TOUCHED, TOUCHED_LABEL } from '@/core/care/items';
import type { CareLine } from '@/actions/care';
import type { FieldSpec } from '@/ui/kit/field-spec';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { toast } from '@/ui/kit/toast';

const SPECS: readonly FieldSpec[] = [
  { name: 'at', label: 'Done on', kind: 'date' },
  { name: 'technician', label: 'By a technician', kind: 'text', hint: 'empty: by you' },
  { name: 'found', label: 'Found', kind: 'long', wide: true },
  { name: 'parts', label: 'Parts put in', kind: 'text', wide: true },
  {
    name: 'touched',
    label: 'It touched',
    kind: 'checks',
    wide: true,
    options: TOUCHED.map((value) => ({ value, label: TOUCHED_LABEL[value] })),
    hint: 'then tests on this machine are to be sewn again',
  },
  { name: 'gaugeBeforeGf', label: 'Bobbin tension before', kind: 'number', hint: 'g, if measured' },
  { name: 'gaugeAfterGf', label: 'and after', kind: 'number', hint: 'g' },
  { name: 'counterStitches', label: 'Machine’s counter', kind: 'number', hint: 'stitches, if it has one' },
];

/** A service noted with what was found, what was put in, and what it touched. */
export function ServiceDialog({
  machine,
  item,
  today,
  onClose,
}: {
  machine: { id: string; name: string };
  item: CareLine;
  today: string;
  onClose: () => void;
}) {
  return (
    <RecordDialog
      title={`${item.label}: ${machine.name}`}
      about={item.act}
      onClose={onClose}
      specs={SPECS}
      initial={{ at: today, touched: item.id === 'timing' ? ['timing'] : [] }}
      fixed={{ machineId: machine.id, item: item.id }}
      act={doors.doCare}
      onDone={() => {
        toast('Noted in the service log.');
        onClose();
      }}
      submit="Note it"
    />
  );
}
