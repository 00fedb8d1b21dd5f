import { type Field, problemOf } from '@/core/fields/field';
import type { FieldSpec } from './field-spec';

type Option = { value: string; label: string };
const notGiven = (label = 'none given'): Option => ({ value: '-', label });
const OF: Partial<Record<Field['kind'], FieldSpec['kind']>> = {
  whole: 'number',
  day: 'date',
  ref: 'choice',
  numbers: 'three',
};

/**
 * A table's fields as a form asks for them, in their order; those asked for elsewhere are left out.
 * @param of what a thing of the studio may be picked from, by field; and the currency of money.
 */
export const formFields = (
  fields: readonly Field[],
  of: {
    pick?: Readonly<Record<string, readonly Option[]>>;
    /** What is said while nothing is picked, where the field’s own word will not do. */
    none?: Readonly<Record<string, string>>;
    currency?: string;
  } = {},
): FieldSpec[] =>
  fields
    .filter((f) => f.onForm !== false && (f.kind !== 'numbers' || f.count?.[1] === 3))
    .map((f) => {
      const choices = of.pick?.[f.id] ?? f.choices?.map((c) => ({ value: String(c.value), label: c.label }));
      return {
        name: f.id,
        label: f.label,
        check: (value) => problemOf(f, value),
        kind: OF[f.kind] ?? (f.kind as FieldSpec['kind']),
        hint: f.hint,
        wide: f.wide,
        suggest: f.suggest,
        ...(f.kind === 'money' ? { currency: of.currency ?? 'EUR' } : {}),
        options: choices && [...(f.optional ? [notGiven(of.none?.[f.id] ?? f.none)] : []), ...choices],
      };
    });
