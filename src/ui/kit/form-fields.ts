import type { Field } from '@/core/fields/field';
import type { FieldSpec } from './field-spec';

const NOT_GIVEN = { value: '-', label: 'none given' };

/** A table's fields as a form asks for them, in their order; those asked for elsewhere are left out. */
export const formFields = (fields: readonly Field[]): FieldSpec[] =>
  fields
    .filter((f) => f.onForm !== false && f.kind !== 'numbers')
    .map((f) => ({
      name: f.id,
      label: f.label,
      kind: f.kind === 'whole' ? 'number' : (f.kind as FieldSpec['kind']),
      hint: f.hint,
      wide: f.wide,
      suggest: f.suggest,
      options: f.choices && [
        ...(f.optional ? [NOT_GIVEN] : []),
        ...f.choices.map((c) => ({ value: String(c.value), label: c.label })),
      ],
    }));
