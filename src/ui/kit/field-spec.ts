import { readGrams, readLengthMm, readMetres } from '@/core/exchange/read-number';
import { moneyTyped, readMoney } from '@/core/units/money';
import { mmToIn } from '@/core/units/length';
import { numberOf } from './number-of';

/** One field of a record: how it is asked for, and in which unit. */
export interface FieldSpec {
  name: string;
  label: string;
  kind:
    | 'text'
    | 'long'
    | 'number'
    | 'choice'
    | 'checks'
    | 'yes'
    | 'hex'
    | 'hexes'
    | 'date'
    | 'inches'
    | 'mm'
    | 'metres'
    | 'grams'
    /** A passphrase: not shown while it is typed. */
    | 'secret'
    /** Three lengths in inches, in one box. */
    | 'three'
    /** Whole minor units of `currency`. */
    | 'money';
  currency?: string;
  /** What is wrong with it as it would be sent; said when the box is left. */
  check?: (sent: unknown) => string | null;
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
  if (spec.kind === 'checks' || spec.kind === 'hexes') return Array.isArray(value) ? (value as string[]) : [];
  if (spec.kind === 'yes') return value === true;
  if (value == null) return spec.kind === 'choice' ? NONE : '';
  if (spec.kind === 'three') return (value as number[]).map((v) => String(Number(v.toFixed(3)))).join('; ');
  if (spec.kind === 'money') return moneyTyped(value as number, spec.currency!);
  return typeof value === 'number' ? String(Number(value.toFixed(4))) : String(value);
}

/** A length typed with or without its unit: 6, 6 in, 15 cm, 150 mm. What cannot be read stays as typed, to be refused in words. */
function lengthOf(text: string, unit: 'inches' | 'mm'): number | string | null {
  if (text.trim() === '') return null;
  const mm = readLengthMm(text, '.', unit === 'mm' ? 'mm' : 'in');
  return mm === null ? text : Number((unit === 'mm' ? mm : mmToIn(mm)).toFixed(6));
}

/** Inches typed with or without a unit or fraction; what cannot be read stays as typed. */
export const inchesOf = (text: string): number | string | null => lengthOf(text, 'inches');

/** Lengths typed one after another: 52; 52 1/4; 132 cm. What cannot be read stays as typed. */
function threeOf(text: string): unknown {
  const parts = text
    .split(/[;\n]|,\s+/u)
    .map((p) => p.trim())
    .filter(Boolean);
  return parts.length === 0 ? null : parts.map((p) => lengthOf(p, 'inches'));
}

/** What a measure typed with a unit, a fraction or feet was understood as; null where it stands so already. */
export function understood(spec: FieldSpec, value: unknown): string | null {
  const text = String(value ?? '').trim();
  if (spec.kind === 'three') {
    const read = threeOf(text);
    const plain = /^[\d.;,\s]*$/u.test(text);
    return plain || !Array.isArray(read) || read.some((n) => typeof n !== 'number')
      ? null
      : `= ${read.map((n) => Number((n as number).toFixed(2))).join('; ')} in`;
  }
  if (!['inches', 'mm', 'metres', 'grams'].includes(spec.kind) || /^\d*([.,]\d+)?$/u.test(text)) return null;
  const read = sent(spec, text);
  if (typeof read !== 'number') return null;
  const unit = { inches: 'in', mm: 'mm', metres: 'm', grams: 'g' }[
    spec.kind as 'inches' | 'mm' | 'metres' | 'grams'
  ];
  return `= ${Number(read.toFixed(read < 100 ? 2 : 0))} ${unit}`;
}

/** What the form holds, as the action takes it. */
function sent(spec: FieldSpec, value: Values[string]): unknown {
  if (spec.kind === 'number') return numberOf(String(value));
  if (spec.kind === 'three') return threeOf(String(value));
  if (spec.kind === 'money') {
    const text = String(value).trim();
    return text === '' ? null : (readMoney(text, spec.currency!) ?? text);
  }
  if (spec.kind === 'inches' || spec.kind === 'mm') return lengthOf(String(value), spec.kind);
  if (spec.kind === 'metres' || spec.kind === 'grams') {
    const text = String(value);
    if (text.trim() === '') return null;
    return (spec.kind === 'metres' ? readMetres : readGrams)(text, '.') ?? text;
  }
  if (spec.kind === 'choice') {
    if (value === NONE) return null;
    const numeric = spec.options?.every((o) => o.value === NONE || /^\d+(\.\d+)?$/.test(o.value));
    return numeric ? Number(value) : value;
  }
  if (spec.kind === 'hex' || spec.kind === 'date') return value === '' ? null : value;
  return value;
}

/** What is wrong with a value as it is typed; null when it may pass. */
export const typedProblem = (spec: FieldSpec, value: Values[string]): string | null =>
  spec.check?.(sent(spec, value)) ?? null;

/** A record as a form shows it. */
export const toForm = (specs: readonly FieldSpec[], record: object): Values =>
  Object.fromEntries(specs.map((s) => [s.name, shown(s, (record as Record<string, unknown>)[s.name])]));

/** A form as its action takes it. */
export const fromForm = (specs: readonly FieldSpec[], values: Values): Record<string, unknown> =>
  Object.fromEntries(specs.map((s) => [s.name, s.when && !s.when(values) ? null : sent(s, values[s.name]!)]));
