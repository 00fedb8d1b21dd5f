import type { Field } from '@/core/fields/field';
import { MACHINE } from '@/core/fields/machine';
import { battings } from '@/core/tables/battings';
import { fabrics } from '@/core/tables/fabrics';
import { features } from '@/core/tables/features';
import { fibres } from '@/core/tables/fibres';
import { EYES, POINTS } from '@/core/tables/needles';
import { FEET, techniques } from '@/core/tables/techniques';
import { MODES } from '@/core/stitch/machine';

/** The part of JSON Schema (draft 7) used here. */
export interface Schema {
  type?: string | string[];
  description?: string;
  properties?: Record<string, Schema>;
  required?: string[];
  additionalProperties?: boolean | Schema;
  propertyNames?: Schema;
  items?: Schema;
  enum?: readonly (string | number)[];
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  minItems?: number;
  maxItems?: number;
  maxLength?: number;
  pattern?: string;
}

/** One value as the field of a thing that is kept asks for it: the command line takes what the form takes. */
export function ofField(f: Field): Schema {
  const [low, high] = f.range ?? [];
  const ranged = { ...(low === undefined ? {} : { minimum: low, maximum: high }) };
  switch (f.kind) {
    case 'choice':
      return { enum: f.choices!.map((c) => c.value) };
    case 'checks':
      return { type: 'array', items: { enum: f.choices!.map((c) => c.value) }, maxItems: 5000 };
    case 'yes':
      return { type: 'boolean' };
    case 'whole':
    case 'money':
      return { type: 'integer', ...ranged };
    case 'hex':
      return { type: 'string', pattern: '^#[0-9a-fA-F]{6}$' };
    case 'text':
    case 'long':
    case 'day':
    case 'ref':
      return { type: 'string', ...(f.most ? { maxLength: f.most } : {}) };
    case 'hexes':
    case 'numbers':
      return {
        type: 'array',
        items: f.kind === 'hexes' ? { type: 'string' } : { type: 'number', ...ranged },
      };
    default:
      return { type: 'number', ...ranged };
  }
}

/** Some fields of a table by their names. */
export const ofFields = <R extends readonly Field[], N extends R[number]['id']>(
  fields: R,
  ...names: N[]
): Record<N, Schema> =>
  Object.fromEntries(names.map((name) => [name, ofField(fields.find((f) => f.id === name)!)])) as Record<
    N,
    Schema
  >;
/** The same, each of which may be left out. */
export const maybeFields = <R extends readonly Field[], N extends R[number]['id']>(
  fields: R,
  ...names: N[]
): Record<`${N}?`, Schema> =>
  Object.fromEntries(
    Object.entries<Schema>(ofFields(fields, ...names)).map(([k, v]) => [`${k}?`, v]),
  ) as Record<`${N}?`, Schema>;

/** An object of known fields; a name ending in ? is optional. Unknown fields are errors. */
export function object(fields: Record<string, Schema>): Schema {
  const properties = Object.fromEntries(Object.entries(fields).map(([k, v]) => [k.replace(/\?$/, ''), v]));
  return {
    type: 'object',
    properties,
    required: Object.keys(fields).filter((k) => !k.endsWith('?')),
    additionalProperties: false,
  };
}

/** A response: the fields named are always there, and more may be. */
export const answer = (fields: Record<string, Schema>): Schema => ({
  ...object(fields),
  additionalProperties: true,
});

export const list = (items: Schema, rest: Partial<Schema> = {}): Schema => ({
  type: 'array',
  items,
  maxItems: 5000,
  ...rest,
});
export const oneOf = (ids: readonly (string | number)[]): Schema => ({ enum: ids });
export const within = (minimum: number, maximum: number, description?: string): Schema => ({
  type: 'number',
  minimum,
  maximum,
  ...(description ? { description } : {}),
});
export const above0 = (maximum: number): Schema => ({ type: 'number', exclusiveMinimum: 0, maximum });
export const text = (maxLength = 200): Schema => ({ type: 'string', maxLength });
export const bool: Schema = { type: 'boolean' };
export const num: Schema = { type: 'number' };
export const nullable = (type: string): Schema => ({ type: [type, 'null'] });

export const tex = within(1, 1000, 'g/km');
export const fibreId = oneOf(fibres.ids);
export const fabricId = oneOf(fabrics.ids);
export const battingId = oneOf(battings.ids);
export const featureId = oneOf(features.ids);
export const techniqueId = oneOf(techniques.ids);
export const footId = oneOf(FEET);
export const eye = oneOf(EYES);
export const point = oneOf(POINTS);
export const hex: Schema = { type: 'string', pattern: '^#[0-9a-fA-F]{6}$' };
export const spi = within(1, 40, 'stitches per inch');
export const needleNm = within(40, 200, 'blade diameter in 1/100 mm');
export const radiusIn = above0(100);
export const spacingIn = above0(200);
export const areaIn2 = above0(1_000_000);
export const lengthIn = above0(10_000_000);
export const share = within(0, 1_000_000);
export const nmRange: Schema = { type: 'array', items: needleNm, minItems: 2, maxItems: 2 };
export const thread = object({ tex, fibre: fibreId });
export const bobbinMm = object({ od: above0(100), core: above0(100), width: above0(100) });
export const machineFields = {
  ...ofFields(MACHINE, 'maxSpm', 'idleMinSpm', 'idleMaxSpm', 'minSpi', 'maxSpi'),
  modes: list(oneOf(MODES), { minItems: 1 }),
};
/** A sentence; `act` says what a person could do, `from` which criterion it belongs to. */
const sentence = { code: text(), text: text(2000), 'act?': text(500), 'from?': text() };
export const reasons = list(object(sentence));
export const caution = object({ ...sentence, severity: oneOf(['note', 'warn', 'stop']) });
export const cautions = list(caution);
