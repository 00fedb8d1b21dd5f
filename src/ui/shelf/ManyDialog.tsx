'use client';
import { toast } from 'sonner';
import { editManyAction } from '@/app/server-actions';
import { RecordDialog } from '@/ui/kit/RecordDialog';
import { ROLE_LABEL, SHEEN_LABEL } from './cone-fields';

const LEAVE = { value: '-', label: 'leave as it is' };
const options = (labels: Readonly<Record<string, string>>) => [
  LEAVE,
  ...Object.entries(labels).map(([value, label]) => ({ value, label })),
];

/** The same change to every cone picked. */
export function ManyDialog({ ids, onClose }: { ids: string[]; onClose: () => void }) {
  return (
    <RecordDialog
      title={`Change ${ids.length} cones`}
      about="What is left as it is stays different from cone to cone."
      onClose={onClose}
      specs={[
        { name: 'role', label: 'Sewn', kind: 'choice', options: options(ROLE_LABEL) },
        { name: 'sheen', label: 'Sheen', kind: 'choice', options: options(SHEEN_LABEL) },
        { name: 'place', label: 'Where they stand', kind: 'text', hint: 'empty: leave', wide: true },
      ]}
      initial={{}}
      fixed={{ ids }}
      act={(input) => {
        const { place, ...rest } = input as { place: string };
        return editManyAction(place.trim() ? input : rest);
      }}
      onDone={({ count }) => {
        toast(`${count} cones are changed.`);
        onClose();
      }}
      submit="Change them"
    />
  );
}
