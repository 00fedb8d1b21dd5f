'use client';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useForm, useFieldArray, Controller } from 'react-hook-form';
import { toast } from '@/ui/kit/toast';
import { doors } from '@/actions/doors';
import type { Cone } from '@/data/types';
import { Button } from '@/ui/kit/Button';
import { ColourField } from '@/ui/kit/ColourField';
import { TextField } from '@/ui/kit/Field';
import { Modal } from '@/ui/kit/Modal';
import { readGrams, readMetres } from '@/core/exchange/read-number';
import { Problems } from '@/ui/kit/Problems';
import { fromForm, toForm, type Values } from '@/ui/kit/field-spec';
import { SpecInput } from '@/ui/kit/SpecInput';
import { useActionForm } from '@/ui/kit/use-action-form';
import { CONE } from '@/core/fields/cone';
import { usualValues } from '@/core/fields/stored';
import { formFields } from '@/ui/kit/form-fields';
import { LabelReading } from './LabelReading';

const CONE_FIELDS = formFields(CONE);

const BLANK = { colour: '', hex: '', remainingM: '' };

/** A cone, or a line of thread in several colours: the label is read as it is typed. */
export function ConeDialog({ cone, onClose }: { cone: Cone | null; onClose: () => void }) {
  const form = useForm<{ record: Values; colours: (typeof BLANK)[] }>({
    defaultValues: {
      record: toForm(CONE_FIELDS, cone ?? usualValues(CONE)),
      colours: [cone ? { colour: cone.colour, hex: cone.hex ?? '', remainingM: '' } : BLANK],
    },
  });
  const colours = useFieldArray({ control: form.control, name: 'colours' });
  const [act] = useState(
    () => (cone ? doors.editCone : doors.addCones) as (i: unknown) => ReturnType<typeof doors.addCones>,
  );
  const { send, pending, problems, problemAt } = useActionForm(act, () => {
    toast(cone ? `${cone.line} ${cone.colour} is changed.` : 'It is on the shelf.');
    onClose();
  });
  const v = form.watch('record');
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={cone ? `${cone.line} ${cone.colour}` : 'Add a line of thread'}
      about={
        cone
          ? 'What is changed here holds for cards chosen from now on.'
          : 'Several colours of one line go on the shelf together.'
      }
      wide
    >
      <form
        className="mt-3"
        onSubmit={form.handleSubmit((values) => {
          if (pending) return;
          const common = fromForm(CONE_FIELDS, values.record);
          const list = values.colours.map((c) => ({
            colour: c.colour,
            hex: c.hex === '' ? null : c.hex,
            remainingM: c.remainingM.trim() === '' ? null : (readMetres(c.remainingM, '.') ?? c.remainingM),
          }));
          send(
            cone
              ? { ...common, id: cone.id, version: cone.version, colour: list[0]!.colour, hex: list[0]!.hex }
              : { ...common, colours: list },
          );
        })}
      >
        <div className="grid gap-x-6 gap-y-3 md:grid-cols-[1.1fr_1fr]">
          <div className="grid content-start gap-3 sm:grid-cols-2">
            {CONE_FIELDS.map((s) => (
              <div key={s.name} className={s.wide || s.kind === 'long' ? 'sm:col-span-2' : ''}>
                <Controller
                  name={`record.${s.name}`}
                  control={form.control}
                  render={({ field }) => (
                    <SpecInput
                      spec={s}
                      value={field.value!}
                      onChange={field.onChange}
                      error={problemAt(s.name)}
                    />
                  )}
                />
              </div>
            ))}
          </div>
          <div>
            <section aria-label="What the label says" className="border-t-2 border-ink pt-2">
              <h3 className="mb-1 text-[17px]">What the label says</h3>
              <LabelReading
                label={String(v.label)}
                fibre={String(v.fibre)}
                fullG={readGrams(String(v.fullG ?? ''), '.')}
                fullM={readMetres(String(v.fullM ?? ''), '.')}
              />
            </section>
            <section aria-label="Colours" className="mt-4 border-t-2 border-ink pt-2">
              <h3 className="mb-2 text-[17px]">{cone ? 'Colour' : 'Colours'}</h3>
              <ul className="space-y-3">
                {colours.fields.map((f, i) => (
                  <li key={f.id} className="grid grid-cols-[1fr_auto] gap-2 border-b pb-3">
                    <div className="grid gap-2">
                      <TextField
                        id={`colour-${i}`}
                        label="Colour name"
                        error={problemAt(cone ? 'colour' : `colours.${i}.colour`) ?? problemAt('colour')}
                        {...form.register(`colours.${i}.colour`)}
                      />
                      <Controller
                        control={form.control}
                        name={`colours.${i}.hex`}
                        render={({ field }) => (
                          <ColourField
                            id={`hex-${i}`}
                            label="Colour"
                            hint="leave empty when not known"
                            value={field.value}
                            onChange={field.onChange}
                            error={problemAt(cone ? 'hex' : `colours.${i}.hex`)}
                          />
                        )}
                      />
                      {!cone && (
                        <TextField
                          id={`left-${i}`}
                          label="Metres left"
                          hint="empty: a full cone"
                          inputMode="decimal"
                          error={problemAt(`colours.${i}.remainingM`)}
                          {...form.register(`colours.${i}.remainingM`)}
                        />
                      )}
                    </div>
                    {!cone && colours.fields.length > 1 && (
                      <Button
                        look="quiet"
                        aria-label="Take this colour out"
                        className="!px-3"
                        onClick={() => colours.remove(i)}
                      >
                        <Trash2 size={18} aria-hidden />
                      </Button>
                    )}
                  </li>
                ))}
              </ul>
              {!cone && (
                <Button className="mt-3" onClick={() => colours.append(BLANK)}>
                  <Plus size={18} aria-hidden /> Another colour
                </Button>
              )}
            </section>
          </div>
        </div>
        <Problems
          problems={problems}
          fields={[...CONE_FIELDS.map((s) => s.name), 'colours', 'colour', 'hex']}
        />
        <div className="sticky -bottom-5 -mb-5 bg-cloth py-3">
          <Button look="act" type="submit" disabled={pending} className="w-full">
            {cone
              ? 'Keep these changes'
              : colours.fields.length > 1
                ? `Put ${colours.fields.length} cones on the shelf`
                : 'Put it on the shelf'}
          </Button>
        </div>
      </form>
    </Modal>
  );
}
