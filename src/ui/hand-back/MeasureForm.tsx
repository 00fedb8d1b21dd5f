'use client';
import { useRouter } from 'next/navigation';
import { doors } from '@/actions/doors';
import { Button } from '@/ui/kit/Button';
import { CAME_OUT } from '@/core/fields/hand-back';
import { type FieldSpec, fromForm } from '@/ui/kit/field-spec';
import { formFields } from '@/ui/kit/form-fields';
import { Problems } from '@/ui/kit/Problems';
import { SpecFields, useSpecForm } from '@/ui/kit/SpecFields';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';

const PLACES = {
  widthsIn: ['at the top', 'in the middle', 'at the bottom'],
  lengthsIn: ['at the left', 'in the middle', 'at the right'],
} as const;
const NAMES = { widthsIn: 'Width', lengthsIn: 'Length' } as const;
const SIDES = ['widthsIn', 'lengthsIn'] as const;
const MEASURES: readonly FieldSpec[] = SIDES.flatMap((side) =>
  PLACES[side].map((place, i) => ({
    name: `${side}_${i}`,
    label: `${NAMES[side]} ${place}`,
    kind: 'inches' as const,
    hint: 'in',
  })),
);
const [, , WORD_FIELD] = CAME_OUT;
const [WORD] = formFields([WORD_FIELD]) as [FieldSpec];
const SPECS = [...MEASURES, WORD];

/** How it came out: three widths, three lengths, and a word for the next one like it. */
export function MeasureForm({
  quiltId,
  version,
  widthsIn,
  lengthsIn,
  word,
}: {
  quiltId: string;
  version: number;
  widthsIn: readonly number[] | null;
  lengthsIn: readonly number[] | null;
  word: string;
}) {
  const router = useRouter();
  const at = (of: readonly number[] | null, side: string) =>
    Object.fromEntries((of ?? []).map((v, i) => [`${side}_${i}`, v]));
  const { form } = useSpecForm(SPECS, { ...at(widthsIn, 'widthsIn'), ...at(lengthsIn, 'lengthsIn'), word });
  const { send, pending, problems, problemAt } = useActionForm(doors.measureHandBack, () => {
    toast('The measures are kept.');
    router.refresh();
  });
  return (
    <form
      onSubmit={form.handleSubmit((v) => {
        if (pending) return;
        const read = fromForm(SPECS, v);
        const three = (side: string) => [0, 1, 2].map((i) => read[`${side}_${i}`]);
        send({
          quiltId,
          version,
          word: read.word,
          widthsIn: three('widthsIn'),
          lengthsIn: three('lengthsIn'),
        });
      })}
    >
      <SpecFields
        specs={MEASURES}
        form={form}
        className="grid grid-cols-3 gap-3"
        problemAt={(n) => (n.endsWith('_2') ? problemAt(n.slice(0, -2)) : undefined)}
      />
      <div className="mt-3">
        <SpecFields specs={[WORD]} form={form} problemAt={problemAt} className="grid" />
      </div>
      <Problems problems={problems} fields={['widthsIn', 'lengthsIn', 'word']} />
      <Button look="act" type="submit" disabled={pending} className="mt-3">
        Keep the measures
      </Button>
    </form>
  );
}
