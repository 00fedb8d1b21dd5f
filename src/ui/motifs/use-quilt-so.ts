'use client';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import type { PatternLayout } from '@/core/pattern/lay';
import { toast } from '@/ui/kit/toast';
import { newKey, useActionForm } from '@/ui/kit/use-action-form';

/** Says what one zone is quilted with from now on, a technique or a pattern; what was before comes back with one press. */
export function useQuiltSo(quiltId: string, zone: { id: string; letter: string; version: number }) {
  const router = useRouter();
  const done = (before: unknown[]) => {
    toast(`${zone.letter} is quilted so from now on. Match its set-up again.`, {
      action: {
        label: 'Undo',
        onClick: () =>
          void doors.quiltZones({ key: newKey(), quiltId, zones: before }).then((r) => {
            if (!r.ok) toast(r.problems[0]!.message);
            router.refresh();
          }),
      },
    });
    router.refresh();
  };
  const technique = useActionForm(doors.quiltZones, ({ before }) => done(before));
  const pattern = useActionForm(doors.quiltPattern, ({ before }) => done([before]));
  const it = { zoneId: zone.id, version: zone.version };
  return {
    pending: technique.pending || pattern.pending,
    problems: [...technique.problems, ...pattern.problems],
    withTechnique: (work: { technique: string; spacingIn: number; smallestRadiusIn: number | null }) =>
      technique.send({ quiltId, zones: [{ ...it, ...work }] }),
    withPattern: (patternId: string, { widthIn, rowGapIn, offset, mirrored, direction }: PatternLayout) =>
      pattern.send({
        ...it,
        quiltId,
        patternId,
        widthIn,
        rowGapIn,
        offset,
        mirrored,
        direction,
      }),
  };
}
