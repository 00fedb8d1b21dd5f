import 'reflect-metadata';
import { type Field, choiceWords, rangeWords } from '@/core/fields/field';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsDateString,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

/**
 * Rules on the fields of a form, each with its message in the quilter's words. They are class-validator's
 * decorators put together; the most basic is applied last, so that it is the one that speaks.
 */
type Rule = (target: object, key: string) => void;
const all =
  (...rules: Rule[]): Rule =>
  (target, key) =>
    [...rules].reverse().forEach((rule) => rule(target, key));

const FINITE = { allowNaN: false, allowInfinity: false };

/** A number in a range; `noun` begins the sentence: “Tex must lie …”. */
export const Num = (low: number, high: number, noun: string): Rule => {
  const range = { message: `${noun} must lie between ${low} and ${high}.` };
  return all(IsNumber(FINITE, { message: `${noun}: give a number.` }), Min(low, range), Max(high, range));
};
export const Whole = (low: number, high: number, noun: string): Rule => {
  const range = { message: `${noun} must lie between ${low} and ${high}.` };
  return all(IsInt({ message: `${noun}: give a whole number.` }), Min(low, range), Max(high, range));
};
/** Text that must not be empty. */
export const Words = (most: number, ask: string): Rule =>
  all(
    IsString({ message: ask }),
    MinLength(1, { message: ask }),
    Matches(/\S/, { message: ask }),
    MaxLength(most, { message: `Keep it under ${most} letters.` }),
  );
/** Text that may be empty. */
export const Text = (most: number): Rule =>
  all(
    IsString({ message: 'This must be text.' }),
    MaxLength(most, { message: `Keep it under ${most} letters.` }),
  );
export const OneOf = (ids: readonly (string | number | null)[], ask: string): Rule =>
  all(IsIn([...ids], { message: ask }));
/** A text of a certain look; an empty one passes. */
const Looks = ({ like, else: message }: NonNullable<Field['looks']>): Rule =>
  all(
    ValidateBy({
      name: 'looks',
      validator: {
        validate: (v: unknown) => typeof v === 'string' && (v.trim() === '' || like.test(v.trim())),
        defaultMessage: () => message,
      },
    }) as Rule,
  );
/** A number, or a short text: what was set, whatever it was. */
export const NumOrText = (most: number, noun: string): Rule => {
  const message = `${noun} must be a number or a short text.`;
  return all(
    ValidateIf((_, v) => v !== undefined) as Rule,
    ValidateBy({
      name: 'numberOrText',
      validator: {
        validate: (v: unknown) =>
          (typeof v === 'number' && Number.isFinite(v) && Math.abs(v) < 1e9) ||
          (typeof v === 'string' && v.length <= most),
        defaultMessage: () => message,
      },
    }) as Rule,
  );
};
export const Yes = (): Rule => all(IsBoolean({ message: 'Say yes or no.' }));
export const Id = (ask: string): Rule => all(IsUUID(undefined, { message: ask }));
/** A list of ids, or of texts; the list's own size is ruled beside it. */
export const EachId = (ask: string): Rule => all(IsUUID(undefined, { each: true, message: ask }));
export const EachText = (most: number): Rule =>
  all(
    IsString({ each: true, message: 'This must be text.' }),
    MaxLength(most, { each: true, message: `Keep it under ${most} letters.` }),
  );
export const EachNum = (low: number, high: number, noun: string): Rule => {
  const range = { each: true, message: `${noun} must lie between ${low} and ${high}.` };
  return all(
    IsNumber(FINITE, { each: true, message: `${noun.replace(/,$/, '')}: give numbers.` }),
    Min(low, range),
    Max(high, range),
  );
};
/**
 * A list whose every entry is a form of its own. An entry that is nothing at all (a hole in the list) is told as what it
 * is: the library would pass it by, and the act would fall over it.
 */
export const EachOf = (form: () => new () => object): Rule => {
  const hole = {
    each: true,
    message: 'Something is missing in this list. Reload the page; nothing was stored.',
  };
  return all(IsObject(hole), Type(form) as Rule, ValidateNested({ each: true }) as Rule);
};
/** A form within a form. */
export const PartOf = (form: () => new () => object): Rule =>
  all(
    IsObject({ message: 'This part of the form is missing. Reload the page; nothing was stored.' }),
    Type(form) as Rule,
    ValidateNested() as Rule,
  );
