'use client';
import type { ReactNode } from 'react';
import { Controller, useForm } from 'react-hook-form';
import type { Result } from '@/actions/result';
import { readLengthMm } from '@/core/exchange/read-number';
import { mmToIn } from '@/core/units/length';
import { Button } from './Button';
import { Choice } from './Choice';
import { ColourField } from './ColourField';
import { TextArea, TextField } from './Field';
import { Modal } from './Modal';
import { numberOf } from './number-of';
import { Problems } from './Problems';
import { useActionForm } from './use-action-form';

/** One field of a record: how it is asked for, and in which unit. */
export interface FieldSpec {
  name: string;
  label: string;
  kind: 'text' | 'long' | 'number' | 'choice' | 'checks' | 'yes' | 'hex' | 'date' | 'inches' | 'mm';
  hint?: string;
  options?: readonly { value: string; label: string }[];
  /** Words offered while typing. */
  suggest?: readonly string[];
  /** Asked for only when this holds of what is filled in so far; else sent as nothing. */
  when?: (values: Values) => boolean;
  /** Takes the whole row. */
  wide?: boolean;
}

export type Values = Record<string, string | string[] | boolean>;
const NONE = '-';

/** A stored value as the form shows it. */
function shown(spec: FieldSpec, value: unknown): Values[string] {
  if (spec.kind === 'checks') return Array.isArray(value) ? (value as string[]) : [];
  if (spec.kind === 'yes') return value === true;
  if (value == null) return spec.kind === 'choice' ? NONE : '';
  return typeof value === 'number' ? String(Number(value.toFixed(4))) : String(value);
}

/** A length typed with or without its unit: 6, 6 in, 15 cm, 150 mm. What cannot be read stays as typed, to be refused in words. */
function lengthOf(text: string, unit: 'inches' | 'mm'): number | string | null {
  if (text.trim() === '') return null;
  const mm = readLengthMm(text, '.', unit === 'mm' ? 'mm' : 'in');
  return mm === null ? text : unit === 'mm' ? mm : mmToIn(mm);
}

/** What the form holds, as the action takes it. */
function sent(spec: FieldSpec, value: Values[string]): unknown {
  if (spec.kind === 'number') return numberOf(String(value));
  if (spec.kind === 'inches' || spec.kind === 'mm') return lengthOf(String(value), spec.kind);
  if (spec.kind === 'choice') {
    if (value === NONE) return null;
    const numeric = spec.options?.every((o) => o.value === NONE || /^\d+(\.\d+)?$/.test(o.value));
    return numeric ? Number(value) : value;
  }
  if (spec.kind === 'hex' || spec.kind === 'date') return value === '' ? null : value;
  return value;
}

/** A record as a form shows it. */
export const toForm = (specs: readonly FieldSpec[], record: object): Values =>
  Object.fromEntries(specs.map((s) => [s.name, shown(s, (record as Record<string, unknown>)[s.name])]));

/** A form as its action takes it. */
export const fromForm = (specs: readonly FieldSpec[], values: Values): Record<string, unknown> =>
  Object.fromEntries(specs.map((s) => [s.name, s.when && !s.when(values) ? null : sent(s, values[s.name]!)]));

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

/** One field of a record, whatever form holds its value. */
export function SpecInput({
  spec,
  value,
  onChange,
  error,
}: {
  spec: FieldSpec;
  value: Values[string];
  onChange: (value: Values[string]) => void;
  error?: string;
}) {
  const common = { id: `field-${spec.name}`, label: spec.label, hint: spec.hint, error };
  const typed = (e: { target: { value: string } }) => onChange(e.target.value);
  switch (spec.kind) {
    case 'long':
      return <TextArea {...common} rows={2} value={String(value)} onChange={typed} />;
    case 'choice':
      return <Choice {...common} value={String(value)} onChange={onChange} options={spec.options ?? []} />;
    case 'hex':
      return <ColourField {...common} value={String(value)} onChange={onChange} />;
    case 'yes':
      return (
        <label className="flex min-h-11 items-center gap-2.5 self-end">
          <input
            type="checkbox"
            className="size-5 accent-(--indigo)"
            checked={value === true}
            onChange={(e) => onChange(e.target.checked)}
          />
          {spec.label}
        </label>
      );
    case 'checks':
      return <Checks {...common} list={value as string[]} onChange={onChange} options={spec.options ?? []} />;
    default:
      return (
        <TextField
          {...common}
          type={spec.kind === 'date' ? 'date' : 'text'}
          inputMode={spec.kind === 'number' ? 'decimal' : undefined}
          value={String(value)}
          onChange={typed}
          list={spec.suggest && `${common.id}-words`}
          suggest={spec.suggest}
        />
      );
  }
}

function Checks({
  label,
  error,
  list,
  options,
  onChange,
}: {
  label: string;
  error?: string;
  list: string[];
  options: NonNullable<FieldSpec['options']>;
  onChange: (list: string[]) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 text-13 font-medium text-ink2">{label}</legend>
      <div className="flex flex-wrap gap-x-5">
        {options.map((o) => (
          <label key={o.value} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--indigo)"
              checked={list.includes(o.value)}
              onChange={(e) =>
                onChange(e.target.checked ? [...list, o.value] : list.filter((v) => v !== o.value))
              }
            />
            {o.label}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="font-medium text-madder">
          {error}
        </p>
      )}
    </fieldset>
  );
}

/** A record's form in a dialog. */
export function RecordDialog<T>({
  title,
  about,
  onClose,
  wide,
  ...form
}: Parameters<typeof RecordForm<T>>[0] & {
  title: string;
  about: string;
  onClose: () => void;
  wide?: boolean;
}) {
  return (
    <Modal open onOpenChange={(open) => !open && onClose()} title={title} about={about} wide={wide}>
      <RecordForm {...form} />
    </Modal>
  );
}
