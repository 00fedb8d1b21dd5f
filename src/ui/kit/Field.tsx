'use client';
import type { ChangeEvent, ComponentProps, ReactNode } from 'react';
import { useTypedEarly } from './use-typed-early';

const control =
  'min-h-11 w-full rounded border border-rule bg-cloth px-3 py-2 text-16 aria-invalid:border-madder aria-invalid:border-2';

/** A labelled field with its hint and, when something is wrong, what to do about it. */
export function Field({
  label,
  error,
  hint,
  id,
  children,
}: {
  label: string;
  error?: string;
  hint?: string;
  id: string;
  children: ReactNode;
}) {
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-13 font-medium text-ink2">
        {label}
        {hint && <span className="font-normal"> · {hint}</span>}
      </label>
      {children}
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 font-medium text-madder">
          {error}
        </p>
      )}
    </div>
  );
}

/** What a change tells, for words that stood in the box before anyone listened. */
const changeOf = <B extends Element>(box: B) =>
  ({ target: box, currentTarget: box }) as unknown as ChangeEvent<B>;

type Common = { label: string; error?: string; hint?: string; id: string };

export function TextField({
  label,
  error,
  hint,
  suggest,
  className = '',
  ...rest
}: Common & ComponentProps<'input'> & { suggest?: readonly string[] }) {
  const early = useTypedEarly<HTMLInputElement>(rest.id, rest.value, (box) => rest.onChange?.(changeOf(box)));
  return (
    <Field label={label} error={error} hint={hint} id={rest.id}>
      <input
        ref={early}
        className={`${control} ${className}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${rest.id}-error` : undefined}
        {...rest}
      />
      {suggest && (
        <datalist id={rest.list}>
          {suggest.map((word) => (
            <option key={word} value={word} />
          ))}
        </datalist>
      )}
    </Field>
  );
}

export function TextArea({
  label,
  error,
  hint,
  className = '',
  ...rest
}: Common & ComponentProps<'textarea'>) {
  const early = useTypedEarly<HTMLTextAreaElement>(rest.id, rest.value, (box) =>
    rest.onChange?.(changeOf(box)),
  );
  return (
    <Field label={label} error={error} hint={hint} id={rest.id}>
      <textarea
        ref={early}
        className={`${control} ${className}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${rest.id}-error` : undefined}
        {...rest}
      />
    </Field>
  );
}
