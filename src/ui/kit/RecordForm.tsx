'use client';
import type { ReactNode } from 'react';
import type { Result } from '@/actions/result';
import { Button } from './Button';
import { type FieldSpec, fromForm, type Values } from './field-spec';
import { Problems } from './Problems';
import { SpecFields, useSpecForm } from './SpecFields';
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
  const { form, values } = useSpecForm(specs, initial);
  const { send, pending, problems, problemAt } = useActionForm(act, onDone);
  return (
    <form
      className="mt-4"
      onSubmit={form.handleSubmit((v) => {
        if (!pending) send({ ...fixed, ...fromForm(specs, v) });
      })}
    >
      <SpecFields specs={specs.filter((f) => !f.when || f.when(values))} form={form} problemAt={problemAt} />
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
