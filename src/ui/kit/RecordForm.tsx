'use client';
import type { ReactNode } from 'react';
import { Controller, useForm } from 'react-hook-form';
import type { Result } from '@/actions/result';
import { Button } from './Button';
import { type FieldSpec, fromForm, toForm, type Values } from './field-spec';
import { Problems } from './Problems';
import { SpecInput } from './SpecInput';
import { useActionForm } from './use-action-form';

/** The fields of a record in a form that keeps what is typed; problems stand at their field. */
export function RecordForm<T>({
  specs,
  initial,
  fixed = {},
  act,
  onDone,
  submit,
  aside,
}: {
  specs: readonly FieldSpec[];
  initial: object;
  /** Sent with the form, not asked for: id, version. */
  fixed?: object;
  act: (input: unknown) => Promise<Result<T>>;
  onDone: (value: T) => void;
  submit: string;
  aside?: (values: Values) => ReactNode;
}) {
  const form = useForm<Values>({ defaultValues: toForm(specs, initial) });
  const { send, pending, problems, problemAt } = useActionForm(act, onDone);
  const values = form.watch();
  return (
    <form
      className="mt-4"
      onSubmit={form.handleSubmit((v) => {
        if (!pending) send({ ...fixed, ...fromForm(specs, v) });
      })}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        {specs
          .filter((s) => !s.when || s.when(values))
          .map((s) => (
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
                    error={problemAt(s.name)}
                  />
                )}
              />
            </div>
          ))}
      </div>
      {aside?.(values)}
      <div className="mt-3">
        <Problems problems={problems} fields={specs.map((s) => s.name)} />
      </div>
      <Button look="act" type="submit" disabled={pending} className="mt-3 w-full">
        {submit}
      </Button>
    </form>
  );
}
