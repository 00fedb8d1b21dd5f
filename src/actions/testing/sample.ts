import 'reflect-metadata';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage';
import { getMetadataStorage } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';

type Form = Record<string, unknown>;
type Rules = new () => object;

const rulesOn = (rules: Rules) =>
  getMetadataStorage().getTargetValidationMetadatas(rules, '', true, false) as {
    propertyName: string;
    name?: string;
    type: string;
    constraints?: unknown[];
    each: boolean;
  }[];

/** The fields of a form, by its rules. */
export const fieldsOf = (rules: Rules): string[] => [...new Set(rulesOn(rules).map((r) => r.propertyName))];

/** Fields that must be there. */
export const requiredOf = (rules: Rules): string[] => {
  const optional = new Set(
    rulesOn(rules)
      .filter((r) => r.type === 'conditionalValidation')
      .map((r) => r.propertyName),
  );
  return fieldsOf(rules).filter((f) => !optional.has(f));
};

const LIKELY = ['#336699', '2027-03-04', 'word', '7', '2027-03-04T10:00:00Z'];

/** A form that passes its rules, made from them; every id is a stranger’s unless it is given. */
export function sample(rules: Rules, given: Form = {}, which: 'required' | 'all' = 'required'): Form {
  const form: Form = {};
  for (const field of which === 'all' ? fieldsOf(rules) : requiredOf(rules)) {
    const own = rulesOn(rules).filter((r) => r.propertyName === field);
    const first = (name: string) => own.find((r) => r.name === name)?.constraints?.[0];
    const has = (name: string) => own.some((r) => r.name === name);
    const one = (): unknown => {
      const nested = defaultMetadataStorage.findTypeMetadata(rules, field)?.typeFunction() as
        | Rules
        | undefined;
      if (own.some((r) => r.type === 'nestedValidation' || r.name === 'nestedValidation') && nested)
        return sample(nested, given, which);
      if (has('isUuid')) return given[field] ?? uuidv7();
      if (has('isIn')) return (first('isIn') as unknown[])[0];
      if (has('isBoolean')) return true;
      if (has('isInt') || has('isNumber')) return first('max') !== undefined ? first('min') : 1;
      const likes = own.filter((r) => r.name === 'matches').map((r) => r.constraints![0] as RegExp);
      const word = LIKELY.find(
        (w) =>
          likes.every((like) => like.test(w)) &&
          (!(has('isDateString') || has('isIso8601')) || /^\d{4}-/.test(w)) &&
          w.length >= Number(first('minLength') ?? 0),
      );
      return has('isObject') ? {} : (word ?? 'word');
    };
    const size = Number(first('arrayMinSize') ?? 0);
    form[field] =
      field in given
        ? given[field]
        : has('isArray') || has('arrayMinSize') || has('arrayMaxSize')
          ? Array.from({ length: Math.max(1, size) }, one)
          : one();
  }
  return form;
}
