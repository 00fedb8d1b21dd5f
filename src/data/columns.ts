import type { Field } from '@/core/fields/field';

/** The columns of a table of fields, under the names of the type that is read from them. */
export const columnsOf = <T>(fields: readonly Field[]): (keyof T & string)[] =>
  fields.map((f) => f.id as keyof T & string);
