'use client';
import { Controller, type UseFormReturn, useForm, useWatch } from 'react-hook-form';
import { type FieldSpec, toForm, type Values } from './field-spec';
import { numberOf } from './number-of';
import { SpecInput } from './SpecInput';

/** A form of these fields: what it holds as typed, and read as numbers where they are asked for. */
export function useSpecForm(specs: readonly FieldSpec[], initial: object) {
  const form = useForm<Values>({ defaultValues: toForm(specs, initial) });
  const values = { ...form.getValues(), ...useWatch({ control: form.control }) } as Values;
  /** A field as a number of at least so much; null when it is not one. */
  const numberAt = (name: string, least = 0): number | null => {
    const n = numberOf(String(values[name] ?? ''));
    return typeof n === 'number' && n >= least ? n : null;
  };
  return { form, values, numberAt };
}

/** The fields of a form, each with its problem under it. */
export function SpecFields({
  specs,
  form,
  problemAt,
  className = 'grid gap-3 sm:grid-cols-2',
}: {
  specs: readonly FieldSpec[];
  form: UseFormReturn<Values>;
  problemAt?: (name: string) => string | undefined;
  className?: string;
}) {
  return (
    <div className={className}>
      {specs.map((s) => (
        <div
          key={s.name}
          className={s.wide || s.kind === 'long' || s.kind === 'checks' ? 'sm:col-span-2' : ''}
        >
          <Controller
            name={s.name}
            control={form.control}
            render={({ field }) => (
              <SpecInput
                spec={s}
                value={field.value!}
                onChange={field.onChange}
                error={problemAt?.(s.name)}
              />
            )}
          />
        </div>
      ))}
    </div>
  );
}