const HEX = /^#[0-9a-f]{6}$/i;
const WRITE_HEX = 'Write the colour as six digits, such as #6e3b63.';
export const Hex = (): Rule => all(Matches(HEX, { message: WRITE_HEX }));
export const Day = (ask: string): Rule =>
  all(IsDateString({ strict: true }, { message: ask }), Matches(/^\d{4}-\d{2}-\d{2}$/, { message: ask }));
export const Maybe = (): Rule => all(IsOptional());
/** The key of one filling of a form. */
export const FormKey = (): Rule => Id('This form is out of date. Reload the page; nothing was stored.');
export const QuiltId = (): Rule => Id('This quilt is not known. Go back to the Rack.');
export const Version = (): Rule => Whole(0, 1_000_000_000, 'The version this page showed');

/** What a field's kind and range ask of what comes in, in the field's own words. */
const text = (f: Field): Rule =>
  f.mayBeEmpty ? Text(f.most!) : Words(f.most!, f.ask ?? `${f.label}: give a text.`);
const number = (f: Field): Rule[] => [Num(...f.range!, nounOf(f))];
const whole = (f: Field): Rule[] => [Whole(...f.range!, nounOf(f))];
const looks = (f: Field): Rule[] => (f.looks ? [Looks(f.looks)] : []);
const nounOf = (f: Field) => f.noun ?? f.label;
const valuesOf = (f: Field) => f.choices!.map((c) => c.value);

function checks(f: Field): Rule[] {
  const [fewest, most] = f.count ?? [1, f.choices!.length];
  const least = { message: fewest > 0 ? `${f.label}: pick at least one.` : choiceWords(f) };
  return [
    all(
      IsArray(least),
      ArrayMinSize(fewest, least),
      ArrayMaxSize(most, least),
      ArrayUnique({ message: `${f.label}: one stands twice.` }),
      IsIn(valuesOf(f), { each: true, message: choiceWords(f) }),
    ),
  ];
}

function numbers(f: Field): Rule[] {
  const size = { message: f.ask ?? rangeWords(f) };
  return [
    all(IsArray(size), ArrayMinSize(f.count![0], size), ArrayMaxSize(f.count![1], size)),
    EachNum(...f.range!, nounOf(f)),
  ];
}

function hexes(f: Field): Rule[] {
  const size = { message: `${nounOf(f)}: at most ${f.count![1]}.` };
  return [
    all(IsArray(size), ArrayMaxSize(f.count![1], size), Matches(HEX, { each: true, message: WRITE_HEX })),
  ];
}

/** The rules of a field by its kind, the most basic first. */
const RULES: Readonly<Record<Field['kind'], (f: Field) => Rule[]>> = {
  text: (f) => [
    text(f),
    all(Matches(/^[^\r\n]*$/, { message: `${f.label}: keep it on one line.` })),
    ...looks(f),
  ],
  long: (f) => [text(f), ...looks(f)],
  number,
  inches: number,
  mm: number,
  metres: number,
  grams: number,
  whole,
  money: whole,
  choice: (f) => [OneOf(valuesOf(f), choiceWords(f))],
  checks,
  numbers,
  yes: () => [Yes()],
  day: (f) => [Day(f.ask ?? `${f.label}: give a day.`)],
  ref: (f) => [Id(f.ask ?? `${f.label}: pick one.`)],
  hex: () => [Hex()],
  hexes,
};

/**
 * Puts the rules of a table of fields on a class of input, so that none of them is written twice.
 * @param which 'all', or only those that 'are given': each may be left out then.
 */
export const Fields =
  (fields: readonly Field[], which: 'all' | 'are given' = 'all') =>
  (target: { prototype: object }): void => {
    for (const f of fields) {
      // The most basic rule is applied last, so that it is the one that speaks.
      for (const rule of RULES[f.kind](f).reverse()) rule(target.prototype, f.id);
      if (f.optional || f.mayBeEmpty || which === 'are given') Maybe()(target.prototype, f.id);
    }
  };

/** A class of rules as the compiler should see it: its own fields and those its decorator puts on it. */
export const asForm = <F extends object>(rules: new () => object): new () => F => rules as new () => F;
