'use client';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { patiently } from '@/ui/kit/patiently';
import { afterPress } from './after-press';
import { ColourField } from './ColourField';
import { TextArea, TextField } from './Field';
import { type FieldSpec, typedProblem, understood, type Values } from './field-spec';

// What draws a list of choices comes with the first field that has one.
const HexList = dynamic(() => patiently(() => import('./HexList')).then((m) => m.HexList));
const Choice = dynamic(() => patiently(() => import('./Choice')).then((m) => m.Choice));

/** One field of a record, whatever form holds its value. */
export function SpecInput({
  spec,
  value,
  onChange,
  error: said,
  id = `field-${spec.name}`,
}: {
  spec: FieldSpec;
  /** Where one form asks for the same more than once. */
  id?: string;
  value: Values[string];
  onChange: (value: Values[string]) => void;
  error?: string;
}) {
  const [left, setLeft] = useState(false);
  const hint = understood(spec, value) ?? spec.hint;
  // Said when the box is left, not while one still types; what the server said stands until it is sent again.
  const error = said ?? (left ? (typedProblem(spec, value) ?? undefined) : undefined);
  const common = { id, label: spec.label, hint, error };
  const leave = () => afterPress(() => setLeft(true));
  const typed = (e: { target: { value: string } }) => onChange(e.target.value);
  switch (spec.kind) {
    case 'long':
      return <TextArea {...common} rows={2} value={String(value)} onChange={typed} onBlur={leave} />;
    case 'choice':
      return <Choice {...common} value={String(value)} onChange={onChange} options={spec.options ?? []} />;
    case 'hex':
      return <ColourField {...common} value={String(value)} onChange={onChange} />;
    case 'hexes':
      return <HexList {...common} list={value as string[]} onChange={onChange} />;
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
          type={spec.kind === 'date' ? 'date' : spec.kind === 'secret' ? 'password' : 'text'}
          autoComplete={spec.kind === 'secret' ? 'new-password' : undefined}
          inputMode={spec.kind === 'number' ? 'decimal' : undefined}
          value={String(value)}
          onChange={typed}
          onBlur={leave}
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
