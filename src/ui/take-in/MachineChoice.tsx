'use client';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { Machine } from '@/data/types';
import { Choice } from '@/ui/kit/Choice';
import { useActionForm } from '@/ui/kit/use-action-form';

/** Which machine a quilt is sewn on. */
export function MachineChoice({
  quiltId,
  machineId,
  machines,
}: {
  quiltId: string;
  machineId: string;
  machines: Machine[];
}) {
  const { send, problems } = useActionForm(doors.sewOn, () =>
    toast('Stitches, speed and passes follow that machine now.'),
  );
  return (
    <Choice
      id="quilt-machine"
      label="Machine"
      value={machineId}
      onChange={(id) => id !== machineId && send({ quiltId, machineId: id })}
      options={machines.map((m) => ({ value: m.id, label: m.name }))}
      error={problems[0]?.message}
    />
  );
}
