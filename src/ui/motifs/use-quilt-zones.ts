'use client';
import { doors } from '@/actions/doors';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';

/** Says what is quilted in zones of a quilt that are still as they were seen; what was before can be laid again. */
export function useQuiltZones(
  quiltId: string,
  zones: readonly { id: string; version: number }[],
  words: string,
) {
  const { send, pending, problems } = useActionForm(doors.quiltZones, ({ before }) =>
    toast(words, {
      action: {
        label: 'Undo',
        onClick: () => void doors.quiltZones({ key: newKey(), quiltId, zones: before }),
      },
    }),
  );
  return {
    pending,
    problems,
    send: (list: readonly { id: string; technique: string; spacingIn: number | null }[]) =>
      send({
        quiltId,
        zones: list.map(({ id, technique, spacingIn }) => ({
          zoneId: id,
          version: zones.find((z) => z.id === id)!.version,
          technique,
          spacingIn,
        })),
      }),
  };
}
